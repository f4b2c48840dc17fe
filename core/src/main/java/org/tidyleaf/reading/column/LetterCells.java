package org.tidyleaf.reading.column;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.source.Cell;

/** "A | wax", "B | honey": a table of nothing but options below what is asked, their letters without a sign in a column of their own. */
final class LetterCells {

    private static final int FEWEST_OPTIONS = 2;

    private static final int MOST_OPTIONS = 8;

    private LetterCells() {}

    /**
     * What its cells are for; empty where the table is no such one, or nothing that can ask stands above it.
     *
     * @param rows rows and columns give the place of the first piece in each cell
     */
    static Map<Integer, Columns.Use> find(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        Map<Integer, Columns.Use> uses = new HashMap<>();
        int options = 0;
        for (Map<Integer, Integer> row : rows.values()) {
            boolean shaped = row.size() == 2 && row.containsKey(0) && row.containsKey(1);
            String letter = String.valueOf((char) ('A' + options));
            if (!shaped || !text(all, row.get(0)).equalsIgnoreCase(letter) || columns(all.get(row.get(0))) != 2) {
                return Map.of();
            }
            options++;
            uses.put(row.get(0), new Columns.Use(Columns.Kind.LABEL, "", false));
            uses.put(row.get(1), new Columns.Use(Columns.Kind.OPTION, text(all, row.get(0)), false));
        }
        int above = rows.values().iterator().next().get(0) - 1;
        boolean asked = above >= 0 && all.get(above).line().layout().cell().isEmpty();
        return asked && options >= FEWEST_OPTIONS && options <= MOST_OPTIONS ? uses : Map.of();
    }

    private static int columns(Cues cues) {
        return cues.line().layout().cell().map(Cell::columns).orElse(0);
    }

    private static String text(List<Cues> all, int piece) {
        return all.get(piece).text().strip();
    }
}
