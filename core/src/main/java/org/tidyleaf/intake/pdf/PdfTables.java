package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** Tables that are drawn with rules: which rules touch, and what cells they make. */
final class PdfTables {

    /** In points: rules that end so near to each other touch. */
    private static final float TOUCH = 3;

    /** In points: a narrower strip between two rules is a double rule and no cell. */
    private static final float LEAST_CELL = 6;

    /** Fewer lines in each of two cells are a heading in two parts. */
    private static final int LEAST_LINES = 3;

    /** In parts of a page's height: a higher frame is one of the page. */
    private static final float HIGHEST_BOX = 0.6f;

    private PdfTables() {}

    /**
     * A grid of cells.
     *
     * @param xs the places of its upright rules, from left to right
     * @param ys the places of its level rules, from top to bottom
     * @param rules all that is drawn of it
     * @param limits how far right the text of each column may reach, with the room that cells leave beside it
     */
    record Table(List<Float> xs, List<Float> ys, List<PdfPage.Mark> rules, List<Float> limits) {

        /** One whose texts reach to its rules. */
        Table(List<Float> xs, List<Float> ys, List<PdfPage.Mark> rules) {
            this(xs, ys, rules, xs.subList(1, xs.size()));
        }

        /** How far right the text of a column may reach. */
        float limit(int column) {
            return limits.get(column);
        }

        /** Whether a rule stands between a cell and the one to its right. */
        boolean isParted(int row, int column) {
            float x = xs.get(column + 1);
            float middle = (ys.get(row) + ys.get(row + 1)) / 2;
            return rules.stream()
                    .anyMatch(rule -> rule.height() > rule.width()
                            && Math.abs((rule.left() + rule.right()) / 2 - x) < LEAST_CELL
                            && rule.top() <= middle
                            && middle <= rule.bottom());
        }

        boolean holds(PdfPage.Glyph glyph) {
            return row(glyph) >= 0 && column(glyph) >= 0;
        }

        int column(PdfPage.Glyph glyph) {
            return strip(xs, glyph.x() + glyph.width() / 2);
        }

        int row(PdfPage.Glyph glyph) {
            return strip(ys, glyph.y() - glyph.size() * 0.3f);
        }

        float right(int column) {
            return xs.get(column + 1);
        }

        /** Its right edge. */
        float right() {
            return xs.get(xs.size() - 1);
        }

        float left() {
            return xs.get(0);
        }

        float top() {
            return ys.get(0);
        }

        float bottom() {
            return ys.get(ys.size() - 1);
        }

        int columns() {
            return xs.size() - 1;
        }

        private static int strip(List<Float> edges, float at) {
            for (int i = 0; i + 1 < edges.size(); i++) {
                if (edges.get(i) <= at && at < edges.get(i + 1)) {
                    return i;
                }
            }
            return -1;
        }
    }

    static List<Table> find(PdfPage page) {
        List<PdfPage.Mark> rules = new ArrayList<>();
        for (PdfPage.Mark mark : page.marks()) {
            if (!mark.drawn() && Math.max(mark.width(), mark.height()) >= LEAST_CELL) {
                rules.add(mark);
            }
        }
        List<Table> tables = new ArrayList<>();
        for (List<PdfPage.Mark> group : groups(rules)) {
            List<Float> xs = edges(group, true);
            List<Float> ys = edges(group, false);
            if (xs.size() < 2 || ys.size() < 2) {
                continue;
            }
            boolean grid = xs.size() >= 3 && ys.size() >= 3 || xs.size() >= 4 && ys.size() >= 2;
            Table table = new Table(xs, ys, List.copyOf(group));
            // At the top of a page a row may go on from the page before, with text in one of its cells.
            boolean narrow = xs.get(xs.size() - 1) - xs.get(0) < page.width() / 2;
            boolean rest = (xs.size() >= 4 || (page.number() > 0 || narrow) && xs.size() == 3)
                    && page.glyphs().stream().noneMatch(glyph -> glyph.y() < ys.get(0) && isOver(glyph, xs))
                    && filled(page, table) == 1;
            if ((grid || rest && (page.number() > 0 || narrow)) && (rest || filled(page, table) >= 2)
                    || isRowAtEdge(page, table)
                    || isRowOfLists(page, table)
                    || isBox(page, table)) {
                tables.add(table);
            }
        }
        return tables;
    }

