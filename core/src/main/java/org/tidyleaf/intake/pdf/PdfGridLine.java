package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * One line across a page as its parts: words without a wide gap between them. Rows that overlap, for a cell's text stands in the
 * middle of its height, are one line.
 *
 * @param parts from left to right, those at the same place from top to bottom
 * @param top the first baseline, in points from the page's top
 * @param bottom the last
 * @param size of its letters
 */
record PdfGridLine(List<Part> parts, float top, float bottom, float size) {

    /** In sizes of letters: cells keep a wider gap between their texts. */
    private static final float GAP = 0.72f;

    /** In points: the least that cells keep between their texts. */
    private static final float LEAST_GAP = 8;

    /** In sizes of letters: baselines of one text are farther apart. */
    private static final float OVERLAP = 0.8f;

    /** In points: baselines so near to one another are one. */
    static final float SAME_LINE = 1;

    /** In points: cells of one row have one baseline. */
    private static final float SAME_BASELINE = 0.8f;

    /** What stands without a wide gap on one baseline. */
    record Part(PdfRow row) {
        float left() {
            return row.left();
        }

        float right() {
            return row.right();
        }

        float y() {
            return row.y();
        }

        /** Where its own largest signs stand; scripts do not count. */
        float baseline() {
            return row.glyphs().stream()
                    .max(Comparator.comparingDouble(PdfPage.Glyph::size))
                    .map(PdfPage.Glyph::y)
                    .orElse(row.y());
        }

        String text() {
            return row.spaced();
        }
    }

    /** What no line covers between two places. */
    record Strip(float left, float right) {
        float width() {
            return right - left;
        }
    }

    static List<PdfGridLine> of(List<PdfRow> rows) {
        List<PdfGridLine> lines = new ArrayList<>();
        for (PdfRow row : rows) {
            List<Part> parts = parts(row);
            PdfGridLine last = lines.isEmpty() ? null : lines.get(lines.size() - 1);
            if (last != null && row.y() - last.bottom() < OVERLAP * row.size() && last.isBeside(parts)) {
                lines.set(lines.size() - 1, last.with(parts, row));
            } else {
                lines.add(new PdfGridLine(parts, row.y(), row.y(), row.size()));
            }
        }
        return lines;
    }

    private static List<Part> parts(PdfRow row) {
        List<Part> parts = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= row.glyphs().size(); i++) {
            boolean end = i == row.glyphs().size()
                    || row.glyphs().get(i).x() - row.glyphs().get(i - 1).right()
                            > Math.max(LEAST_GAP, GAP * row.size());
            if (end) {
                parts.add(new Part(new PdfRow(row.glyphs().subList(from, i), row.y(), row.size(), false)));
                from = i;
            }
        }
        return parts;
    }

    /** Whether a row that overlaps stands clear of its parts on the same baselines. */
    private boolean isBeside(List<Part> others) {
        return others.stream()
                .allMatch(other -> parts.stream()
                        .filter(part -> other.y() - part.y() < OVERLAP * size)
                        .allMatch(part -> part.right() < other.left() || other.right() < part.left()));
    }

    private PdfGridLine with(List<Part> others, PdfRow row) {
        List<Part> all = Stream.concat(parts.stream(), others.stream())
                .sorted(Comparator.comparingDouble(Part::left))
                .toList();
        return new PdfGridLine(all, top, row.y(), Math.max(size, row.size()));
    }

    /** Whether parts on one row stand a little higher or lower than others, as in two columns of a page. */
    boolean isUneven() {
        for (Part part : parts) {
            for (Part other : parts) {
                boolean row = part.y() == other.y();
                if (row && Math.abs(part.baseline() - other.baseline()) > SAME_BASELINE) {
                    return true;
                }
            }
        }
        return false;
    }

    boolean isStacked() {
        return bottom > top;
    }

    /** The white strips between its parts, before and behind them. */
    List<Strip> gaps() {
        List<Strip> gaps = new ArrayList<>();
        float covered = 0;
        for (Part part : parts) {
            if (part.left() - covered > LEAST_GAP) {
                gaps.add(new Strip(covered, part.left()));
            }
            covered = Math.max(covered, part.right());
        }
        gaps.add(new Strip(covered, Float.MAX_VALUE));
        return gaps;
    }

    /** What the line leaves of strips. */
    List<Strip> clear(List<Strip> strips) {
        List<Strip> left = new ArrayList<>(strips);
        for (Part part : parts) {
            left = left.stream()
                    .flatMap(strip -> Stream.of(
                            new Strip(strip.left(), Math.min(strip.right(), part.left())),
                            new Strip(Math.max(strip.left(), part.right()), strip.right())))
                    .filter(strip -> strip.width() > LEAST_GAP)
                    .distinct()
                    .toList();
        }
        return left;
    }

    boolean isLeftOf(Strip strip) {
        return parts.get(0).right() <= strip.left();
    }

    boolean isRightOf(Strip strip) {
        return parts.stream().anyMatch(part -> part.left() >= strip.right());
    }

    /** What stands of it between two strips, from top to bottom. */
    List<Part> between(float from, float to) {
        return parts.stream()
                .filter(part -> part.left() >= from && part.right() <= to)
                .sorted(Comparator.comparingDouble(Part::y))
                .toList();
    }
}
