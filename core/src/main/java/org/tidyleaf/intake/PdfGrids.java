package org.tidyleaf.intake;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Tables without rules: texts that stand in columns and wrap there, long before the page ends. What only stands at tabs is left to
 * its rows, for those say the same.
 */
final class PdfGrids {

    /** In sizes of letters: rows further apart are not of one table. */
    private static final float APART = 3.2f;

    /** In points: what differs less begins at one place. */
    private static final float SAME_PLACE = 2.5f;

    private PdfGrids() {}

    /** The tables of a page besides those drawn with rules. */
    static List<PdfTables.Table> find(PdfPage page) {
        List<PdfRow> rows = PdfRow.rows(page);
        List<PdfGridLine> lines = PdfGridLine.of(rows);
        List<PdfTables.Table> tables = new ArrayList<>();
        int at = 0;
        while (at < lines.size()) {
            Block block = block(lines, at);
            if (block.end() - at < 2) {
                at++;
                continue;
            }
            Optional<PdfGrid> grid = PdfGrid.of(lines.subList(at, block.end()), block.strips());
            grid.ifPresent(found -> tables.add(found.table()));
            at += grid.map(PdfGrid::height).orElse(block.end() - at);
        }
        if (!tables.isEmpty()) {
            List<PdfColumns.Reach> columns = PdfColumns.secondColumns(page, rows);
            tables.removeIf(table -> columns.stream().anyMatch(column -> isPartOf(table, column)));
        }
        return tables;
    }

    /** Whether a page's second column begins above the table, or goes on below it. */
    private static boolean isPartOf(PdfTables.Table table, PdfColumns.Reach column) {
        boolean overlap = column.from() < table.bottom() && column.to() > table.top();
        return overlap && (column.from() < table.top() || column.to() > table.bottom());
    }

    /** Lines from one on that leave the same white strips. */
    private record Block(int end, List<PdfGridLine.Strip> strips) {}

    private static Block block(List<PdfGridLine> lines, int from) {
        List<PdfGridLine.Strip> strips = lines.get(from).gaps();
        int end = from + 1;
        while (end < lines.size() && lines.get(from).parts().size() > 1) {
            PdfGridLine line = lines.get(end);
            List<PdfGridLine.Strip> left = line.clear(strips);
            boolean apart = line.top() - lines.get(end - 1).bottom() > APART * line.size();
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

    /** Whether most texts of the line begin at other places than those where several lines above begin theirs. */
    private static boolean isOfOtherColumns(List<PdfGridLine> above, PdfGridLine line) {
        List<Float> begun = above.stream()
                .flatMap(other -> other.parts().stream())
                .map(PdfGridLine.Part::left)
                .toList();
        List<Float> places = begun.stream()
                .filter(place ->
                        begun.stream().filter(other -> isNear(place, other)).count() > 1)
                .toList();
        long beginning = line.parts().stream()
                .filter(part -> places.stream().anyMatch(place -> isNear(place, part.left())))
                .count();
        return line.parts().size() > 1
                && !places.isEmpty()
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
