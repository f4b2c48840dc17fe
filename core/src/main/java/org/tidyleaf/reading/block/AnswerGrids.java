package org.tidyleaf.reading.block;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Cell;

/** "Write your answers in this table:" over a row of numbers from 1 and an empty row: room for the answers to all questions. */
final class AnswerGrids {

    private static final int FEWEST = 4;

    private AnswerGrids() {}

    /** The cells of such tables and the lines that announce them. */
    static Map<Integer, Blocks.Kind> find(List<Cues> all) {
        Map<Integer, Map<Integer, Map<Integer, Integer>>> tables = new TreeMap<>();
        for (int i = 0; i < all.size(); i++) {
            int piece = i;
            all.get(i)
                    .line()
                    .layout()
                    .cell()
                    .ifPresent(cell -> tables.computeIfAbsent(cell.table(), table -> new TreeMap<>())
                            .computeIfAbsent(cell.row(), row -> new TreeMap<>())
                            .put(cell.column(), piece));
        }
        Map<Integer, Blocks.Kind> found = new HashMap<>();
        for (Map<Integer, Map<Integer, Integer>> rows : tables.values()) {
            if (isGrid(all, rows)) {
                rows.values().forEach(row -> row.values().forEach(piece -> found.put(piece, Blocks.Kind.ANSWER_GRID)));
                int first = rows.values().iterator().next().values().iterator().next();
                if (first > 0 && isAnnouncement(all.get(first - 1))) {
                    found.put(first - 1, Blocks.Kind.ANSWER_GRID);
                }
            }
        }
        return found;
    }

    /** "Write the letters in the table.", with nothing that numbers it. */
    private static boolean isAnnouncement(Cues cues) {
        boolean said = cues.is(Trait.INSTRUCTION_WORD)
                || Vocabulary.ALL.mentions(cues.words(), "answer")
                || Vocabulary.ALL.mentions(cues.words(), "list");
        return said
                && cues.labels().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && !cues.is(Trait.GAP)
                && !cues.is(Trait.SECTION_WORD)
                && !cues.is(Trait.RANGE);
    }

    /** Rows with nothing but numbers that count from 1, and no other cell with anything in it. */
    private static boolean isGrid(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        int count = 0;
        for (Map<Integer, Integer> row : rows.values()) {
            for (int piece : row.values()) {
                Cell cell = all.get(piece).line().layout().cell().orElseThrow();
                String text = all.get(piece).text().strip().replaceAll("[.)]$", "");
                if (text.isEmpty() || text.matches("[_.\u2026]+")) {
                    continue;
                }
                if (!text.equals(String.valueOf(count + 1)) || cell.columns() < FEWEST) {
                    return false;
                }
                count++;
            }
        }
        return count >= FEWEST;
    }
}
