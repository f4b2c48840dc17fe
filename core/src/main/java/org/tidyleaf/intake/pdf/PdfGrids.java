package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Tables without rules: texts that stand in columns and wrap there, long before the page ends. What only stands at tabs is left to
 * its rows, for those say the same.
 */
final class PdfGrids {

    /** In sizes of letters: rows further apart are not of one table. */
    private static final float APART = 3.2f;

    /** Lines so many times as far apart as the nearest above are of two tables. */
    private static final float BETWEEN = 1.9f;

    /** In points: what differs less begins at one place. */
    private static final float SAME_PLACE = 2.5f;

    /** In points: so far before its text a column's edge may lie. */
    private static final float BESIDE = 20;

    /** So many rows without a gap make a column of text for certain. */
    private static final int LONG = 12;

    /** No page that people print has more. */
    private static final int MOST_LINES = 500;

    private PdfGrids() {}

    /** The pages with their tables besides those drawn with rules; what stands in columns of text, on whatever page, is none. */
    static List<PdfPage> added(List<PdfPage> pages) {
        List<List<PdfGrid>> grids = pages.stream()
                .map(page -> find(PdfGridLine.of(PdfRow.rows(page))))
                .toList();
        List<PdfTables.Table> wrapped = grids.stream()
                .flatMap(List::stream)
                .filter(PdfGrid::wrapped)
                .flatMap(grid -> grid.table().stream())
                .toList();
        List<List<PdfTables.Table>> tables = new ArrayList<>();
        List<PdfColumns.Reach> columns = new ArrayList<>();
        for (int i = 0; i < pages.size(); i++) {
            List<PdfTables.Table> found = new ArrayList<>(grids.get(i).stream()
                    .flatMap(grid -> grid.table().stream())
                    .filter(table -> wrapped.stream().anyMatch(other -> isLike(table, other)))
                    .toList());
            columns.addAll(withoutColumns(pages.get(i), found));
            tables.add(found);
        }
        List<PdfPage> added = new ArrayList<>();
        for (int i = 0; i < pages.size(); i++) {
            List<PdfTables.Table> found = tables.get(i);
            found.removeIf(table ->
                    columns.stream().anyMatch(column -> column.baselines().size() >= LONG && isCutBy(table, column)));
            added.add(pages.get(i).withTables(found));
        }
        return added;
    }

    /** Whether the columns of one table begin where those of another do. */
    private static boolean isLike(PdfTables.Table table, PdfTables.Table other) {
        return table.columns() == other.columns()
                && IntStream.range(0, table.columns())
                        .allMatch(column ->
                                isNear(table.xs().get(column), other.xs().get(column)));
    }

    /** Removes what reaches into a second column of the page that no table explains; returns those columns. */
    private static List<PdfColumns.Reach> withoutColumns(PdfPage page, List<PdfTables.Table> found) {
        List<PdfColumns.Reach> columns = new ArrayList<>();
        for (PdfColumns.Reach column : PdfColumns.secondColumns(page, PdfRow.rows(page))) {
            boolean explained =
                    column.baselines().stream().allMatch(y -> found.stream().anyMatch(table -> holds(table, y)));
            if (!explained) {
                found.removeIf(table -> column.baselines().stream().anyMatch(y -> holds(table, y)));
                columns.add(column);
            }
        }
        return columns;
    }

    private static boolean holds(PdfTables.Table table, float baseline) {
        return table.top() < baseline && baseline < table.bottom();
    }

    /** Whether a column of the table begins where one of text does. */
    private static boolean isCutBy(PdfTables.Table table, PdfColumns.Reach column) {
        return table.xs().subList(1, table.columns()).stream()
                .anyMatch(edge -> edge <= column.left() && column.left() - edge < BESIDE);
    }

    private static List<PdfGrid> find(List<PdfGridLine> lines) {
        List<PdfGrid> grids = new ArrayList<>();
        int at = 0;
        while (at < lines.size() && lines.size() <= MOST_LINES) {
            Block block = block(lines, at);
            if (block.end() - at < 2) {
                at++;
                continue;
            }
            PdfGrid grid = PdfGrid.of(lines.subList(at, block.end()), block.strips());
            grids.add(grid);
            at += grid.height();
        }
        return grids;
    }

    /** Lines from one on that leave the same white strips. */
    private record Block(int end, List<PdfGridLine.Strip> strips) {}

    private static Block block(List<PdfGridLine> lines, int from) {
        List<PdfGridLine.Strip> strips = lines.get(from).gaps();
        int end = from + 1;
        float least = Float.MAX_VALUE;
        while (end < lines.size() && lines.get(from).parts().size() > 1) {
            PdfGridLine line = lines.get(end);
            List<PdfGridLine.Strip> left = line.clear(strips);
            float distance = line.top() - lines.get(end - 1).bottom();
            boolean apart = distance > APART * line.size() || distance > BETWEEN * least;
            least = Math.min(least, distance);
            if (apart
                    || isOfOtherColumns(lines.subList(from, end), line)
                    || inner(lines.subList(from, end + 1), left).isEmpty()
                    || crossesUsed(lines.subList(from, end), strips, line)) {
                break;
            }
            strips = left;
            end++;
        }
        return new Block(end, inner(lines.subList(from, end), strips));
    }

    /** The strips with something on both sides. */
    private static List<PdfGridLine.Strip> inner(List<PdfGridLine> lines, List<PdfGridLine.Strip> strips) {
        return strips.stream()
                .filter(strip -> lines.stream().anyMatch(line -> line.isLeftOf(strip))
                        && lines.stream().anyMatch(line -> line.isRightOf(strip)))
                .toList();
    }

    /** Whether most texts of the line begin at other places than all those above. */
    private static boolean isOfOtherColumns(List<PdfGridLine> above, PdfGridLine line) {
        List<Float> places = above.stream()
                .flatMap(other -> other.parts().stream())
                .map(PdfGridLine.Part::left)
                .toList();
        long beginning = line.parts().stream()
                .filter(part -> places.stream().anyMatch(place -> isNear(place, part.left())))
                .count();
        // A row of heads has none over the numbers and the texts.
        float head = above.get(0).parts().get(0).left();
        boolean belowHeads =
                above.size() == 1 && (beginning > 0 || line.parts().stream().allMatch(part -> part.right() < head));
        return line.parts().size() > 1
                && !belowHeads
                && beginning * 2 < line.parts().size();
    }

    private static boolean isNear(float one, float other) {
        return Math.abs(one - other) < SAME_PLACE;
    }

    /** Whether the line runs through a strip that parts two of the lines above. */
    private static boolean crossesUsed(List<PdfGridLine> above, List<PdfGridLine.Strip> strips, PdfGridLine line) {
        return strips.stream()
                .filter(strip -> line.clear(List.of(strip)).isEmpty())
                .anyMatch(strip -> above.stream()
                                .filter(other -> other.isLeftOf(strip) && other.isRightOf(strip))
                                .count()
                        > 1);
    }
}
