package org.tidyleaf.reading.column;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;

/**
 * "Task | What to do | Candidate's answer | Max. marks" over "1 | Name the three tools. |  | 3": below a row that names columns, the
 * first of which only counts, what is asked stands in the one column of sentences, whatever it is called.
 */
final class TextColumns {

    private static final int FEWEST_ROWS = 2;
    private static final int FEWEST_WORDS = 3;
    private static final int LONGEST_HEAD = 40;

    private TextColumns() {}

    /**
     * The same heads with the column that counts and the one that asks told apart; as they were where the table is no such one.
     *
     * @param head the places of the pieces of the row of heads, by column
     * @param below the rows below it
     */
    static Map<Integer, Columns.Use> told(
            List<Cues> all,
            Map<Integer, Integer> head,
            Map<Integer, Map<Integer, Integer>> below,
            Map<Integer, Columns.Use> heads) {
        List<Map<Integer, Integer>> rows = below.values().stream()
                .filter(row -> !all.get(row.values().iterator().next()).is(Cues.Trait.END_WORD))
                .toList();
        boolean named = head.values().stream()
                .map(all::get)
                .allMatch(cues -> cues.text().length() < LONGEST_HEAD
                        && !cues.is(Cues.Trait.QUESTION_MARK)
                        && cues.text().chars().anyMatch(Character::isLetter));
        if (!named || heads.isEmpty() || rows.size() < FEWEST_ROWS || !count(all, rows)) {
            return heads;
        }
        Optional<Integer> asking = head.keySet().stream()
                .filter(column -> column > 0 && !heads.containsKey(column) && holdsSentences(all, rows, column))
                .findFirst();
        boolean asked = heads.entrySet().stream()
                .anyMatch(use -> use.getKey() > 0 && use.getValue().kind() == Columns.Kind.QUESTION);
        if (asking.isEmpty() || asked) {
            return heads;
        }
        Map<Integer, Columns.Use> told = new HashMap<>(heads);
        told.put(0, new Columns.Use(Columns.Kind.NUMBER, "", false));
        told.put(asking.get(), new Columns.Use(Columns.Kind.QUESTION, "", false));
        return told;
    }

    /** Whether the first cells are 1, 2, 3 and so on. */
    private static boolean count(List<Cues> all, List<Map<Integer, Integer>> rows) {
        int expected = 1;
        for (Map<Integer, Integer> row : rows) {
            String number = Stream.ofNullable(row.get(0))
                    .map(piece -> all.get(piece).text().strip().replaceAll("[.)]$", ""))
                    .findFirst()
                    .orElse("");
            if (!number.equals(String.valueOf(expected))) {
                return false;
            }
            expected++;
        }
        return true;
    }

    private static boolean holdsSentences(List<Cues> all, List<Map<Integer, Integer>> rows, int column) {
        return rows.stream()
                .allMatch(row -> row.containsKey(column)
                        && all.get(row.get(column)).words().size() >= FEWEST_WORDS);
    }
}
