package org.tidyleaf.intake.pdf;

import java.util.List;

/** Counts a document's tables; one that goes on at the top of the next page or column is still the same. */
final class TableNumbers {

    /** In points: rules of two pages or columns that stand within it stand at the same place. */
    private static final float SAME_PLACE = 2.5f;

    private int next;
    private int rows;
    private List<Float> edges = List.of();
    private boolean atEnd;

    /** The table's number and how many rows it had on pages before. */
    record Begin(int table, int row) {}

    /**
     * @param first whether nothing stands above it on its page or in its column
     * @param cut whether its first row begins with an empty cell: the rest of a row that the page's end cut in two
     */
    Begin of(PdfTables.Table table, boolean first, boolean cut) {
        boolean continued = first && atEnd && isSame(table.xs());
        int above = continued ? rows - (cut ? 1 : 0) : 0;
        next += continued ? 0 : 1;
        rows = above + table.ys().size() - 1;
        edges = table.xs();
        return new Begin(next - 1, above);
    }

    /** Says whether anything stands below the last table on its page. */
    void below(boolean anything) {
        atEnd = !anything;
    }

    private boolean isSame(List<Float> xs) {
        boolean same = xs.size() == edges.size();
        for (int i = 0; same && i < xs.size(); i++) {
            same = Math.abs(xs.get(i) - xs.get(0) - edges.get(i) + edges.get(0)) < SAME_PLACE;
        }
        return same;
    }
}
