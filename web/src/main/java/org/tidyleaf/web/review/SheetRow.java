package org.tidyleaf.web.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.source.Cell;

/**
 * What stands side by side on the sheet: the cells of a table's row, or a single line by itself.
 *
 * @param cells from left to right, the lines of each from top to bottom; an empty cell has none
 * @param head whether it is the first row of its table
 */
record SheetRow(List<List<SheetLine>> cells, boolean head) {

    /** More columns than that are too narrow to read, and stand below one another. */
    private static final int MOST_COLUMNS = 5;

    public boolean isTable() {
        return cells.size() > 1;
    }

    /** The only line, where it is none of a table. */
    public SheetLine line() {
        return cells.get(0).get(0);
    }

    /** Lines in the order of the source, those of a table's row together. */
    static List<SheetRow> of(List<SheetLine> lines) {
        List<SheetRow> rows = new ArrayList<>();
        Optional<Cell> open = Optional.empty();
        for (SheetLine line : lines) {
            Optional<Cell> cell = line.cell().filter(place -> place.columns() > 1 && place.columns() <= MOST_COLUMNS);
            boolean sameRow = cell.isPresent()
                    && open.filter(place -> place.table() == cell.get().table()
                                    && place.row() == cell.get().row()
                                    && place.columns() == cell.get().columns())
                            .isPresent();
            if (cell.isEmpty()) {
                rows.add(new SheetRow(List.of(List.of(line)), false));
            } else {
                if (!sameRow) {
                    rows.add(
                            new SheetRow(empty(cell.get().columns()), cell.get().row() == 0));
                }
                rows.get(rows.size() - 1).cells().get(cell.get().column()).add(line);
            }
            open = cell;
        }
        return rows;
    }

    private static List<List<SheetLine>> empty(int columns) {
        List<List<SheetLine>> cells = new ArrayList<>();
        for (int i = 0; i < columns; i++) {
            cells.add(new ArrayList<>());
        }
        return cells;
    }
}
