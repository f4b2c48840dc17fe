package org.tidyleaf.intake.pdf;

import java.awt.image.BufferedImage;
import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Pictures;

/** Pages of a PDF as pictures, sharp on dense screens. */
public final class PdfPages {

    private static final float DOTS_PER_INCH = 144;

    /** Posters are drawn more coarsely than they would print. */
    private static final float LARGEST_SIDE = 2400;

    private PdfPages() {}

    /**
     * A page as PNG.
     *
     * @param page 0-based
     * @throws IntakeException if the file can't be read or has no such page
     */
    public static byte[] png(String name, byte[] bytes, int page) throws IntakeException {
        try (PDDocument document = Loader.loadPDF(bytes, "", null, null, IOUtils.createMemoryOnlyStreamCache())) {
            if (page < 0 || page >= document.getNumberOfPages()) {
                throw new IntakeException.Unreadable(name + " has no page " + (page + 1) + ".");
            }
            var box = document.getPage(page).getCropBox();
            float largest = Math.max(box.getWidth(), box.getHeight());
            float dots = Math.min(DOTS_PER_INCH, LARGEST_SIDE / largest * 72);
            BufferedImage image = new PDFRenderer(document).renderImageWithDPI(page, dots, ImageType.RGB);
            return Pictures.png(image);
        } catch (IOException | RuntimeException damaged) {
            throw new IntakeException.Unreadable(name + " has a page that can't be drawn.", damaged);
        }
    }
}
