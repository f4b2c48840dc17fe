package org.tidyleaf.intake;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Place;

/** The text of tables that are drawn with rules. */
final class PdfCells {

    private static final Pattern LABELLED =
            Pattern.compile("[(\\[]?[A-Za-z0-9]{1,2}[.)\\]]|[\u2022\u2610\u2611\u25a1\u25cb*-]");

    private PdfCells() {}

    /** The cells of a table row by row, each line of a cell for itself. */
    static void write(PdfPage page, PdfTables.Table table, TableNumbers.Begin begin, LineCollector lines) {
        for (int row = 0; row + 1 < table.ys().size(); row++) {
            for (int column = 0; column < table.columns(); column++) {
                List<PdfPage.Glyph> glyphs = new ArrayList<>();
                for (PdfPage.Glyph glyph : page.glyphs()) {
                    if (table.row(glyph) == row
                            && table.column(glyph) == column
                            && !glyph.text().isBlank()) {
                        glyphs.add(glyph);
                    }
                }
                PdfPage cell = new PdfPage(page.number(), page.width(), page.height(), glyphs, List.of(), List.of());
                Optional<Cell> place = Optional.of(new Cell(begin.table(), begin.row() + row, column, table.columns()));
                List<PdfRow> rows = PdfRow.rows(cell);
                for (int i = 0; i < rows.size(); i++) {
                    if (i > 0 && beginsAnew(rows.get(i - 1), rows.get(i), table.right(column))) {
                        lines.end(0, "", Place.BODY, place, false);
                    } else if (i > 0) {
                        lines.append(" ", Set.of(), "");
                    }
                    rows.get(i).write(lines);
                    lines.box(rows.get(i).box(page));
                }
                lines.end(0, "", Place.BODY, place, false);
            }
        }
    }

    /** A row of a cell that has a label of its own, or stands below one with room left for its first word. */
    private static boolean beginsAnew(PdfRow above, PdfRow row, float right) {
        String text = row.plain();
        boolean labelled = LABELLED.matcher(text).lookingAt();
        int word = 0;
        while (word < text.length()
                && word < row.glyphs().size()
                && !row.glyphs().get(word).text().isBlank()
                && (word == 0
                        || PdfRow.gap(row.glyphs().get(word - 1), row.glyphs().get(word))
                                .isEmpty())) {
            word++;
        }
        float first = row.glyphs().get(Math.max(0, word - 1)).right() - row.left();
        boolean room = right - above.right() > first + above.size();
        return labelled || room;
    }
}
