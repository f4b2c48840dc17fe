package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.tidyleaf.source.Emphasis;

/** Rows in human reading order: side by side they are read column by column where a white strip parts them. */
final class PdfColumns {

    /** In points: the narrowest white strip that parts two columns. */
    private static final float GUTTER = 11;

    /** So many rows side by side make columns, fewer a table. */
    private static final int COLUMN_ROWS = 6;

    /** Lines of text in a column have at least so many letters. */
    private static final int COLUMN_LETTERS = 6;

    /** One row in so many on the right is text. */
    private static final int TEXTS = 3;

    /** Answers and letters are texts enough where another page has columns in the same place. */
    private static final int KNOWN_TEXTS = 12;

    /** A column that fills the page has more rows than that. */
    private static final int FULL_COLUMN = 20;

    /** Rows of a column begin within this share of its width. */
    private static final float INDENT = 0.35f;

    /** Where the lowest tenth of a page begins. */
    private static final float FOOT = 0.9f;

    /** In points: text keeps such a distance from the foot of a page that it goes to. */
    private static final float MARGIN = 120;

    /** In points: below a picture or table stands room for its caption or an empty line. */
    private static final float ROOM_BELOW = 15;

    /** A gap is so many times as high as the usual distance of rows. */
    private static final float APART = 1.4f;

    /** Tables below one another stand further apart than so many usual distances, rows of a column do not. */
    private static final float FAR_BELOW = 2.6f;

    /** In points: a last row on the left that is so much wider than all above it is none of the column's. */
    private static final float WIDER = 40;

    private PdfColumns() {}

    /** The rows of all pages; where one page has columns, few rows in the same place make a column on another. */
    static List<List<PdfRow>> inOrder(List<PdfPage> pages) {
        List<List<PdfRow>> rows = pages.stream().map(PdfRow::rows).toList();
        Set<Float> gutters = new TreeSet<>();
        List<List<PdfRow>> ordered = new ArrayList<>();
        for (int i = 0; i < pages.size(); i++) {
            ordered.add(inOrder(pages.get(i), rows.get(i), Set.of(), gutters));
        }
        Set<Float> known = Set.copyOf(gutters);
        for (int i = 0; i < pages.size() && pages.size() > 1 && !known.isEmpty(); i++) {
            ordered.set(i, inOrder(pages.get(i), rows.get(i), known, gutters));
        }
        return ordered;
    }

    /** The second columns that a page has by itself, each as far as it goes on without a wide gap. */
    static List<Reach> secondColumns(PdfPage page, List<PdfRow> rows) {
        List<Reach> reaches = new ArrayList<>();
        List<PdfRow> ordered = inOrder(page, rows, Set.of(), new TreeSet<>());
        for (int i = 1; i < ordered.size(); i++) {
            boolean second = ordered.get(i).newColumn()
                    && ordered.get(i).y() < ordered.get(i - 1).y();
            if (second) {
                List<Float> baselines = new ArrayList<>();
                float left = ordered.get(i).left();
                float pitch = pitch(rows);
                for (int j = i; j < ordered.size() && (j == i || !ordered.get(j).newColumn()); j++) {
                    if (ordered.get(j).left() < left - GUTTER) {
                        break;
                    }
                    if (j > i && ordered.get(j).y() - ordered.get(j - 1).y() > FAR_BELOW * pitch) {
                        reaches.add(new Reach(left, List.copyOf(baselines)));
                        baselines.clear();
                    }
                    baselines.add(ordered.get(j).y());
                }
                reaches.add(new Reach(left, baselines));
            }
        }
        return reaches;
    }

    /**
     * A second column of a page.
     *
     * @param left where its first row begins, in points
     * @param baselines of its rows, in points from the top
     */
    record Reach(float left, List<Float> baselines) {}

    /**
     * Rows that share a gutter are read column by column, the others across.
     *
     * @param known gutters of the document's pages
     * @param found takes those of this page
     */
    private static List<PdfRow> inOrder(PdfPage page, List<PdfRow> rows, Set<Float> known, Set<Float> found) {
        List<PdfRow> ordered = new ArrayList<>();
        int at = 0;
        while (at < rows.size()) {
            Block block = withoutWhatFollows(page, rows, at, columns(page, rows, at, known));
            List<PdfRow> within = rows.subList(at, block.end());
            boolean columns = block.end() - at >= (known.isEmpty() ? COLUMN_ROWS : 1)
                    && !PdfAcross.goesOn(within, block.gutter());
            if (columns) {
                found.add(block.gutter());
                ordered.addAll(cut(rows.subList(at, block.end()), block.gutter(), true));
                ordered.addAll(cut(rows.subList(at, block.end()), block.gutter(), false));
                at = block.end();
            } else {
                ordered.add(rows.get(at));
                at++;
            }
        }
        return ordered;
    }

