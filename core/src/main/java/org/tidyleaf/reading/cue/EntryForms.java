package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.source.Cell;

/** "Marks achieved: | / 14", "Signature: |", "Date: |": a table of names and room where one name is known to be filled in. */
final class EntryForms {

    private EntryForms() {}

    static void mark(List<Cues> all) {
        Map<Integer, List<Integer>> tables = new LinkedHashMap<>();
        for (int i = 0; i < all.size(); i++) {
            int place = i;
            all.get(i)
                    .line()
                    .layout()
                    .cell()
                    .ifPresent(cell -> tables.computeIfAbsent(cell.table(), table -> new ArrayList<>())
                            .add(place));
        }
        for (List<Integer> table : tables.values()) {
            if (isForm(all, table)) {
                table.forEach(piece -> all.get(piece).traits().add(Trait.FILL_IN));
                int above = table.get(0) - 1;
                if (above >= 0 && isName(all.get(above))) {
                    all.get(above).traits().add(Trait.FILL_IN);
                }
            }
        }
    }

    private static boolean isForm(List<Cues> all, List<Integer> table) {
        return table.size() > 1
                && table.stream().anyMatch(piece -> all.get(piece).is(Trait.FILL_IN))
                && table.stream().allMatch(piece -> isName(all.get(piece)) || isRoom(all.get(piece)))
                && table.stream().anyMatch(piece -> isInFirstColumn(all.get(piece)));
    }

    private static boolean isName(Cues cues) {
        return cues.is(Trait.FILL_IN)
                || cues.is(Trait.COLON) && cues.is(Trait.SHORT) && cues.labels().isEmpty();
    }

    private static boolean isRoom(Cues cues) {
        return cues.is(Trait.WRITING_LINE)
                || PointsFinder.isScore("__ " + cues.text().strip());
    }

    private static boolean isInFirstColumn(Cues cues) {
        return cues.line()
                .layout()
                .cell()
                .map(Cell::column)
                .filter(column -> column == 0)
                .isPresent();
    }
}
