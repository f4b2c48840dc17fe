package org.tidyleaf.intake.rtf;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Layout;
import org.tidyleaf.source.Line;

/**
 * Counts tables, rows and cells while a rich text is walked through. A row tells how many cells it had only at its end,
 * so the lines are given their counts afterwards. One per document, not shared.
 */
final class RtfTables {

    /** A table that is open at one depth of nesting. */
    private static final class Open {
        final int table;
        int row;
        int column;

        Open(int table) {
            this.table = table;
        }
    }

    private record Row(int table, int row) {}

    private final List<Open> open = new ArrayList<>();
    private final Map<Row, Integer> columns = new HashMap<>();
    private int tables;

    /** The cell in which a paragraph of that depth stands; 0 is outside of all tables and ends them. */
    Optional<Cell> at(int depth) {
        while (open.size() > depth) {
            open.remove(open.size() - 1);
        }
        while (open.size() < depth) {
            open.add(new Open(tables++));
        }
        if (depth == 0) {
            return Optional.empty();
        }
        Open innermost = open.get(depth - 1);
        return Optional.of(new Cell(innermost.table, innermost.row, innermost.column, innermost.column + 1));
    }

    void endCell(int depth) {
        if (depth > 0 && depth <= open.size()) {
            open.get(depth - 1).column++;
        }
    }

    void endRow(int depth) {
        if (depth > 0 && depth <= open.size()) {
            Open ended = open.get(depth - 1);
            columns.put(new Row(ended.table, ended.row), ended.column);
            ended.row++;
            ended.column = 0;
        }
    }

    /** The lines with the numbers of columns that their rows turned out to have. */
    List<Line> counted(List<Line> lines) {
        return lines.stream().map(this::counted).toList();
    }

    private Line counted(Line line) {
        Layout layout = line.layout();
        return layout.cell()
                .map(cell -> {
                    int count = columns.getOrDefault(new Row(cell.table(), cell.row()), cell.columns());
                    Cell counted = new Cell(cell.table(), cell.row(), cell.column(), Math.max(count, cell.columns()));
                    return new Line(
                            line.number(),
                            line.text(),
                            line.labelEnd(),
                            line.spans(),
                            new Layout(
                                    layout.indent(),
                                    layout.spaceBefore(),
                                    layout.style(),
                                    layout.place(),
                                    Optional.of(counted),
                                    layout.centered(),
                                    layout.box()));
                })
                .orElse(line);
    }
}