    /** A frame around several lines of text, and not around the page. */
    private static boolean isBox(PdfPage page, Table table) {
        return table.xs().size() == 2
                && table.ys().size() == 2
                && table.bottom() - table.top() < page.height() * HIGHEST_BOX
                && page.glyphs().stream()
                                .filter(glyph -> !glyph.text().isBlank() && table.holds(glyph))
                                .map(glyph -> Math.round(glyph.y()))
                                .distinct()
                                .count()
                        > 1;
    }

    /** A single row of two cells with several lines in each: two lists side by side. */
    private static boolean isRowOfLists(PdfPage page, Table table) {
        if (table.xs().size() != 3 || table.ys().size() != 2) {
            return false;
        }
        List<Set<Integer>> baselines = List.of(new HashSet<>(), new HashSet<>());
        for (PdfPage.Glyph glyph : page.glyphs()) {
            if (table.holds(glyph) && !glyph.text().isBlank()) {
                baselines.get(table.column(glyph)).add(Math.round(glyph.y()));
            }
        }
        return baselines.stream().allMatch(lines -> lines.size() >= LEAST_LINES);
    }

    /** A row of two cells with nothing above it on its page, or nothing below, is all that the page holds of a longer table. */
    private static boolean isRowAtEdge(PdfPage page, Table table) {
        if (table.xs().size() != 3 || table.ys().size() != 2 || filled(page, table) != 2) {
            return false;
        }
        float top = table.top();
        float bottom = table.ys().get(1);
        List<PdfPage.Glyph> inColumn = page.glyphs().stream()
                .filter(glyph -> isOver(glyph, table.xs()))
                .toList();
        return inColumn.stream().noneMatch(glyph -> glyph.y() < top)
                || inColumn.stream().noneMatch(glyph -> glyph.y() - glyph.size() > bottom);
    }

    /** Whether a sign stands right above or below what reaches from the first of the edges to the last. */
    private static boolean isOver(PdfPage.Glyph glyph, List<Float> xs) {
        return glyph.right() > xs.get(0) && glyph.x() < xs.get(xs.size() - 1);
    }

    private static int filled(PdfPage page, Table table) {
        Set<Integer> cells = new HashSet<>();
        for (PdfPage.Glyph glyph : page.glyphs()) {
            if (table.holds(glyph)) {
                cells.add(table.row(glyph) * table.columns() + table.column(glyph));
            }
        }
        return cells.size();
    }

    /** Rules that touch each other, directly or by others. */
    private static List<List<PdfPage.Mark>> groups(List<PdfPage.Mark> rules) {
        List<List<PdfPage.Mark>> groups = new ArrayList<>();
        for (PdfPage.Mark rule : rules) {
            List<PdfPage.Mark> joined = new ArrayList<>(List.of(rule));
            groups.removeIf(group -> {
                boolean touches = group.stream().anyMatch(other -> other.isNear(rule, TOUCH));
                if (touches) {
                    joined.addAll(group);
                }
                return touches;
            });
            groups.add(joined);
        }
        return groups;
    }

    private static List<Float> edges(List<PdfPage.Mark> group, boolean upright) {
        TreeSet<Float> places = new TreeSet<>();
        for (PdfPage.Mark mark : group) {
            boolean stands = mark.height() > mark.width();
            if (stands == upright) {
                places.add(upright ? (mark.left() + mark.right()) / 2 : (mark.top() + mark.bottom()) / 2);
            }
        }
        List<Float> edges = new ArrayList<>();
        for (float place : places) {
            if (edges.isEmpty() || place - edges.get(edges.size() - 1) >= LEAST_CELL) {
                edges.add(place);
            }
        }
        return edges;
    }
}
