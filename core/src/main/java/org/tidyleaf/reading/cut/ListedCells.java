package org.tidyleaf.reading.cut;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.tidyleaf.reading.line.ListedOptions;
import org.tidyleaf.reading.model.Piece;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/**
 * A column headed "Options" with all of a question in one cell, "wax | honey | pollen", parted alike in every row; in a cell of
 * several lines each line is an option.
 */
final class ListedCells {

    private record Column(int table, int column) {}

    private final Set<Column> columns = new HashSet<>();
    private final Set<Cell> severalLines = new HashSet<>();

    ListedCells(Source source) {
        Set<Column> headed = source.lines().stream()
                .filter(line ->
                        line.layout().cell().filter(cell -> cell.row() == 0).isPresent())
                .filter(line ->
                        Vocabulary.ALL.has("options", line.text().strip().replaceAll("[.:]$", "")))
                .map(ListedCells::column)
                .collect(Collectors.toSet());
        columns.addAll(headed);
        Set<Cell> seen = new HashSet<>();
        source.lines().stream()
                .flatMap(line -> line.layout().cell().stream())
                .filter(cell -> !seen.add(cell))
                .forEach(severalLines::add);
    }

    private static Column column(Line line) {
        Cell cell = line.layout().cell().orElseThrow();
        return new Column(cell.table(), cell.column());
    }

    /** One piece for each option, without what parts them; empty where the line is no such cell. */
    List<Piece> pieces(Line line) {
        boolean listed = !columns.isEmpty()
                && line.layout()
                        .cell()
                        .filter(cell -> cell.row() > 0 && !severalLines.contains(cell))
                        .isPresent()
                && columns.contains(column(line));
        return listed ? ListedOptions.parted(line, 0) : List.of();
    }
}
