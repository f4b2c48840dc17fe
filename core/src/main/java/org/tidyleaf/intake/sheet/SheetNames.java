package org.tidyleaf.intake.sheet;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.intake.common.ZipParts;
import org.w3c.dom.Element;

/** The sheets of a workbook in the order of their tabs, with the names that say what is on them. */
final class SheetNames {

    private static final int MOST_SHEETS = 50;

    /** What programs call a new sheet: "Sheet1", "Tabelle2", "Feuil3" says nothing of it. */
    private static final Pattern GIVEN = Pattern.compile(
            "(?:sheet|tabelle|blatt|feuil|feuille|hoja|foglio|planilha|folha|arkusz|blad|worksheet) ?\\d{0,2}",
            Pattern.CASE_INSENSITIVE);

    private SheetNames() {}

    /**
     * A sheet.
     *
     * @param part its place in the file
     * @param heading its name where several sheets were named by their author, else empty
     */
    record Sheet(String part, String heading) {}

    static List<Sheet> read(String name, ZipParts parts) throws IntakeException {
        Map<String, String> targets = targets(name, parts);
        List<Sheet> sheets = new ArrayList<>();
        Optional<byte[]> book = parts.find("xl/workbook.xml");
        if (book.isPresent()) {
            Element root = Xml.parse(name, book.get()).getDocumentElement();
            for (Element sheet : Xml.child(root, "sheets").map(Xml::children).orElse(List.of())) {
                String part = targets.get(Xml.attribute(sheet, "id"));
                if (part != null && parts.find(part).isPresent()) {
                    sheets.add(new Sheet(part, Xml.attribute(sheet, "name").strip()));
                }
            }
        }
        if (sheets.isEmpty()) {
            return numbered(parts);
        }
        long named = sheets.stream()
                .filter(sheet -> !GIVEN.matcher(sheet.heading()).matches())
                .count();
        List<Sheet> first = sheets.subList(0, Math.min(MOST_SHEETS, sheets.size()));
        return sheets.size() > 1 && named == sheets.size()
                ? List.copyOf(first)
                : first.stream().map(sheet -> new Sheet(sheet.part(), "")).toList();
    }

    /** Sheets of a file whose table of contents is lost. */
    private static List<Sheet> numbered(ZipParts parts) {
        List<Sheet> sheets = new ArrayList<>();
        for (int sheet = 1; sheet <= MOST_SHEETS; sheet++) {
            String part = "xl/worksheets/sheet" + sheet + ".xml";
            if (parts.find(part).isPresent()) {
                sheets.add(new Sheet(part, ""));
            }
        }
        return sheets;
    }

    /** The places of parts by their relationships' names. */
    private static Map<String, String> targets(String name, ZipParts parts) throws IntakeException {
        Map<String, String> targets = new HashMap<>();
        Optional<byte[]> part = parts.find("xl/_rels/workbook.xml.rels");
        if (part.isPresent()) {
            for (Element relation : Xml.children(Xml.parse(name, part.get()).getDocumentElement())) {
                String target = Xml.attribute(relation, "Target");
                targets.put(
                        Xml.attribute(relation, "Id"), target.startsWith("/") ? target.substring(1) : "xl/" + target);
            }
        }
        return targets;
    }
}
