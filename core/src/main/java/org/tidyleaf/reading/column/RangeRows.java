package org.tidyleaf.reading.column;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.source.Cell;

/**
 * "4-6 | Read the note." between the rows of the questions 3 and 4: a row with neither options nor an answer that is for several
 * of the others. The numbers stand in the column of the numbers, or in the text where that cell is empty.
 */
final class RangeRows {

    private static final Pattern RANGE = Pattern.compile("(\\d{1,3})\\s?[-\u2013\u2014]\\s?(\\d{1,3})[.:)]?");

    private RangeRows() {}

    /**
     * Makes passages of such rows.
     *
     * @param tables for each table its rows, and in them the first piece of each column
     */
    static void mark(
            List<Cues> all, Collection<Map<Integer, Map<Integer, Integer>>> tables, Map<Integer, Columns.Use> uses) {
        for (Map<Integer, Map<Integer, Integer>> rows : tables) {
            boolean numbered = rows.values().stream()
                            .filter(row -> piece(row, uses, Columns.Kind.NUMBER).isPresent())
                            .count()
                    > 1;
            for (Map<Integer, Integer> row : numbered ? rows.values() : List.<Map<Integer, Integer>>of()) {
                range(all, row, uses).ifPresent(range -> passage(all, row, range, uses));
            }
        }
    }

    private static Optional<Integer> piece(
            Map<Integer, Integer> row, Map<Integer, Columns.Use> uses, Columns.Kind kind) {
        return row.values().stream()
                .filter(piece -> uses.containsKey(piece) && uses.get(piece).kind() == kind)
                .findFirst();
    }

    private static Optional<String> range(List<Cues> all, Map<Integer, Integer> row, Map<Integer, Columns.Use> uses) {
        Optional<Integer> question = piece(row, uses, Columns.Kind.QUESTION);
        boolean answered = piece(row, uses, Columns.Kind.OPTION).isPresent()
                || piece(row, uses, Columns.Kind.RIGHT_OPTION).isPresent()
                || piece(row, uses, Columns.Kind.ANSWER).isPresent();
        if (question.isEmpty() || answered) {
            return Optional.empty();
        }
        Optional<Integer> number = piece(row, uses, Columns.Kind.NUMBER);
        if (number.isEmpty()) {
            Cues text = all.get(question.get());
            return text.is(Cues.Trait.RANGE) ? Optional.of(text.text()) : Optional.empty();
        }
        Matcher range = RANGE.matcher(all.get(number.get()).text().strip());
        return range.matches() && Integer.parseInt(range.group(1)) < Integer.parseInt(range.group(2))
                ? Optional.of(range.group())
                : Optional.empty();
    }

    private static void passage(
            List<Cues> all, Map<Integer, Integer> row, String range, Map<Integer, Columns.Use> uses) {
        int question = piece(row, uses, Columns.Kind.QUESTION).orElseThrow();
        row.values().forEach(piece -> uses.put(piece, new Columns.Use(Columns.Kind.HEAD, "", false)));
        uses.put(question, new Columns.Use(Columns.Kind.PASSAGE, range, true));
        Optional<Cell> cell = all.get(question).line().layout().cell();
        for (int i = question + 1; i < all.size(); i++) {
            if (!all.get(i).line().layout().cell().equals(cell)) {
                break;
            }
            uses.put(i, new Columns.Use(Columns.Kind.PASSAGE, "", false));
        }
    }
}
