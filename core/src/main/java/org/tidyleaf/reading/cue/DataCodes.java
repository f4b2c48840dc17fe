package org.tidyleaf.reading.cue;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Cell;

/** "P1 | 120 | 310": a code before nothing but figures names a row of data and is no question's. */
final class DataCodes {

    private static final Pattern FIGURE = Pattern.compile(
            "[<>~\u2248\u00b1+\u2212-]?\\s?\\d[\\d.,\\s]*\\s?[%\\p{L}\u00b0/\u00b2\u00b3]{0,5}|[-\u2013\u2014]");

    private DataCodes() {}

    /** A row of a table. */
    private record Row(int table, int row) {}

    static void unlabel(List<Cues> all) {
        Map<Row, Set<String>> others = new HashMap<>();
        for (Cues cues : all) {
            cues.line()
                    .layout()
                    .cell()
                    .filter(cell -> cell.column() > 0)
                    .ifPresent(cell -> others.computeIfAbsent(row(cell), row -> new HashSet<>())
                            .add(cues.text().strip()));
        }
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            Optional<Cell> cell = cues.line().layout().cell();
            boolean data = cell.isPresent()
                    && cell.get().column() == 0
                    && cues.has(Label.Kind.CODE)
                    && others.containsKey(row(cell.get()))
                    && others.get(row(cell.get())).stream()
                            .allMatch(text -> FIGURE.matcher(text).matches());
            if (data) {
                all.set(
                        i,
                        cues.withLabels(cues.labels().stream()
                                .filter(label -> label.kind() != Label.Kind.CODE)
                                .toList()));
            }
        }
    }

    private static Row row(Cell cell) {
        return new Row(cell.table(), cell.row());
    }
}
