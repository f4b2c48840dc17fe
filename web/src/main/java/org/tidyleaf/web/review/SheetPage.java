package org.tidyleaf.web.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.tidyleaf.source.Box;
import org.tidyleaf.source.Source;

/**
 * A page of a source with printed pages: its picture and, over it, a box for each line.
 *
 * @param number 0-based
 * @param width in points, as {@code height}
 */
record SheetPage(int number, int width, int height, List<Boxed> boxes) {

    /** Where the signs of the roles stand, in points from the left. */
    private static final float MARGIN = 22;

    /** In points: how far a box reaches beyond its letters. */
    private static final float AIR = 2;

    /** In points: so far left of its line a sign stands. */
    private static final float BESIDE = 20;

    /** In parts of a page's width: no second column begins further to the left. */
    private static final float MIDDLE = 0.4f;

    /** Fewer lines beside others are no column. */
    private static final int LEAST_ROWS = 3;

    /** A line and its box; places are in points with one decimal, as SVG wants them. */
    record Boxed(SheetLine line, String x, String y, String width, String height, String signX, String signY) {}

    /** The pages with their lines; none where the source has no pages. */
    static List<SheetPage> of(Source source, List<SheetLine> lines) {
        List<SheetPage> pages = new ArrayList<>();
        for (int i = 0; i < source.pages().size(); i++) {
            List<Boxed> boxes = new ArrayList<>();
            float column = secondColumn(source, i);
            for (SheetLine line : lines) {
                int page = i;
                source.line(line.number())
                        .layout()
                        .box()
                        .filter(box -> box.page() == page)
                        .ifPresent(box -> boxes.add(boxed(line, box, column)));
            }
            int width = Math.round(source.pages().get(i).width());
            int height = Math.round(source.pages().get(i).height());
            pages.add(new SheetPage(i, width, height, boxes));
        }
        return pages;
    }

    /** Where a page's second column begins, so that its signs stand beside it; endless where the page has one column. */
    private static float secondColumn(Source source, int page) {
        List<Box> all = source.lines().stream()
                .filter(line -> line.layout().cell().isEmpty())
                .flatMap(line -> line.layout().box().stream())
                .filter(box -> box.page() == page)
                .toList();
        float middle = source.pages().get(page).width() * MIDDLE;
        List<Box> right = all.stream()
                .filter(box -> box.left() > middle && all.stream().anyMatch(other -> isLeftOf(other, box)))
                .toList();
        return right.size() < LEAST_ROWS
                ? Float.MAX_VALUE
                : (float) right.stream().mapToDouble(Box::left).min().orElseThrow();
    }

    private static boolean isLeftOf(Box other, Box box) {
        return other.right() < box.left() && other.top() < box.bottom() && box.top() < other.bottom();
    }

    private static Boxed boxed(SheetLine line, Box box, float column) {
        float margin = box.left() >= column ? column - BESIDE : Math.min(MARGIN, box.left() - BESIDE);
        return new Boxed(
                line,
                places(box.left() - AIR),
                places(box.top() - AIR),
                places(box.width() + 2 * AIR),
                places(box.height() + 2 * AIR),
                places(Math.max(4, margin)),
                places((box.top() + Math.min(box.bottom(), box.top() + 14)) / 2 - 6));
    }

    private static String places(float points) {
        return String.format(Locale.ROOT, "%.1f", points);
    }
}
