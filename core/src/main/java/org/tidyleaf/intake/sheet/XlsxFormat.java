package org.tidyleaf.intake.sheet;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Format;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.intake.common.ZipParts;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Source;
import org.w3c.dom.Element;

/** Sheets of Office Open XML (ISO/IEC 29500-1, part SpreadsheetML): the shown text of every cell, sheet by sheet. */
public final class XlsxFormat implements Format {

    /** A column with fewer numbers counts no questions. */
    private static final int FEWEST_NUMBERS = 2;

    @Override
    public String ending() {
        return "xlsx";
    }

    @Override
    public Source read(String name, byte[] bytes) throws IntakeException {
        ZipParts parts = ZipParts.unpack(name, bytes);
        List<String> shared = shared(name, parts);
        LineCollector lines = new LineCollector();
        SheetStyles styles = SheetStyles.read(name, parts);
        List<Note> notes = new ArrayList<>();
        List<SheetNames.Sheet> sheets = SheetNames.read(name, parts);
        int table = 0;
        for (SheetNames.Sheet sheet : sheets) {
            Optional<byte[]> part = parts.find(sheet.part());
            if (part.isPresent()) {
                if (!sheet.heading().isEmpty()) {
                    lines.append(sheet.heading(), Set.of(), "");
                    lines.end(0, "heading 1", Place.BODY, Optional.empty(), false);
                }
                sheet(
                        Xml.parse(name, part.get()).getDocumentElement(),
                        table++,
                        new Book(shared, styles, lines, notes));
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
    private record Book(List<String> shared, SheetStyles styles, LineCollector lines, List<Note> notes) {}

    private static void sheet(Element sheet, int table, Book book) {
        Optional<Element> data = Xml.child(sheet, "sheetData");
        List<Element> rows = data.map(Xml::children).orElse(List.of());
        Set<Integer> counting = counting(rows, book);
        for (int row = 0; row < rows.size(); row++) {
            List<Element> cells = Xml.children(rows.get(row));
            for (int i = 0; i < cells.size(); i++) {
                int column = column(Xml.attribute(cells.get(i), "r"), i);
                cell(cells.get(i), new Cell(table, row, column, cells.size()), counting.contains(column), book);
            }
        }
    }

    /** The columns that hold small whole numbers as those of questions: no date is meant there. */
    private static Set<Integer> counting(List<Element> rows, Book book) {
        Map<Integer, Integer> numbers = new HashMap<>();
        for (Element row : rows) {
            List<Element> cells = Xml.children(row);
            for (int i = 0; i < cells.size(); i++) {
                boolean number = book.styles().of(cells.get(i)) == SheetStyles.Shown.NO_DATE
                        && value(cells.get(i), book.shared()).matches("\\d{1,3}");
                numbers.merge(column(Xml.attribute(cells.get(i), "r"), i), number ? 1 : 0, Integer::sum);
            }
        }
        numbers.values().removeIf(count -> count < FEWEST_NUMBERS);
        return numbers.keySet();
    }

    private static void cell(Element element, Cell place, boolean counts, Book book) {
        String value = value(element, book.shared());
        SheetStyles.Shown shown = value.matches("\\d{1,6}") ? book.styles().of(element) : SheetStyles.Shown.NO_DATE;
        if (shown == SheetStyles.Shown.NO_DATE) {
            book.lines().cell(value, place);
            return;
        }
        // Serial day 60 is a 29th of February 1900 that never was (ECMA-376 part 1, 18.17.4.1), so later ones are off
        // by one.
        LocalDate date = LocalDate.of(1899, 12, 30).plusDays(Long.parseLong(value));
        if (shown == SheetStyles.Shown.WHOLE_DATE && !counts) {
            book.lines().cell(date.toString(), place);
            return;
        }
        String range =
                SheetDates.range(date.getDayOfMonth(), date.getMonthValue()).orElse(value);
        book.lines().cell(range, place);
        String day = date.getDayOfMonth() + "/" + date.getMonthValue();
        book.notes().add(new Note(book.lines().lines().size(), "range-as-date", SheetDates.message(day, range)));
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
