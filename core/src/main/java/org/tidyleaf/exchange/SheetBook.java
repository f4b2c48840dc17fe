package org.tidyleaf.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import org.tidyleaf.question.Quiz;

/** The {@link Sheet} as an .xlsx (ECMA-376, SpreadsheetML) with one worksheet; every cell is text, so nothing is turned into a date. */
public final class SheetBook {

    private static final String MAIN = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";
    private static final String PACKAGE = "http://schemas.openxmlformats.org/package/2006/";
    private static final String OFFICE = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";

    /** Wider columns for what is read, narrower ones for letters and points. */
    private static final int USUAL_WIDTH = 18;

    private static final int QUESTION_WIDTH = 60;
    private static final int QUESTION_COLUMN = 3;

    private SheetBook() {}

    /** Writes the test's sheet and leaves the stream open. */
    public static void write(Quiz quiz, OutputStream out) throws IOException {
        write("Questions", Sheet.rows(quiz), out);
    }

    /**
     * Writes rows of any kind.
     *
     * @param rows the heads first
     */
    public static void write(String name, List<List<String>> rows, OutputStream out) throws IOException {
        SteadyZip zip = new SteadyZip(out);
        zip.entry("[Content_Types].xml", contentTypes());
        zip.entry("_rels/.rels", relation("officeDocument", "xl/workbook.xml"));
        zip.entry(
                "xl/workbook.xml",
                new XmlText()
                        .open("workbook", "xmlns", MAIN, "xmlns:r", OFFICE)
                        .open("sheets")
                        .empty("sheet", "name", name, "sheetId", "1", "r:id", "r1")
                        .close("sheets")
                        .close("workbook")
                        .toString());
        zip.entry("xl/_rels/workbook.xml.rels", relation("worksheet", "worksheets/sheet1.xml"));
        zip.entry("xl/worksheets/sheet1.xml", sheet(rows));
        zip.finish();
    }

    private static String sheet(List<List<String>> rows) {
        int columns = rows.stream().mapToInt(List::size).max().orElse(1);
        XmlText out = new XmlText().open("worksheet", "xmlns", MAIN);
        out.open("sheetViews")
                .open("sheetView", "workbookViewId", "0")
                .empty("pane", "ySplit", "1", "topLeftCell", "A2", "activePane", "bottomLeft", "state", "frozen")
                .close("sheetView")
                .close("sheetViews")
                .open("cols");
        for (int column = 0; column < columns; column++) {
            String place = String.valueOf(column + 1);
            int width = column == QUESTION_COLUMN ? QUESTION_WIDTH : USUAL_WIDTH;
            out.empty("col", "min", place, "max", place, "width", String.valueOf(width), "customWidth", "1");
        }
        out.close("cols").open("sheetData");
        for (int row = 0; row < rows.size(); row++) {
            out.open("row", "r", String.valueOf(row + 1));
            for (int column = 0; column < rows.get(row).size(); column++) {
                out.open("c", "r", letters(column) + (row + 1), "t", "inlineStr")
                        .open("is")
                        .element("t", rows.get(row).get(column), "xml:space", "preserve")
                        .close("is")
                        .close("c");
            }
            out.close("row");
        }
        return out.close("sheetData").close("worksheet").toString();
    }

    /** A, B, …, Z, AA, AB, … */
    private static String letters(int column) {
        String last = String.valueOf((char) ('A' + column % 26));
        return column < 26 ? last : letters(column / 26 - 1) + last;
    }

    private static String relation(String type, String target) {
        return new XmlText()
                .open("Relationships", "xmlns", PACKAGE + "relationships")
                .empty("Relationship", "Id", "r1", "Type", OFFICE + "/" + type, "Target", target)
                .close("Relationships")
                .toString();
    }

    private static String contentTypes() {
        String sheet = "application/vnd.openxmlformats-officedocument.spreadsheetml.";
        return new XmlText()
                .open("Types", "xmlns", PACKAGE + "content-types")
                .empty(
                        "Default",
                        "Extension",
                        "rels",
                        "ContentType",
                        "application/vnd.openxmlformats-package.relationships+xml")
                .empty("Default", "Extension", "xml", "ContentType", "application/xml")
                .empty("Override", "PartName", "/xl/workbook.xml", "ContentType", sheet + "sheet.main+xml")
                .empty("Override", "PartName", "/xl/worksheets/sheet1.xml", "ContentType", sheet + "worksheet+xml")
                .close("Types")
                .toString();
    }
}
