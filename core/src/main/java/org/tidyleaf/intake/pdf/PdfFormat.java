package org.tidyleaf.intake.pdf;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Format;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.PageSize;
import org.tidyleaf.source.Source;

/** PDF (ISO 32000) with text: its lines page by page in human reading order. */
public final class PdfFormat implements Format {

    /** More pages are a book, and more than anybody looks through. */
    private static final int MOST_PAGES = 600;

    @Override
    public String ending() {
        return "pdf";
    }

    @Override
    public Source read(String name, byte[] bytes) throws IntakeException {
        try (PDDocument document = Loader.loadPDF(bytes, "", null, null, IOUtils.createMemoryOnlyStreamCache())) {
            if (document.getNumberOfPages() > MOST_PAGES) {
                throw new IntakeException.TooLarge(
                        name + " has more than 600 pages. Save the part with the test by itself.");
            }
            PdfPageReader reader = new PdfPageReader();
            List<PdfPage> pages = new ArrayList<>();
            for (int page = 0; page < document.getNumberOfPages(); page++) {
                PdfPage seen = reader.read(document, page);
                List<PdfTables.Table> tables = PdfTables.find(seen);
                PdfPage read = PdfFormulas.apply(seen, tables);
                List<PdfPage.Mark> drawings = PdfDrawings.find(read, tables);
                pages.add(read.with(
                        PdfTabs.marked(PdfRules.apply(read, tables)),
                        PdfDrawings.cutOut(document, page, drawings),
                        drawings,
                        tables));
            }
            if (pages.stream().allMatch(page -> page.glyphs().isEmpty())) {
                throw new IntakeException.Unreadable(
                        name + " is a scan: it holds pictures of pages and no text. Have its text"
                                + " recognised first, or drop the document it was printed from.");
            }
            if (isGibberish(pages)) {
                throw new IntakeException.Unreadable(name
                        + " has letters that can't be decoded: copied out of it they make no sense either. Print it"
                        + " to a new PDF, or drop the document it was made from.");
            }
            LineCollector lines = new LineCollector();
            List<Figure> figures = new ArrayList<>();
            List<Note> notes = new ArrayList<>();
            PdfLayout.lines(PdfGrids.added(pages), lines, figures, notes);
            List<PageSize> sizes = pages.stream()
                    .map(page -> new PageSize(page.width(), page.height()))
                    .toList();
            return new Source(name, "pdf", lines.lines(), figures, notes, sizes);
        } catch (InvalidPasswordException locked) {
            throw new IntakeException.Locked(name);
        } catch (IOException | RuntimeException damaged) {
            throw new IntakeException.Unreadable(
                    name + " is damaged or no PDF. Save it again from the program it was made with.", damaged);
        }
    }

    /** A third of all signs without a meaning: the fonts came without the table that says which letters they draw. */
    private static boolean isGibberish(List<PdfPage> pages) {
        long all = 0;
        long unknown = 0;
        for (PdfPage page : pages) {
            for (PdfPage.Glyph glyph : page.glyphs()) {
                int sign = glyph.text().codePointAt(0);
                int type = Character.getType(sign);
                all += Character.isWhitespace(sign) ? 0 : 1;
                unknown += type == Character.PRIVATE_USE
                                || type == Character.UNASSIGNED
                                || type == Character.CONTROL
                                || sign == 0xFFFD
                        ? 1
                        : 0;
            }
        }
        return unknown * 3 > all;
    }
}
