package org.tidyleaf.intake.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Place;

/** Tables in plain text, their cells parted by upright bars: lines below one another with as many bars each. */
final class PipeTables {

    private static final Pattern RULE = Pattern.compile("[|+\\s:=-]*-{2,}[|+\\s:=-]*");

    /** A line with bars that stands alone may list words. */
    private static final int FEWEST_ROWS = 2;

    private final LineCollector lines;
    private int tables;

    PipeTables(LineCollector lines) {
        this.lines = lines;
    }

    /** How many lines from a place on make one table; 0 where none begins there. */
    static int rowsAt(List<String> all, int from) {
        int columns = cells(all.get(from)).size();
        int to = from;
        int rows = 0;
        while (columns > 1
                && to < all.size()
                && (RULE.matcher(all.get(to).strip()).matches()
                        || cells(all.get(to)).size() == columns)) {
            rows += RULE.matcher(all.get(to).strip()).matches() ? 0 : 1;
            to++;
        }
        return rows >= FEWEST_ROWS && columns > 1 ? to - from : 0;
    }

    /** Adds the rows cell by cell; rules between them are no lines of their own. */
    void add(List<String> rows) {
        int row = 0;
        for (String text : rows) {
            if (RULE.matcher(text.strip()).matches()) {
                continue;
            }
            List<String> cells = cells(text);
            for (int column = 0; column < cells.size(); column++) {
                lines.append(cells.get(column), Set.of(), "");
                lines.end(0, "", Place.BODY, Optional.of(new Cell(tables, row, column, cells.size())), false);
            }
            row++;
        }
        tables++;
    }

    private static List<String> cells(String line) {
        // Without a bar before the first cell one behind the last parts it from an empty cell.
        String bare = line.strip().replaceAll("^[|](.*?)[|]?$", "$1");
        if (!bare.contains("|")) {
            return List.of();
        }
        List<String> cells = new ArrayList<>();
        for (String cell : bare.split("[|]", -1)) {
            cells.add(cell.strip());
        }
        return cells;
    }
}
