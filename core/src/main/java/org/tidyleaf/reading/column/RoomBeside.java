package org.tidyleaf.reading.column;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.source.Cell;

/** "1. | Name the box above the brood box. | (empty)": a column that a table of questions leaves empty is there to write in. */
final class RoomBeside {

    private RoomBeside() {}

    /** The places of the questions that have such a column in their table. */
    static Set<Integer> find(List<Cues> all, Map<Integer, Columns.Use> uses) {
        Map<Integer, List<Integer>> questions = new TreeMap<>();
        Map<Integer, Set<Integer>> filled = new HashMap<>();
        for (Map.Entry<Integer, Columns.Use> entry : new TreeMap<>(uses).entrySet()) {
            // A number may stand above its table.
            Optional<Cell> within = all.get(entry.getKey()).line().layout().cell();
            if (within.isEmpty()) {
                continue;
            }
            Cell cell = within.get();
            Columns.Kind kind = entry.getValue().kind();
            if (kind == Columns.Kind.QUESTION) {
                questions.computeIfAbsent(cell.table(), t -> new ArrayList<>()).add(entry.getKey());
            }
            if (kind != Columns.Kind.HEAD) {
                filled.computeIfAbsent(cell.table(), t -> new TreeSet<>()).add(cell.column());
            }
        }
        Set<Integer> found = new HashSet<>();
        questions.forEach((table, pieces) -> {
            int columns =
                    all.get(pieces.get(0)).line().layout().cell().orElseThrow().columns();
            if (filled.get(table).size() < columns) {
                found.addAll(pieces);
            }
        });
        return Set.copyOf(found);
    }
}
