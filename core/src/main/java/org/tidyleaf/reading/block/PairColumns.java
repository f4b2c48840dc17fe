package org.tidyleaf.reading.block;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.source.Cell;

/**
 * The columns of a table of pairs with labels in columns of their own, "1 | worker | ☐ | A | lays eggs": two hold the sides, the
 * others their labels or room for an answer.
 *
 * @param firstRow the first row of pairs, below a row of names
 * @param left the column of the left side
 * @param right the column of the right side
 * @param kinds what each column holds
 */
public record PairColumns(int firstRow, int left, int right, List<Kind> kinds) {

    private static final int FEWEST_COLUMNS = 4;

    private static final int MOST_COLUMNS = 7;

    private static final Pattern LABEL = Pattern.compile("[(]?(?:\\d{1,2}|[A-Za-z]|[ivx]{1,4})[.)]?");

    private static final Pattern ROOM = Pattern.compile("|" + BlockFinder.TICK.pattern()
            + "|[A-Za-z]|\\d|[_.\u2026]+|[\u2022\u00b7]|[(\\[]\\s*[A-Za-z\\d]?\\s*[)\\]]");

    /** What a column holds. */
    enum Kind {
        LABELS,
        ROOM,
        TEXTS
    }

    /** The columns of all pieces of one table; empty where it is another kind of table. */
    public static Optional<PairColumns> of(List<Cues> table) {
        List<Cell> cells = table.stream()
                .flatMap(cues -> cues.line().layout().cell().stream())
                .toList();
        int columns = cells.isEmpty() ? 0 : cells.get(0).columns();
        boolean fits = columns >= FEWEST_COLUMNS
                && columns <= MOST_COLUMNS
                && cells.size() == table.size()
                && cells.stream().allMatch(cell -> cell.table() == cells.get(0).table() && cell.columns() == columns);
        return fits ? below(table, columns, 0).or(() -> below(table, columns, 1)) : Optional.empty();
    }

    private static Optional<PairColumns> below(List<Cues> table, int columns, int firstRow) {
        Map<Integer, List<String>> texts = new HashMap<>();
        for (Cues cues : table) {
            Cell cell = cues.line().layout().cell().orElseThrow();
            if (cell.row() >= firstRow && !cues.text().isBlank()) {
                texts.computeIfAbsent(cell.column(), column -> new ArrayList<>())
                        .add(cues.text().strip());
            }
        }
        List<Kind> kinds = new ArrayList<>();
        List<Integer> sides = new ArrayList<>();
        for (int column = 0; column < columns; column++) {
            kinds.add(kind(texts.getOrDefault(column, List.of())));
            if (kinds.get(column) == Kind.TEXTS) {
                sides.add(column);
            }
        }
        // "Tool | | | Use": without a label where all rows below have one, the first row names the sides.
        boolean heads = firstRow == 0 && isWithoutLabel(table, kinds, 0) && !isWithoutLabel(table, kinds, 1);
        boolean pairs = sides.size() == 2
                && !heads
                && kinds.contains(Kind.LABELS)
                && sides.stream().allMatch(side -> texts.get(side).size() > 1);
        return pairs ? Optional.of(new PairColumns(firstRow, sides.get(0), sides.get(1), kinds)) : Optional.empty();
    }

    private static boolean isWithoutLabel(List<Cues> table, List<Kind> kinds, int row) {
        return table.stream()
                .filter(cues -> !cues.text().isBlank())
                .map(cues -> cues.line().layout().cell().orElseThrow())
                .noneMatch(cell -> cell.row() == row && kinds.get(cell.column()) == Kind.LABELS);
    }

    private static Kind kind(List<String> texts) {
        boolean labels = texts.size() > 1
                && texts.stream().allMatch(text -> LABEL.matcher(text).matches());
        if (labels && texts.get(0).matches("[(]?[1aAi][.)]?")) {
            return Kind.LABELS;
        }
        return texts.stream().allMatch(text -> ROOM.matcher(text).matches()) ? Kind.ROOM : Kind.TEXTS;
    }

    /** The labels of a side, in order; empty where it has none. */
    public List<String> labels(List<Cues> table, boolean ofLeft) {
        int from = ofLeft ? 0 : left + 1;
        int to = ofLeft ? left : kinds.size();
        for (int column = from; column < to; column++) {
            if (kinds.get(column) == Kind.LABELS) {
                return texts(table, column);
            }
        }
        return List.of();
    }

    /** What stands in the room for answers, one for each entry of the left side; empty where there is no room. */
    public List<String> written(List<Cues> table) {
        return kinds.contains(Kind.ROOM) ? texts(table, kinds.indexOf(Kind.ROOM)) : List.of();
    }

    private List<String> texts(List<Cues> table, int column) {
        return table.stream()
                .filter(cues -> cues.line()
                        .layout()
                        .cell()
                        .filter(cell -> cell.column() == column && cell.row() >= firstRow)
                        .isPresent())
                .map(cues -> cues.text().replaceAll("[().]", "").strip())
                .toList();
    }
}
