package org.tidyleaf.intake.sheet;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Format;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.intake.text.TextFormat;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Source;

/** Comma separated values (RFC 4180), also with semicolons or tabs as spreadsheets of other countries write them. */
public final class CsvFormat implements Format {

    /** Where two part rows as evenly, the first is meant: a comma is the likeliest to stand within a text. */
    private static final String DELIMITERS = "\t;,";

    /** In signs: what the rows look like shows at the beginning. */
    private static final int LOOKED_AT = 4000;

    @Override
    public String ending() {
        return "csv";
    }

    @Override
    public Source read(String name, byte[] bytes) throws IntakeException {
        String text = TextFormat.decode(name, bytes);
        LineCollector lines = new LineCollector();
        List<Note> notes = new ArrayList<>();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter(text))
                .setIgnoreEmptyLines(false)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            int row = 0;
            for (CSVRecord record : parser) {
                for (int column = 0; column < record.size(); column++) {
                    Cell cell = new Cell(0, row, column, record.size());
                    String shown = record.get(column);
                    Optional<String> range = SheetDates.range(shown);
                    lines.cell(range.orElse(shown), cell);
                    range.ifPresent(put ->
                            notes.add(new Note(lines.lines().size(), "range-as-date", SheetDates.message(shown, put))));
                }
                row++;
            }
        } catch (IOException | IllegalStateException | UncheckedIOException damaged) {
            throw new IntakeException.Unreadable(
                    name
                            + " can't be read as a table: a quotation mark is not closed. Save it again from your spreadsheet.",
                    damaged);
        }
        return new Source(name, "csv", lines.lines(), List.of(), notes);
    }

    /** The sign that parts most rows into as many cells as the first; commas and decimals within texts part them unevenly. */
    private static char delimiter(String text) {
        List<String> rows = text.substring(0, Math.min(text.length(), LOOKED_AT))
                .replaceAll("\"[^\"]*\"", "")
                .lines()
                .filter(row -> !row.isBlank())
                .toList();
        char best = ',';
        long most = 0;
        for (char sign : DELIMITERS.toCharArray()) {
            long cells = rows.isEmpty() ? 0 : count(rows.get(0), sign);
            long even = cells == 0
                    ? 0
                    : rows.stream().filter(row -> count(row, sign) == cells).count();
            if (even > most) {
                best = sign;
                most = even;
            }
        }
        return best;
    }

    private static long count(String row, char sign) {
        return row.chars().filter(c -> c == sign).count();
    }
}
