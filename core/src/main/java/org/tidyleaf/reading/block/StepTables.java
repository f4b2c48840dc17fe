package org.tidyleaf.reading.block;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.source.Cell;

/** "Write 1–5 in the boxes." over a table of two columns, one with the steps, the other with room for their numbers. */
final class StepTables {

    private static final Pattern ROOM =
            Pattern.compile("[_.\u2026\\s]*(\\d{0,2})[_.\u2026)\\s]*|" + BlockFinder.TICK.pattern());

    private static final int FEWEST = 3;

    private StepTables() {}

    /** What each piece of such a table is; empty where it is another kind of table. */
    static Map<Integer, Blocks.Kind> find(List<Cues> all, List<Integer> table) {
        boolean two = !table.isEmpty()
                && table.stream().allMatch(piece -> cell(all, piece).columns() == 2);
        if (!two) {
            return Map.of();
        }
        return find(all, table, 0, 0)
                .or(() -> find(all, table, 1, 0))
                .or(() -> find(all, table, 0, 1))
                .or(() -> find(all, table, 1, 1))
                .orElse(Map.of());
    }

    /** @param firstRow the first row of steps, below one with the names of the columns */
    private static Optional<Map<Integer, Blocks.Kind>> find(
            List<Cues> all, List<Integer> table, int room, int firstRow) {
        Map<Integer, Blocks.Kind> found = new HashMap<>();
        Map<Integer, String> numbers = new TreeMap<>();
        Map<Integer, Integer> steps = new TreeMap<>();
        for (int piece : table) {
            Cell cell = cell(all, piece);
            String text = all.get(piece).text().strip();
            boolean blank = ROOM.matcher(text).matches();
            if (cell.row() < firstRow) {
                found.put(piece, Blocks.Kind.TABLE_HEAD);
            } else if (cell.column() == room && blank) {
                numbers.put(cell.row(), text.replaceAll("\\D", ""));
                found.put(piece, Blocks.Kind.STEP_PLACE);
            } else if (cell.column() == room || blank || steps.put(cell.row(), piece) != null) {
                return Optional.empty();
            } else {
                found.put(piece, Blocks.Kind.STEP);
            }
        }
        return steps.size() >= FEWEST && !countOn(numbers, steps.size()) ? Optional.of(found) : Optional.empty();
    }

    /** 1, 2, 3 from above are the labels of a list. */
    private static boolean countOn(Map<Integer, String> numbers, int rows) {
        int expected = 0;
        for (String number : numbers.values()) {
            expected++;
            if (!number.equals(String.valueOf(expected))) {
                return false;
            }
        }
        return expected == rows;
    }

    private static Cell cell(List<Cues> all, int piece) {
        return all.get(piece).line().layout().cell().orElseThrow();
    }
}
