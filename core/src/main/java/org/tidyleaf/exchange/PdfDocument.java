package org.tidyleaf.exchange;

import com.openhtmltopdf.extend.FSStream;
import com.openhtmltopdf.extend.FSSupplier;
import com.openhtmltopdf.mathmlsupport.MathMLDrawer;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.Objects;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;

/** The printed test as a PDF, laid out from its XHTML; its fonts are in the file, its pictures wait on the disk. */
final class PdfDocument extends HtmlDocument {

    private static final String FONTS = "/net/sf/jasperreports/fonts/dejavu/DejaVuSansCondensed";

    private final OutputStream out;

    PdfDocument(String title, OutputStream out) {
        super(title);
        this.out = out;
    }

    @Override
    public void finish() throws IOException {
        // What the library builds lies in a file as well until it leaves.
        try (PDDocument document = new PDDocument(IOUtils.createTempFileOnlyStreamCache())) {
            print(document);
        } finally {
            forget();
        }
    }

    private void print(PDDocument document) throws IOException {
        String content = xhtml();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.usePDDocument(document);
        builder.withHtmlContent(content, null);
        // Nothing is fetched: pictures are our own, and any other address is none of ours.
        builder.useUriResolver((base, address) -> address.startsWith(PICTURE + ":") ? address : null);
        builder.useProtocolsStreamImplementation(address -> new Held(GreyPng.withPalette(picture(address))), PICTURE);
        builder.useMathMLDrawer(new MathMLDrawer());
        font(builder, "", 400, FontStyle.NORMAL);
        font(builder, "-Bold", 700, FontStyle.NORMAL);
        font(builder, "-Oblique", 400, FontStyle.ITALIC);
        font(builder, "-BoldOblique", 700, FontStyle.ITALIC);
        try (PdfBoxRenderer renderer = builder.buildPdfRenderer()) {
            renderer.layout();
            renderer.createPDFKeepOpen();
            withoutTime(document, content);
            document.save(out);
        }
    }

    /** The libraries write the time of day into the file and its identifier, and no two files of a test would be the same. */
    private static void withoutTime(PDDocument document, String content) {
        document.getDocumentInformation().setCreationDate(null);
        document.setDocumentId((long) content.hashCode());
    }

    /** A picture as the library asks for it. */
    private record Held(byte[] bytes) implements FSStream {
        @Override
        public InputStream getStream() {
            return new ByteArrayInputStream(bytes);
        }

        @Override
        public Reader getReader() {
            return new InputStreamReader(getStream(), StandardCharsets.UTF_8);
        }
    }

    private static void font(PdfRendererBuilder builder, String face, int weight, FontStyle style) {
        FSSupplier<InputStream> file =
                () -> Objects.requireNonNull(PdfDocument.class.getResourceAsStream(FONTS + face + ".ttf"));
        builder.useFont(file, "print", weight, style, true);
    }
}
