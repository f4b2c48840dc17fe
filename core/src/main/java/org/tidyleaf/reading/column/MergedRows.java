package org.tidyleaf.reading.column;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.tidyleaf.reading.block.BlockFinder;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;

/**
 * Tables in which a question's cell reaches over the rows of its options, each with a box beside it: "1 | Which joint …? | butt
 * joint | ☐", and below it only "dovetail | ☒".
 */
final class MergedRows {

    private static final int FEWEST_QUESTIONS = 2;
    private static final Pattern NUMBER = Pattern.compile("[(]?\\d{1,3}[.):]?");
    private static final Pattern TICKED =
            Pattern.compile("[xX\u2713\u2714\u2611\u2612\u25cf]|\\[\\s?[xX]\\s?]|\\(\\s?[xX]\\s?\\)");

    private final List<Cues> all;
    private final Map<Integer, Map<Integer, Integer>> rows;

    private MergedRows(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        this.all = all;
        this.rows = rows;
    }

    /**
     * What its cells are for; empty where the table is no such one.
     *
     * @param rows rows and columns give the place of the first piece in each cell
     */
    static Map<Integer, Columns.Use> find(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        MergedRows merged = new MergedRows(all, rows);
        for (int question = 0; question <= 1; question++) {
            for (boolean boxBehind : new boolean[] {true, false}) {
                int option = question + (boxBehind ? 1 : 2);
                int box = question + (boxBehind ? 2 : 1);
                Map<Integer, Columns.Use> uses = merged.uses(question, option, box);
                if (!uses.isEmpty()) {
                    return uses;
                }
            }
        }
        return Map.of();
    }

    private Map<Integer, Columns.Use> uses(int question, int option, int box) {
        Map<Integer, Columns.Use> uses = new HashMap<>();
        List<Integer> options = new ArrayList<>();
        for (Map<Integer, Integer> row : rows.values()) {
            boolean shaped = row.containsKey(option)
                    && row.containsKey(box)
                    && BlockFinder.TICK.matcher(text(row, box)).matches()
                    && !BlockFinder.TICK.matcher(text(row, option)).matches()
                    && row.keySet().stream().allMatch(column -> column <= Math.max(option, box));
            boolean first = row.containsKey(question);
            boolean numbered = question == 0
                    || !first
                    || row.containsKey(0) && NUMBER.matcher(text(row, 0)).matches();
            boolean alone = first || row.size() == 2 && !options.isEmpty();
            if (!shaped || !numbered || !alone) {
                return Map.of();
            }
            if (first) {
                options.add(0);
                if (question == 1) {
                    uses.put(row.get(0), new Columns.Use(Columns.Kind.NUMBER, "", true));
                }
                uses.put(row.get(question), new Columns.Use(Columns.Kind.QUESTION, "", question == 0));
            }
            options.set(options.size() - 1, options.get(options.size() - 1) + 1);
            boolean right = TICKED.matcher(text(row, box)).matches();
            Columns.Kind kind = right ? Columns.Kind.RIGHT_OPTION : Columns.Kind.OPTION;
            uses.put(row.get(option), new Columns.Use(kind, "", false));
            uses.put(row.get(box), new Columns.Use(Columns.Kind.LABEL, "", false));
        }
        boolean several = options.size() >= FEWEST_QUESTIONS && options.stream().allMatch(count -> count > 1);
        return several ? uses : Map.of();
    }

    private String text(Map<Integer, Integer> row, int column) {
        return all.get(row.get(column)).text().strip();
    }
}
