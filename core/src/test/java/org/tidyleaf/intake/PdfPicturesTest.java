package org.tidyleaf.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.zip.DeflaterInputStream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.junit.jupiter.api.Test;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Source;

/** What comes out of a PDF's pictures; the platform's own decoders say what the files show. */
class PdfPicturesTest {

    private interface Maker {
        PDImageXObject make(PDDocument document) throws IOException;
    }

    private static Source source(int pages, Maker maker) throws IOException, IntakeException {
        try (PDDocument document = new PDDocument()) {
            PDImageXObject image = maker.make(document);
            for (int number = 1; number <= pages; number++) {
                PDPage page = new PDPage();
                document.addPage(page);
                try (PDPageContentStream out = new PDPageContentStream(document, page)) {
                    out.beginText();
                    out.setFont(new PDType1Font(FontName.HELVETICA), 11);
                    out.newLineAtOffset(60, 700);
                    out.showText(number + ". What does the picture show?");
                    out.endText();
                    out.drawImage(image, 60, 400, 120, 80);
                }
            }
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return new Intake().read("pictures.pdf", bytes.toByteArray());
        }
    }

    private static BufferedImage sunset(int type) {
        BufferedImage image = new BufferedImage(61, 40, type);
        Graphics2D graphics = image.createGraphics();
        graphics.setPaint(new GradientPaint(0, 0, Color.ORANGE, 60, 39, Color.BLUE));
        graphics.fillRect(0, 0, 61, 40);
        graphics.dispose();
        return image;
    }

    private static void assertSameDots(Figure figure, BufferedImage wanted) throws IOException {
        assertThat(figure.mediaType()).isEqualTo("image/png");
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(figure.bytes()));
        assertThat(image.getWidth()).isEqualTo(wanted.getWidth());
        // Samples and not colours: the platform reads greys by another curve than browsers do.
        int[] dots = image.getRaster().getPixels(0, 0, 61, 40, (int[]) null);
        int[] meant = wanted.getRaster().getPixels(0, 0, 61, 40, (int[]) null);
        assertThat(Arrays.equals(dots, meant)).as("the same dots").isTrue();
    }

    @Test
    void aPhotographStaysTheFileThatItIs() throws Exception {
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        ImageIO.write(sunset(BufferedImage.TYPE_INT_RGB), "jpeg", jpeg);
        Source source = source(1, document -> JPEGFactory.createFromByteArray(document, jpeg.toByteArray()));
        assertThat(source.figures().get(0).mediaType()).isEqualTo("image/jpeg");
        assertThat(source.figures().get(0).bytes()).isEqualTo(jpeg.toByteArray());
    }

    @Test
    void drawingsInColourInGreyAndWithAMaskKeepEveryDot() throws Exception {
        BufferedImage colour = sunset(BufferedImage.TYPE_INT_RGB);
        assertSameDots(figure(colour), colour);
        BufferedImage grey = sunset(BufferedImage.TYPE_BYTE_GRAY);
        byte[] samples = ((DataBufferByte) grey.getRaster().getDataBuffer()).getData();
        Source plain = source(
                1,
                document -> new PDImageXObject(
                        document, packed(samples), COSName.FLATE_DECODE, 61, 40, 8, PDDeviceGray.INSTANCE));
        assertSameDots(plain.figures().get(0), grey);
        BufferedImage cut = sunset(BufferedImage.TYPE_INT_ARGB);
        cut.setRGB(5, 5, 0x40FF8800);
        assertSameDots(figure(cut), cut);
    }

    private static InputStream packed(byte[] samples) {
        return new DeflaterInputStream(new ByteArrayInputStream(samples));
    }

    private static Figure figure(BufferedImage image) throws IOException, IntakeException {
        return source(1, document -> LosslessFactory.createFromImage(document, image))
                .figures()
                .get(0);
    }

    @Test
    void aPictureOfManyPagesIsHeldOnce() throws Exception {
        Source source =
                source(3, document -> LosslessFactory.createFromImage(document, sunset(BufferedImage.TYPE_INT_RGB)));
        assertThat(source.figures()).hasSize(3);
        byte[] first = source.figures().get(0).bytes();
        assertThat(source.figures())
                .allSatisfy(figure -> assertThat(figure.bytes()).isSameAs(first));
    }
}
