package org.tidyleaf.exchange;

import com.openhtmltopdf.extend.FSSupplier;
import com.openhtmltopdf.mathmlsupport.MathMLDrawer;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.Objects;
import java.util.Set;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;

/** The printed test as a PDF, laid out from its XHTML; its fonts are in the file. */
final class PdfDocument implements PrintDocument {

    private static final String FONTS = "/net/sf/jasperreports/fonts/dejavu/DejaVuSansCondensed";

    private final HtmlDocument pages;

    PdfDocument(String title) {
        this.pages = new HtmlDocument(title);
    }

    @Override
    public PdfDocument begin(Look look) {
        pages.begin(look);
        return this;
    }

    @Override
    public PdfDocument end() {
        pages.end();
        return this;
    }

    @Override
    public PdfDocument run(String text, Set<Emphasis> emphasis) {
        pages.run(text, emphasis);
        return this;
    }

    @Override
    public PdfDocument lineBreak() {
        pages.lineBreak();
        return this;
    }

    @Override
    public PdfDocument formula(String latex) {
        pages.formula(latex);
        return this;
    }

    @Override
    public PdfDocument picture(Figure figure) {
        pages.picture(figure);
        return this;
    }

    @Override
    public PdfDocument beginTable(int columns) {
        pages.beginTable(columns);
        return this;
    }

    @Override
    public PdfDocument beginRow() {
        pages.beginRow();
        return this;
    }

    @Override
    public PdfDocument beginCell() {
        pages.beginCell();
        return this;
    }

    @Override
    public PdfDocument endCell() {
        pages.endCell();
        return this;
    }

    @Override
    public PdfDocument endRow() {
        pages.endRow();
        return this;
    }

    @Override
    public PdfDocument endTable() {
        pages.endTable();
        return this;
    }

    @Override
    public PdfDocument newPage() {
        pages.newPage();
        return this;
    }

    @Override
    public void write(OutputStream out) throws IOException {
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.withHtmlContent(pages.xhtml(), null);
        // Nothing is fetched: pictures are inside, and any other address is none of ours.
        builder.useUriResolver((base, address) -> address.startsWith("data:") ? address : null);
        builder.useMathMLDrawer(new MathMLDrawer());
        font(builder, "", 400, FontStyle.NORMAL);
        font(builder, "-Bold", 700, FontStyle.NORMAL);
        font(builder, "-Oblique", 400, FontStyle.ITALIC);
        font(builder, "-BoldOblique", 700, FontStyle.ITALIC);
        builder.toStream(new FilterOutputStream(out) {
            @Override
            public void write(byte[] bytes, int from, int length) throws IOException {
                out.write(bytes, from, length);
            }

            @Override
            public void close() throws IOException {
                flush();
            }
        });
        builder.run();
    }

    private static void font(PdfRendererBuilder builder, String face, int weight, FontStyle style) {
        FSSupplier<InputStream> file =
                () -> Objects.requireNonNull(PdfDocument.class.getResourceAsStream(FONTS + face + ".ttf"));
        builder.useFont(file, "print", weight, style, true);
    }
}
