package org.tidyleaf.intake;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.source.Cell;
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
        int table = 0;
        for (int sheet = 1; sheet <= MOST_SHEETS; sheet++) {
            Optional<byte[]> part = parts.find("xl/worksheets/sheet" + sheet + ".xml");
            if (part.isPresent()) {
                sheet(Xml.parse(name, part.get()).getDocumentElement(), table++, shared, lines);
            }
        }
        if (table == 0) {
            throw new IntakeException.Unreadable(
                    name + " holds no sheet. Save it again from your spreadsheet as .xlsx.");
        }
        return new Source(name, "xlsx", lines.lines(), List.of());
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

    private static void sheet(Element sheet, int table, List<String> shared, LineCollector lines) {
        Optional<Element> data = Xml.child(sheet, "sheetData");
        int row = 0;
        for (Element element : data.map(Xml::children).orElse(List.of())) {
            List<Element> cells = Xml.children(element);
            for (int i = 0; i < cells.size(); i++) {
                int column = column(Xml.attribute(cells.get(i), "r"), i);
                lines.cell(value(cells.get(i), shared), new Cell(table, row, column, cells.size()));
            }
            row++;
        }
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
