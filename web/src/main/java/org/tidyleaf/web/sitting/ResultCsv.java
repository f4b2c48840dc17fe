package org.tidyleaf.web.sitting;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Results as comma separated values (RFC 4180), in UTF-8 with a byte order mark for spreadsheets. */
final class ResultCsv {

    private static final String BYTE_ORDER_MARK = "\uFEFF";

    private ResultCsv() {}

    static String write(ResultTable table) {
        StringBuilder text = new StringBuilder(BYTE_ORDER_MARK);
        try (CSVPrinter csv = new CSVPrinter(text, CSVFormat.RFC4180)) {
            csv.printRecords(rows(table));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return text.toString();
    }

    /** The heads, then a row for each candidate. */
    static List<List<String>> rows(ResultTable table) {
        List<List<String>> rows = new ArrayList<>();
        List<String> head = new ArrayList<>(List.of("Name", "Handed in"));
        table.numbers().forEach(number -> head.add("Question " + number));
        head.add("Points");
        rows.add(head);
        for (ResultTable.Row row : table.rows()) {
            List<String> cells = new ArrayList<>(List.of(harmless(row.candidate()), row.handedIn() ? "yes" : "no"));
            row.points().forEach(points -> cells.add(points.equals("\u2013") ? "" : points));
            cells.add(row.total());
            rows.add(cells);
        }
        return rows;
    }

    /** A candidate's name must not run as a formula in the teacher's spreadsheet (OWASP, CSV injection). */
    private static String harmless(String text) {
        return text.matches("(?s)[=+\\-@\\t\\r].*") ? "'" + text : text;
    }
}