    /** For each row where the column to the right of its own begins; endless where there is none. */
    private static float[] limits(List<PdfRow> ordered) {
        float[] limits = new float[ordered.size()];
        float limit = Float.MAX_VALUE;
        for (int i = ordered.size() - 1; i >= 0; i--) {
            limits[i] = limit;
            if (!ordered.get(i).newColumn()) {
                continue;
            }
            boolean second = i > 0
                    && ordered.get(i).left() > ordered.get(i - 1).left()
                    && ordered.get(i).y() <= ordered.get(i - 1).y();
            limit = second ? ordered.get(i).left() : Float.MAX_VALUE;
        }
        return limits;
    }

    /** Where the second column begins on any page; endless where no page has one. */
    static float second(List<List<PdfRow>> pages) {
        float second = Float.MAX_VALUE;
        for (List<PdfRow> page : pages) {
            for (float limit : limits(page)) {
                second = Math.min(second, limit);
            }
        }
        return second;
    }

    /** The limits of a page, which has a second column of tables alone where all its rows end before the one of other pages. */
    static float[] limits(List<PdfRow> ordered, float second) {
        float[] limits = limits(ordered);
        if (ordered.stream().allMatch(row -> row.right() < second)) {
            Arrays.fill(limits, second);
        }
        return limits;
    }

    /** Rows from a place on that keep clear of one vertical line. */
    private record Block(int end, float gutter) {}

    private static Block columns(PdfPage page, List<PdfRow> rows, int from, Set<Float> known) {
        Block best = new Block(from, 0);
        for (float x = page.width() * 0.38f; x < page.width() * 0.62f; x += 2) {
            int end = clearUntil(rows, from, x);
            if (end <= best.end()) {
                continue;
            }
            List<PdfRow> within = rows.subList(from, end);
            int left = left(within, x);
            int right = right(within, x);
            boolean both = left >= COLUMN_ROWS && right >= COLUMN_ROWS / 2 && right * 5 >= end - from
                    || left > 0 && right > 0 && isKnown(known, x)
                    || left >= FULL_COLUMN && isOverflow(page, within, x);
            // Looking at every sign of every row is dear, so it comes last.
            if (both && texts(within, x) * (isKnown(known, x) ? KNOWN_TEXTS : TEXTS) >= right) {
                best = new Block(end, x);
            }
        }
        return best.end() > from && isBeforeOverflow(page, rows, from, best) ? new Block(from, 0) : best;
    }

    /** Where the first row stands that does not keep clear of a vertical line. */
    private static int clearUntil(List<PdfRow> rows, int from, float x) {
        int end = from;
        while (end < rows.size() && isClear(rows.get(end), x)) {
            end++;
        }
        return end;
    }

    private static int left(List<PdfRow> rows, float x) {
        return (int) rows.stream().filter(row -> row.left() < x).count();
    }

    private static int right(List<PdfRow> rows, float x) {
        return (int) rows.stream().filter(row -> row.right() > x).count();
    }

    /** Whether from the block's first row on the right on, a full column with a short one beside it reaches farther down than the block. */
    private static boolean isBeforeOverflow(PdfPage page, List<PdfRow> rows, int from, Block block) {
        int first = from;
        while (rows.get(first).right() < block.gutter()) {
            first++;
        }
        for (float x = block.gutter(); first > from && x < page.width() * 0.62f; x += 2) {
            int end = clearUntil(rows, first, x);
            List<PdfRow> within = rows.subList(first, end);
            if (end > block.end() && left(within, x) >= FULL_COLUMN && isOverflow(page, within, x)) {
                return true;
            }
        }
        return false;
    }

    private static boolean isKnown(Set<Float> known, float x) {
        return known.stream().anyMatch(one -> Math.abs(one - x) < GUTTER);
    }

    /** The left side reaches the foot of the page, and what stands on the right begins at the top and goes on without a gap. */
    private static boolean isOverflow(PdfPage page, List<PdfRow> rows, float x) {
        List<PdfRow> right = rows.stream().filter(row -> row.right() > x).toList();
        boolean few = right.isEmpty() || right.size() == 1 && !hasTable(page, x);
        if (few
                || rows.get(rows.size() - 1).y() < page.height() - MARGIN
                || right.get(0).y()
                                - filled(page, x, rows.get(0).y(), right.get(0).y())
                        > rows.get(1).y()) {
            return false;
        }
        float pitch = pitch(rows);
        for (int i = 1; i < right.size(); i++) {
            float from = right.get(i - 1).y();
            float to = right.get(i).y();
            if (to - from - filled(page, x, from, to) > 2 * pitch) {
                return false;
            }
        }
        return true;
    }

