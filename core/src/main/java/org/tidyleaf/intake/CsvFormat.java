package org.tidyleaf.intake;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Source;

/** Comma separated values (RFC 4180), also with semicolons or tabs as spreadsheets of other countries write them. */
final class CsvFormat implements Format {

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

    /** The sign that stands most often outside quotation marks in the first lines. */
    private static char delimiter(String text) {
        String start = text.substring(0, Math.min(text.length(), 4000)).replaceAll("\"[^\"]*\"", "");
        long commas = start.chars().filter(c -> c == ',').count();
        long semicolons = start.chars().filter(c -> c == ';').count();
        long tabs = start.chars().filter(c -> c == '\t').count();
        return semicolons > commas && semicolons >= tabs ? ';' : tabs > commas ? '\t' : ',';
    }
}
