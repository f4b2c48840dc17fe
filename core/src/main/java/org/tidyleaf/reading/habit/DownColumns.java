package org.tidyleaf.reading.habit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Seen;
import org.tidyleaf.source.Cell;

/**
 * "1) 3 l = ____ ml   |   4) 250 ml = ____ l" over "2) … | 5) …" and "3) … | 6) …": the numbers of rows count on down each column,
 * where those of a text count on from line to line.
 */
final class DownColumns {

    private static final int FEWEST_ROWS = 2;

    private DownColumns() {}

    /** The same labels, those that count down columns in the order of their numbers. */
    static List<Seen> ordered(List<Cues> all, List<Seen> seen) {
        List<Seen> ordered = new ArrayList<>(seen);
        List<List<Seen>> rows = rows(all, seen);
        int at = 0;
        for (int from = 0; from < rows.size(); ) {
            int to = from + 1;
            while (to < rows.size() && countsOn(rows.get(to - 1), rows.get(to))) {
                to++;
            }
            int size = rows.subList(from, to).stream().mapToInt(List::size).sum();
            if (to - from >= FEWEST_ROWS && isDown(rows.subList(from, to))) {
                ordered.subList(at, at + size)
                        .sort(Comparator.comparingInt(one -> one.label().ordinal()));
            }
            at += size;
            from = to;
        }
        return ordered;
    }

    /** Labels on one line, or in one row of a table. */
    private static List<List<Seen>> rows(List<Cues> all, List<Seen> seen) {
        List<List<Seen>> rows = new ArrayList<>();
        for (Seen one : seen) {
            List<Seen> row = rows.isEmpty() ? List.of() : rows.get(rows.size() - 1);
            if (!row.isEmpty() && isBeside(all, row.get(row.size() - 1), one)) {
                row.add(one);
            } else {
                rows.add(new ArrayList<>(List.of(one)));
            }
        }
        return rows;
    }

    private static boolean isBeside(List<Cues> all, Seen left, Seen right) {
        Cues one = all.get(left.piece());
        Cues other = all.get(right.piece());
        if (one.line() == other.line()) {
            return true;
        }
        Optional<Cell> cell = one.line().layout().cell();
        Optional<Cell> next = other.line().layout().cell();
        return cell.isPresent()
                && next.isPresent()
                && cell.get().table() == next.get().table()
                && cell.get().row() == next.get().row()
                && cell.get().column() < next.get().column();
    }

    /** Whether each number of a row is one more than the one above it; the last columns may be shorter. */
    private static boolean countsOn(List<Seen> above, List<Seen> row) {
        if (above.size() < 2 || row.size() > above.size()) {
            return false;
        }
        for (int column = 0; column < row.size(); column++) {
            if (row.get(column).label().ordinal() != above.get(column).label().ordinal() + 1) {
                return false;
            }
        }
        return true;
    }

    /** Whether each column goes on where the one to its left ended. */
    private static boolean isDown(List<List<Seen>> rows) {
        TreeMap<Integer, Integer> last = new TreeMap<>();
        for (List<Seen> row : rows) {
            for (int column = 0; column < row.size(); column++) {
                last.put(column, row.get(column).label().ordinal());
            }
        }
        List<Seen> first = rows.get(0);
        for (int column = 1; column < first.size(); column++) {
            if (first.get(column).label().ordinal() != last.get(column - 1) + 1) {
                return false;
            }
        }
        return true;
    }
}