    /** How much of the height between two rows pictures and tables behind the gutter fill. */
    private static float filled(PdfPage page, float gutter, float from, float to) {
        float height = 0;
        for (PdfPage.Picture picture : page.pictures()) {
            boolean between = picture.y() + picture.height() > from && picture.y() < to;
            height += between && picture.x() > gutter ? picture.height() + ROOM_BELOW : 0;
        }
        for (PdfTables.Table table : page.tables()) {
            boolean between = table.bottom() > from && table.top() < to;
            height += between && table.left() > gutter ? table.bottom() - table.top() + ROOM_BELOW : 0;
        }
        return height;
    }

    private static boolean hasTable(PdfPage page, float gutter) {
        return page.tables().stream().anyMatch(table -> table.left() > gutter);
    }

    /**
     * Where the page goes on in one column, columns of even length end with their last pair of rows: what stands below them
     * on the left, behind a gap or in bold, is of that one column, however short its rows are.
     */
    private static Block withoutWhatFollows(PdfPage page, List<PdfRow> rows, int from, Block block) {
        // A foot below the columns does not say that the page goes on.
        boolean goesOn = block.end() < rows.size()
                && block.end() > from
                && rows.get(block.end()).y() < page.height() * FOOT;
        if (!goesOn) {
            return block;
        }
        List<PdfRow> within = rows.subList(from, block.end());
        float edge = Float.MAX_VALUE;
        float farthest = 0;
        for (PdfRow row : within) {
            edge = Math.min(edge, firstBehind(row, block.gutter()));
            farthest = Math.max(farthest, row.right());
        }
        float indented = edge + (farthest - edge) * INDENT;
        int last = within.size() - 1;
        while (last >= 0 && firstBehind(within.get(last), block.gutter()) > indented) {
            last--;
        }
        float widest = (float) within.subList(0, within.size() - 1).stream()
                .mapToDouble(row -> lastBefore(row, block.gutter()))
                .max()
                .orElse(Float.MAX_VALUE);
        float pitch = pitch(within);
        for (int i = last + 1; i < within.size(); i++) {
            boolean gap = i > 0 && within.get(i).y() - within.get(i - 1).y() > APART * pitch;
            boolean wider = i + 1 == within.size() && within.get(i).right() > widest + WIDER;
            if (gap || wider || isBold(within.get(i))) {
                return new Block(from + i, block.gutter());
            }
        }
        return block;
    }

    /** Where a row begins behind the gutter; endless where nothing stands there. */
    private static float firstBehind(PdfRow row, float gutter) {
        return (float) row.glyphs().stream()
                .filter(glyph -> glyph.x() > gutter && !glyph.text().isBlank())
                .mapToDouble(PdfPage.Glyph::x)
                .min()
                .orElse(Float.MAX_VALUE);
    }

    /** Where what stands before the gutter ends. */
    private static float lastBefore(PdfRow row, float gutter) {
        return (float) row.glyphs().stream()
                .filter(glyph -> glyph.x() < gutter && !glyph.text().isBlank())
                .mapToDouble(PdfPage.Glyph::right)
                .max()
                .orElse(0);
    }

    private static boolean isBold(PdfRow row) {
        return row.glyphs().stream()
                .filter(glyph -> !glyph.text().isBlank())
                .allMatch(glyph -> glyph.look().contains(Emphasis.BOLD));
    }

    /** The usual distance of a row from the one above it. */
    private static float pitch(List<PdfRow> rows) {
        double[] distances = IntStream.range(1, rows.size())
                .mapToDouble(i -> rows.get(i).y() - rows.get(i - 1).y())
                .sorted()
                .toArray();
        return distances.length == 0 ? 0 : (float) distances[distances.length / 2];
    }

    private static long texts(List<PdfRow> rows, float x) {
        return rows.stream().filter(row -> isText(row, x)).count();
    }

    /** "T / F" or a blank to the right of each line is no column of its own. */
    private static boolean isText(PdfRow row, float x) {
        return row.glyphs().stream()
                        .filter(glyph -> glyph.x() > x
                                && Character.isLetterOrDigit(glyph.text().codePointAt(0)))
                        .count()
                >= COLUMN_LETTERS;
    }

    private static boolean isClear(PdfRow row, float x) {
        for (PdfPage.Glyph glyph : row.glyphs()) {
            if (glyph.x() < x + GUTTER / 2 && glyph.right() > x - GUTTER / 2) {
                return false;
            }
        }
        return true;
    }

    private static List<PdfRow> cut(List<PdfRow> rows, float gutter, boolean left) {
        List<PdfRow> column = new ArrayList<>();
        for (PdfRow row : rows) {
            List<PdfPage.Glyph> part = row.glyphs().stream()
                    .filter(glyph -> glyph.x() < gutter == left)
                    .toList();
            if (!part.isEmpty()) {
                column.add(new PdfRow(part, row.y(), row.size(), column.isEmpty()));
            }
        }
        return column;
    }
}
