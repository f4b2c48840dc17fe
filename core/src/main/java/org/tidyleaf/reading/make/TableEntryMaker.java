package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.reading.line.GapParser;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Segment;

/** A table to complete: cells without text, or with a rule, become gaps, row by row. */
final class TableEntryMaker {

    private TableEntryMaker() {}

    /** @param said what a key says, the entries in the order of the gaps, or empty */
    static TableEntry make(ProseMaker prose, List<Cues> cells, Particulars particulars, String said) {
        Map<Integer, Map<Integer, List<Segment>>> table = new HashMap<>();
        int columns = 0;
        int rows = 0;
        for (Cues cues : cells) {
            Cell cell = cues.line().layout().cell().orElseThrow();
            table.computeIfAbsent(cell.row(), r -> new HashMap<>())
                    .computeIfAbsent(cell.column(), c -> new ArrayList<>())
                    .add(cues.piece().segment());
            // A last column that is empty throughout is one to fill.
            columns = Math.max(columns, cell.columns());
            rows = Math.max(rows, cell.row() + 1);
        }
        List<List<Prose>> filled = new ArrayList<>();
        int gaps = 0;
        for (int row = 0; row < rows; row++) {
            List<Prose> line = new ArrayList<>();
            for (int column = 0; column < columns; column++) {
                List<Segment> segments = table.getOrDefault(row, Map.of()).getOrDefault(column, List.of());
                boolean corner = row == 0 && column == 0 && segments.isEmpty();
                Prose cell =
                        segments.isEmpty() && !corner ? new Prose(List.of(new Inline.Gap(1))) : prose.stem(segments);
                line.add(numbered(cell, gaps));
                gaps += cell.gapCount();
            }
            filled.add(line);
        }
        return new TableEntry(particulars, filled, GapParser.accepted(withoutHeads(said, filled), gaps));
    }

    /** "Grinding \u2013 face shield; Lifting \u2013 gloves": the words of the row before its entry only say where it belongs. */
    private static String withoutHeads(String said, List<List<Prose>> table) {
        String bare = said;
        for (List<Prose> row : table) {
            String head = row.get(0).plain().strip();
            if (row.get(0).gapCount() == 0 && head.length() > 1) {
                bare = bare.replaceFirst("(?i)(?<![\\p{L}\\p{N}])" + Pattern.quote(head) + "\\s*[\u2013:=-]\\s+", "");
            }
        }
        return bare;
    }

    /** Gaps count through the whole table. */
    private static Prose numbered(Prose cell, int before) {
        return new Prose(cell.parts().stream()
                .map(part -> part instanceof Inline.Gap gap ? new Inline.Gap(gap.number() + before) : part)
                .toList());
    }
}
