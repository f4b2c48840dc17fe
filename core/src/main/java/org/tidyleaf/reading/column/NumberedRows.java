package org.tidyleaf.reading.column;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Cell;

/**
 * Rows without heads: a column of numbers that count on, one of what is asked, and perhaps one of judgements, of points or of room to
 * write in. Each row is a question.
 */
final class NumberedRows {

    private static final int FEWEST_ROWS = 2;

    /** "2", "(2)", "/2", "___ / 2". */
    private static final Pattern WORTH = Pattern.compile("[(\\[]?(?:_{0,8}\\s*/\\s*)?\\d{1,2}(?:[.,]5)?[)\\]]?");

    private static final Pattern ROOM = Pattern.compile("[_.\u2026]{3,}\\s*\\S{0,12}");

    private static final Pattern NUMBER = Pattern.compile("[(]?(\\d{1,3})[.)]?");

    private final List<Cues> all;
    private final Map<Integer, Map<Integer, Integer>> rows;

    private NumberedRows(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        this.all = all;
        this.rows = rows;
    }

    /**
     * What its cells are for; empty where the table is no such one.
     *
     * @param rows rows and columns give the place of the first piece in each cell
     */
    static Map<Integer, Columns.Use> find(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        return rows.size() < FEWEST_ROWS ? Map.of() : new NumberedRows(all, rows).find();
    }

    private Map<Integer, Columns.Use> find() {
        if (!countOn()) {
            return Map.of();
        }
        boolean blank = rows.values().stream().noneMatch(row -> row.containsKey(2));
        boolean judged = rows.values().stream()
                .allMatch(row -> row.containsKey(2)
                        && AnswerParser.judgement(text(row, 2)).isPresent());
        boolean worth = !judged && !blank && areWorth();
        boolean room = !judged && !blank && !worth && haveRoom();
        boolean alone = columns() == 2;
        if (!judged && !worth && !room && !blank || alone && !ask()) {
            return Map.of();
        }
        Map<Integer, Columns.Use> uses = new HashMap<>();
        for (Map<Integer, Integer> row : rows.values()) {
            uses.put(row.get(0), new Columns.Use(Columns.Kind.NUMBER, "", true));
            uses.put(row.get(1), new Columns.Use(Columns.Kind.QUESTION, "", false));
            if (!blank) {
                Columns.Kind beside = worth ? Columns.Kind.POINTS : room ? Columns.Kind.ROOM : Columns.Kind.ANSWER;
                uses.put(row.get(2), new Columns.Use(beside, "", false));
            }
        }
        return uses;
    }

    private int columns() {
        Map<Integer, Integer> first = rows.values().iterator().next();
        return all.get(first.values().iterator().next())
                .line()
                .layout()
                .cell()
                .map(Cell::columns)
                .orElse(0);
    }

    private boolean countOn() {
        int last = -1;
        for (Map<Integer, Integer> row : rows.values()) {
            boolean shaped = row.containsKey(0)
                    && row.containsKey(1)
                    && row.size() <= 3
                    && (columns() == 3 || columns() == 2)
                    && text(row, 1).contains(" ");
            Optional<Integer> number = Optional.of(shaped ? text(row, 0) : "")
                    .map(NUMBER::matcher)
                    .filter(Matcher::matches)
                    .map(found -> Integer.parseInt(found.group(1)));
            if (number.isEmpty() || last >= 0 && number.get() != last + 1) {
                return false;
            }
            last = number.get();
        }
        return true;
    }

    /**
     * Whether each row has a gap or options or is a sentence, and no numbered question stands above that
     * they are the rows of.
     */
    private boolean ask() {
        Map<Integer, Integer> first = rows.values().iterator().next();
        int above = first.get(0) - 1;
        boolean rowsOfOne = text(first, 0).matches("[(]?1[.)]?")
                && above >= 0
                && all.get(above)
                        .number()
                        .filter(number -> !Label.isWorded(number.shape()))
                        .isPresent();
        return !rowsOfOne
                && rows.values().stream()
                        .allMatch(row -> all.get(row.get(1)).is(Cues.Trait.GAP)
                                || all.get(row.get(1)).is(Cues.Trait.ENDS_SENTENCE)
                                || isOverOptions(row.get(1)));
    }

    private boolean isOverOptions(int piece) {
        List<Integer> cell = OptionCells.cell(all, piece);
        return cell.size() > 2
                && cell.stream().skip(1).allMatch(below -> all.get(below).has(Label.Kind.LETTER));
    }

    /** Whether most rows ask something, by options or by how they end, and each has a small number behind it. */
    private boolean areWorth() {
        long asking = rows.values().stream()
                .filter(row -> row.containsKey(2)
                        && (row.get(2) > row.get(1) + 1 || text(row, 1).matches("(?s).*[?.:]")))
                .count();
        return asking * 3 >= rows.size() * 2
                && rows.values().stream()
                        .allMatch(row -> row.containsKey(2)
                                && WORTH.matcher(text(row, 2)).matches());
    }

    /** "______ kg" in each row. */
    private boolean haveRoom() {
        return rows.values().stream()
                .allMatch(
                        row -> row.containsKey(2) && ROOM.matcher(text(row, 2)).matches());
    }

    private String text(Map<Integer, Integer> row, int column) {
        return all.get(row.get(column)).text().strip();
    }
}
