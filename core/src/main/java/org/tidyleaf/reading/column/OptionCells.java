package org.tidyleaf.reading.column;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Cell;

/**
 * "1 | Wax is made by | ☐ bees ☐ wasps ☐ ants": a row for each question, its options below one another in a single cell,
 * each with its box or letter.
 */
final class OptionCells {

    private static final int FEWEST_ROWS = 2;
    private static final int FEWEST_OPTIONS = 2;

    private OptionCells() {}

    /**
     * What such rows hold; empty where a row is otherwise.
     *
     * @param rows the first piece of each cell, by row and column
     */
    static Map<Integer, Columns.Use> find(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        Map<Integer, Columns.Use> uses = new HashMap<>();
        int found = 0;
        for (Map<Integer, Integer> row : rows.values()) {
            Map<Integer, Columns.Use> own = row(all, new TreeMap<>(row));
            boolean heads = found == 0
                    && uses.isEmpty()
                    && row == rows.values().iterator().next();
            if (own.isEmpty() && !heads) {
                return Map.of();
            }
            if (own.isEmpty()) {
                row.values().forEach(piece -> uses.put(piece, new Columns.Use(Columns.Kind.HEAD, "", false)));
            } else {
                uses.putAll(own);
                found++;
            }
        }
        return found < FEWEST_ROWS ? Map.of() : uses;
    }

    private static Map<Integer, Columns.Use> row(List<Cues> all, TreeMap<Integer, Integer> row) {
        Optional<Integer> options = row.keySet().stream()
                .filter(column -> column > row.firstKey() && holdsOptions(all, row.get(column)))
                .findFirst();
        if (options.isEmpty()) {
            return Map.of();
        }
        int question = row.headMap(options.get()).lastKey();
        boolean numbered = question > row.firstKey();
        boolean plain = all.get(row.get(question)).text().contains(" ")
                && row.headMap(question).size() <= 1
                && row.headMap(question).values().stream()
                        .allMatch(piece -> all.get(piece).text().matches("[(]?\\d{1,3}[.):]?"));
        if (!plain) {
            return Map.of();
        }
        Map<Integer, Columns.Use> uses = new HashMap<>();
        if (numbered) {
            uses.put(row.get(row.firstKey()), new Columns.Use(Columns.Kind.NUMBER, "", true));
        }
        boolean begins = !numbered;
        for (int piece : cell(all, row.get(question))) {
            uses.put(piece, new Columns.Use(Columns.Kind.QUESTION, "", begins));
            begins = false;
        }
        List<Integer> choices = cell(all, row.get(options.get()));
        choices.forEach(piece -> uses.put(piece, new Columns.Use(Columns.Kind.OPTION, "", false)));
        row.tailMap(options.get(), false).values().forEach(piece -> uses.put(piece, behind(all.get(piece))));
        return uses;
    }

    /** What a cell behind a question holds: the letter of the answer, points, or else some note. */
    static Columns.Use behind(Cues cues) {
        boolean letter = cues.text().matches("[(\\[]?\\s*[A-Ha-h]\\s*[)\\]]?");
        Columns.Kind kind = letter
                ? Columns.Kind.ANSWER
                : PointsFinder.bare(cues.text()).isPresent() ? Columns.Kind.POINTS : Columns.Kind.LABEL;
        return new Columns.Use(kind, "", false);
    }

    /** Whether a cell, given its first piece, holds several options below one another, each with its box or letter. */
    static boolean holdsOptions(List<Cues> all, int first) {
        List<Integer> pieces = cell(all, first);
        return pieces.size() >= FEWEST_OPTIONS
                && pieces.stream()
                        .allMatch(piece -> all.get(piece).labels().stream()
                                .anyMatch(
                                        label -> label.kind() == Label.Kind.BOX || label.kind() == Label.Kind.LETTER));
    }

    /** All pieces of the cell that a piece begins. */
    static List<Integer> cell(List<Cues> all, int first) {
        Optional<Cell> cell = all.get(first).line().layout().cell();
        List<Integer> pieces = new ArrayList<>();
        for (int i = first; i < all.size() && all.get(i).line().layout().cell().equals(cell); i++) {
            pieces.add(i);
        }
        return pieces;
    }
}
