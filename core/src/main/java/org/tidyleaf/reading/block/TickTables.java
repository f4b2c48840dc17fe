package org.tidyleaf.reading.block;

import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;

/**
 * Tables of statements and columns to tick, perhaps with the statements' numbers in a column before them. Rows are maps from
 * columns to cells; the first row holds the heads.
 */
public final class TickTables {

    private static final Pattern NUMBER = Pattern.compile("[(]?(?:\\d{1,3}|[A-Za-z]|[ivx]{1,4})[.)]?");
    private static final int MOST_HEADS = 8;

    private TickTables() {}

    /** The column of the statements: the second where the first only numbers them. */
    public static int statements(List<Map<Integer, Cues>> rows) {
        boolean numbered = rows.size() > 1
                && rows.stream()
                        .skip(1)
                        .allMatch(row -> row.containsKey(0)
                                && row.containsKey(1)
                                && NUMBER.matcher(row.get(0).text().strip()).matches()
                                && !BlockFinder.TICK.matcher(row.get(1).text()).matches());
        return numbered ? 1 : 0;
    }

    /** Heads over all columns but perhaps those of the statements and numbers, and below them nothing but ticks. */
    static boolean isOne(List<Map<Integer, Cues>> rows) {
        int statements = statements(rows);
        Map<Integer, Cues> heads = rows.get(0);
        long columns =
                heads.keySet().stream().filter(column -> column > statements).count();
        return columns >= 2
                && heads.size() <= MOST_HEADS
                && rows.stream()
                        .skip(1)
                        .allMatch(row -> row.containsKey(statements)
                                && row.entrySet().stream()
                                        .filter(cell -> cell.getKey() > statements)
                                        .allMatch(cell -> BlockFinder.TICK
                                                .matcher(cell.getValue().text())
                                                .matches()));
    }
}
