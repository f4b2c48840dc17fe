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

    /** A line and its box; places are in points with one decimal, as SVG wants them. */
    record Boxed(SheetLine line, String x, String y, String width, String height, String signX, String signY) {}

    /** The pages with their lines; none where the source has no pages. */
    static List<SheetPage> of(Source source, List<SheetLine> lines) {
        List<SheetPage> pages = new ArrayList<>();
        for (int i = 0; i < source.pages().size(); i++) {
            List<Boxed> boxes = new ArrayList<>();
            for (SheetLine line : lines) {
                int page = i;
                source.line(line.number())
                        .layout()
                        .box()
                        .filter(box -> box.page() == page)
                        .ifPresent(box -> boxes.add(boxed(line, box)));
            }
            int width = Math.round(source.pages().get(i).width());
            int height = Math.round(source.pages().get(i).height());
            pages.add(new SheetPage(i, width, height, boxes));
        }
        return pages;
    }

    private static Boxed boxed(SheetLine line, Box box) {
        return new Boxed(
                line,
                places(box.left() - AIR),
                places(box.top() - AIR),
                places(box.width() + 2 * AIR),
                places(box.height() + 2 * AIR),
                places(Math.max(4, Math.min(MARGIN, box.left() - 20))),
                places((box.top() + Math.min(box.bottom(), box.top() + 14)) / 2 - 6));
    }

    private static String places(float points) {
        return String.format(Locale.ROOT, "%.1f", points);
    }
}
