package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** Types what is answered in a table: boxes to tick in each row, cells to fill. */
final class TableKinds {

    private final Typist typist;

    TableKinds(Typist typist) {
        this.typist = typist;
    }

    void grid(Content.Grid grid) {
        typist.stem("", grid.stem(), "");
        boolean boxes = typist.number() % 2 == 0;
        List<List<String>> table = new ArrayList<>();
        List<String> heads = new ArrayList<>(List.of(""));
        heads.addAll(grid.columns());
        table.add(heads);
        StringBuilder key = new StringBuilder();
        for (int i = 0; i < grid.rows().size(); i++) {
            List<String> row = new ArrayList<>(List.of(grid.rows().get(i)));
            grid.columns().forEach(column -> row.add(boxes ? "\u2610" : ""));
            table.add(row);
            key.append("\n    = ")
                    .append(grid.rows().get(i))
                    .append(" = ")
                    .append(grid.columns().get(grid.key().get(i)));
        }
        typist.page().table(table);
        String right = grid.key().stream().map(grid.columns()::get).collect(Collectors.joining(", "));
        typist.answer(right, "");
        typist.expect("grid", grid.stem(), typist.hasKey() ? key.toString() : "");
    }

    void cells(Content.Cells cells) {
        typist.stem("", cells.stem(), "");
        boolean rules = typist.number() % 2 == 0;
        typist.page()
                .table(cells.rows().stream()
                        .map(row -> row.stream()
                                .map(cell -> cell.equals("_") ? rules ? "______" : "" : cell)
                                .toList())
                        .toList());
        typist.answer(String.join(", ", cells.accepted()), "");
        typist.expect(
                "table-entry",
                cells.stem(),
                typist.hasKey() ? "\n    = " + String.join("\n    = ", cells.accepted()) : "");
    }
}
