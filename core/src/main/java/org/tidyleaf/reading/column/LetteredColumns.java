package org.tidyleaf.reading.column;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;

/** A question and its options in each row of a table, below heads that are nothing but "A", "B", "C" over the options. */
final class LetteredColumns {

    private static final Pattern LETTER = Pattern.compile("[(]?([A-H])[).]?");
    private static final Pattern SIGN = Pattern.compile("[xX\u2713\u2714\u2717\u2610-\u2612\u25a1]?");

    private static final int FEWEST_ROWS = 2;
    private static final int FEWEST_OPTIONS = 2;

    private LetteredColumns() {}

    /**
     * The columns' uses; empty where the heads are others, or a row leaves an option out.
     *
     * @param rows by row and column the place of the first piece in each cell
     */
    static Map<Integer, Columns.Use> find(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        int first = rows.keySet().iterator().next();
        TreeMap<Integer, Integer> heads = new TreeMap<>(rows.get(first));
        if (heads.containsKey(0)
                && !LETTER.matcher(all.get(heads.get(0)).text()).matches()) {
            heads.remove(0);
        }
        Map<Integer, Columns.Use> uses = new HashMap<>();
        for (Map.Entry<Integer, Integer> head : heads.entrySet()) {
            String letter = all.get(head.getValue()).text().replaceAll("\\W", "");
            boolean next =
                    head.getKey() == uses.size() + 1 && letter.equals(String.valueOf((char) ('A' + uses.size())));
            if (!next) {
                return Map.of();
            }
            uses.put(head.getKey(), new Columns.Use(Columns.Kind.OPTION, letter, false));
        }
        Map<Integer, Map<Integer, Integer>> below = new TreeMap<>(rows);
        below.remove(first);
        boolean filled = below.size() >= FEWEST_ROWS
                && uses.size() >= FEWEST_OPTIONS
                && below.values().stream().allMatch(row -> row.size() == uses.size() + 1 && isQuestion(all, row));
        if (!filled) {
            return Map.of();
        }
        uses.put(0, new Columns.Use(Columns.Kind.QUESTION, "", false));
        return uses;
    }

    private static boolean isQuestion(List<Cues> all, Map<Integer, Integer> row) {
        return row.containsKey(0)
                && all.get(row.get(0)).words().size() > 1
                && row.entrySet().stream()
                        .filter(cell -> cell.getKey() > 0)
                        .noneMatch(cell -> SIGN.matcher(
                                        all.get(cell.getValue()).text().strip())
                                .matches());
    }
}
