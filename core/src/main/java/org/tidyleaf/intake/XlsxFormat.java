package org.tidyleaf.intake;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Source;
import org.w3c.dom.Element;

/** Sheets of Office Open XML (ISO/IEC 29500-1, part SpreadsheetML): the shown text of every cell, sheet by sheet. */
final class XlsxFormat implements Format {

    private static final int MOST_SHEETS = 50;

    @Override
    public String ending() {
        return "xlsx";
    }

    @Override
    public Source read(String name, byte[] bytes) throws IntakeException {
        ZipParts parts = ZipParts.unpack(name, bytes);
        List<String> shared = shared(name, parts);
        LineCollector lines = new LineCollector();
        Set<Integer> dayStyles = dayStyles(name, parts);
        List<Note> notes = new ArrayList<>();
        int table = 0;
        for (int sheet = 1; sheet <= MOST_SHEETS; sheet++) {
            Optional<byte[]> part = parts.find("xl/worksheets/sheet" + sheet + ".xml");
            if (part.isPresent()) {
                sheet(
                        Xml.parse(name, part.get()).getDocumentElement(),
                        table++,
                        new Sheet(shared, dayStyles, lines, notes));
            }
        }
        if (table == 0) {
            throw new IntakeException.Unreadable(
                    name + " holds no sheet. Save it again from your spreadsheet as .xlsx.");
        }
        return new Source(name, "xlsx", lines.lines(), List.of(), notes);
    }

    private static List<String> shared(String name, ZipParts parts) throws IntakeException {
        List<String> strings = new ArrayList<>();
        Optional<byte[]> part = parts.find("xl/sharedStrings.xml");
        if (part.isPresent()) {
            for (Element item : Xml.children(Xml.parse(name, part.get()).getDocumentElement())) {
                strings.add(text(item));
            }
        }
        return strings;
    }

    /** The text of an item, of all its runs but not of its phonetic helps. */
    private static String text(Element item) {
        StringBuilder text = new StringBuilder();
        for (Element child : Xml.children(item)) {
            switch (child.getLocalName()) {
                case "t" -> text.append(child.getTextContent());
                case "r" -> text.append(text(child));
                default -> {
                    // Phonetic runs and properties are no text.
                }
            }
        }
        return text.toString();
    }

    /** What all sheets of a workbook share. */
    private record Sheet(List<String> shared, Set<Integer> dayStyles, LineCollector lines, List<Note> notes) {}

    private static void sheet(Element sheet, int table, Sheet book) {
        Optional<Element> data = Xml.child(sheet, "sheetData");
        int row = 0;
        for (Element element : data.map(Xml::children).orElse(List.of())) {
            List<Element> cells = Xml.children(element);
            for (int i = 0; i < cells.size(); i++) {
                int column = column(Xml.attribute(cells.get(i), "r"), i);
                cell(cells.get(i), new Cell(table, row, column, cells.size()), book);
            }
            row++;
        }
    }

    private static void cell(Element element, Cell place, Sheet book) {
        String value = value(element, book.shared());
        String style = Xml.attribute(element, "s");
        boolean day = style.matches("\\d{1,5}")
                && book.dayStyles().contains(Integer.parseInt(style))
                && value.matches("\\d{1,6}");
        if (!day) {
            book.lines().cell(value, place);
            return;
        }
        // Serial day 60 is a 29th of February 1900 that never was (ECMA-376 part 1, 18.17.4.1), so later ones are off
        // by one.
        LocalDate date = LocalDate.of(1899, 12, 30).plusDays(Long.parseLong(value));
        String range =
                SheetDates.range(date.getDayOfMonth(), date.getMonthValue()).orElse(value);
        book.lines().cell(range, place);
        String shown = date.getDayOfMonth() + "/" + date.getMonthValue();
        book.notes().add(new Note(book.lines().lines().size(), "range-as-date", SheetDates.message(shown, range)));
    }

    /** The cell styles that show a day and a month but no year: number format 16, or one of the author's own. */
    private static Set<Integer> dayStyles(String name, ZipParts parts) throws IntakeException {
        Set<Integer> styles = new HashSet<>();
        Optional<byte[]> part = parts.find("xl/styles.xml");
        if (part.isEmpty()) {
            return styles;
        }
        Element root = Xml.parse(name, part.get()).getDocumentElement();
        Set<String> formats = new HashSet<>(Set.of("16"));
        for (Element format : Xml.child(root, "numFmts").map(Xml::children).orElse(List.of())) {
            String code = Xml.attribute(format, "formatCode")
                    .toLowerCase(Locale.ROOT)
                    .replaceAll("\\[[^\\]]*]|\"[^\"]*\"", "");
            if (code.contains("d") && code.contains("m") && !code.contains("y") && !code.contains("h")) {
                formats.add(Xml.attribute(format, "numFmtId"));
            }
        }
        List<Element> cells = Xml.child(root, "cellXfs").map(Xml::children).orElse(List.of());
        for (int i = 0; i < cells.size(); i++) {
            if (formats.contains(Xml.attribute(cells.get(i), "numFmtId"))) {
                styles.add(i);
            }
        }
        return styles;
    }

    /** "C7" is column 2. */
    private static int column(String reference, int otherwise) {
        int column = 0;
        for (int i = 0; i < reference.length() && Character.isLetter(reference.charAt(i)); i++) {
            column = column * 26 + reference.charAt(i) - 'A' + 1;
        }
        return column == 0 ? otherwise : column - 1;
    }

    private static String value(Element cell, List<String> shared) {
        String value = Xml.child(cell, "v").map(Element::getTextContent).orElse("");
        return switch (Xml.attribute(cell, "t")) {
            case "s" ->
                value.matches("\\d{1,7}") && Integer.parseInt(value) < shared.size()
                        ? shared.get(Integer.parseInt(value))
                        : "";
            case "inlineStr" -> Xml.child(cell, "is").map(XlsxFormat::text).orElse("");
            case "b" -> value.equals("1") ? "TRUE" : "FALSE";
            default -> value.matches("-?\\d+\\.0") ? value.substring(0, value.length() - 2) : value;
        };
    }
}
