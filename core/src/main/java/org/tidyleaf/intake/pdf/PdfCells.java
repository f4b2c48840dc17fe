package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Place;

/** The text of tables that are drawn with rules. */
final class PdfCells {

    private static final Pattern LABELLED =
            Pattern.compile("(?:_+\\p{L}?_*)?[(\\[]?[A-Za-z0-9]{1,2}[.)\\]]|[\u2022\u2610\u2611\u25a1\u25cb*-]");

    private static final Pattern END_OF_SENTENCE = Pattern.compile("\\p{L}{1,2}\\)?[.?!]|\\p{L}\\)\\.?");

    private static final Pattern ENDED = Pattern.compile(".*[.?!:]|[(\\[]?[A-Za-z0-9]{1,2}[.)\\]]");

    private static final Pattern HYPHEN_AT_END = Pattern.compile("\\p{L}-$");

    /** "(T / F)", whose signs are kept together, below its statement. */
    private static final Pattern PAIR = Pattern.compile("\\(\\p{L}{1,9}\\s?/\\s?\\p{L}{1,9}\\)");

    /** A line to write on. */
    private static final Pattern RULED = Pattern.compile("[_.\u2026\\s]{3,}");

    /** In parts of the face's size: no wider than the space between two words. */
    private static final float SPACE = 0.45f;

    /** In points: the least room that word processors leave between a text and the edge of its cell. */
    private static final float PADDING = 4.5f;

    private static final int FEWEST_LETTERS = 2;

    private PdfCells() {}

    /** The cells of a table row by row, each line of a cell for itself. */
    static void write(PdfPage page, PdfTables.Table table, TableNumbers.Begin begin, LineCollector lines) {
        for (int row = 0; row + 1 < table.ys().size(); row++) {
            List<Integer> widths = widths(page, table, row);
            int from = 0;
            for (int column = 0; column < widths.size(); column++) {
                Optional<Cell> place = Optional.of(new Cell(begin.table(), begin.row() + row, column, widths.size()));
                int to = from + widths.get(column);
                write(page, glyphs(page, table, row, from, to), table.limit(to - 1), place, lines);
                from = to;
            }
        }
    }

    private static void write(
            PdfPage page, List<PdfPage.Glyph> glyphs, float right, Optional<Cell> place, LineCollector lines) {
        PdfPage cell = new PdfPage(page.number(), page.width(), page.height(), glyphs, List.of(), List.of());
        List<PdfRow> rows = PdfRow.rows(cell);
        Set<Integer> lettered = lettered(rows);
        for (int i = 0; i < rows.size(); i++) {
            if (i > 0 && (lettered.contains(i) || beginsAnew(rows.get(i - 1), rows.get(i), right))) {
                lines.end(0, "", Place.BODY, place, false);
            } else if (i > 0
                    && !isCutWord(rows.get(i - 1), rows.get(i), right)
                    && !isAtHyphen(rows.get(i - 1), rows.get(i))) {
                lines.append(" ", Set.of(), "");
            }
            rows.get(i).write(lines);
            lines.box(rows.get(i).box(page));
        }
        lines.end(0, "", Place.BODY, place, false);
    }

    /** Rows that begin with A, B, C one below the other, with no sign behind the letters; others may stand between. */
    private static Set<Integer> lettered(List<PdfRow> rows) {
        Set<Integer> found = new HashSet<>();
        for (int i = 0; i < rows.size(); i++) {
            String text = rows.get(i).spaced();
            boolean lone = text.length() > 2 && text.charAt(1) == ' ';
            if (lone && Character.toUpperCase(text.charAt(0)) == 'A' + found.size()) {
                found.add(i);
            }
        }
        return found.size() < FEWEST_LETTERS ? Set.of() : found;
    }

    /** "Microme" over "ter" in a cell too narrow for the word: not even one more letter had room. */
    private static boolean isCutWord(PdfRow above, PdfRow row, float right) {
        boolean word = above.glyphs().size() > 1 && above.spaced().codePoints().allMatch(Character::isLetter);
        PdfPage.Glyph next = row.glyphs().get(0);
        // The full stop of a word that fills its cell stands alone below it.
        boolean stop = row.glyphs().size() == 1 && ".,;:!?".contains(next.text());
        return word && stop
                || word
                        && Character.isLowerCase(next.text().codePointAt(0))
                        && above.right() + next.width() > right - PADDING;
    }

    /** "faux-" over "bourdon". */
    private static boolean isAtHyphen(PdfRow above, PdfRow row) {
        return HYPHEN_AT_END.matcher(above.plain()).find()
                && Character.isLowerCase(row.glyphs().get(0).text().codePointAt(0));
    }

    /** What stands in a row from one column up to another. */
    private static List<PdfPage.Glyph> glyphs(PdfPage page, PdfTables.Table table, int row, int from, int to) {
        return page.glyphs().stream()
                .filter(glyph -> !glyph.text().isBlank()
                        && table.row(glyph) == row
                        && table.column(glyph) >= from
                        && table.column(glyph) < to)
                .toList();
    }

    /** For each cell of a row how many columns it stands in. */
    private static List<Integer> widths(PdfPage page, PdfTables.Table table, int row) {
        List<Integer> widths = new ArrayList<>();
        int width = 1;
        for (int column = 0; column < table.columns(); column++) {
            boolean last = column + 1 == table.columns();
            if (!last && !table.isParted(row, column) && runsThrough(page, table, row, column)) {
                width++;
            } else {
                widths.add(width);
                width = 1;
            }
        }
        return widths;
    }

    /** Whether text goes on over the place where other rows have a rule, or nothing stands behind it. */
    private static boolean runsThrough(PdfPage page, PdfTables.Table table, int row, int column) {
        float edge = table.right(column);
        List<PdfPage.Glyph> inRow = page.glyphs().stream()
                .filter(glyph -> !glyph.text().isBlank() && table.row(glyph) == row)
                .toList();
        boolean empty = inRow.stream().noneMatch(glyph -> table.column(glyph) == column + 1);
        boolean over = inRow.stream().filter(glyph -> glyph.x() < edge).anyMatch(left -> goesOn(inRow, left, edge));
        return empty || over;
    }

    /** Whether the next letter of the same word or line stands right behind the edge. */
    private static boolean goesOn(List<PdfPage.Glyph> inRow, PdfPage.Glyph left, float edge) {
        return left.right() > edge
                || inRow.stream()
                        .anyMatch(right -> right.x() >= edge
                                && Math.abs(right.y() - left.y()) < 1
                                && right.x() - left.right() < left.size() * SPACE);
    }

    private static boolean isBold(PdfRow row) {
        return row.glyphs().stream()
                .allMatch(glyph -> glyph.text().isBlank() || glyph.look().contains(Emphasis.BOLD));
    }

    /** A row of a cell that has a label of its own, that is plain below a bold one, or stands below one with room left for its first word. */
    private static boolean beginsAnew(PdfRow above, PdfRow row, float right) {
        String text = row.plain();
        if (RULED.matcher(text).matches() || RULED.matcher(above.plain()).matches()) {
            return true;
        }
        if (PAIR.matcher(text).matches()) {
            return false;
        }
        boolean labelled = LABELLED.matcher(text).lookingAt();
        boolean room = right - above.right() > row.firstWord() + above.size();
        // "N)." below "(symbol" and "g." below "1000" end their sentences.
        boolean ends = !room
                && END_OF_SENTENCE.matcher(text).matches()
                && !ENDED.matcher(above.plain()).matches();
        return labelled && !ends || room || isBold(above) && !isBold(row);
    }
}
