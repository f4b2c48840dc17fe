package org.tidyleaf.reading.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.source.Box;
import org.tidyleaf.source.Line;

/**
 * Lines of a printed page that had no room for the first word of the next: the sentence goes on there, whatever that word begins
 * with. How wide a column is shows in its longest line.
 */
public final class FullLines {

    /** In signs: a shorter line had room for more. */
    public static final int LEAST = 60;

    /** In heights of a line: one that stands higher by more than that begins a new column. */
    private static final float BACK_UP = 2;

    /** In heights of a line: the next of the same paragraph stands no lower. */
    private static final float PITCH = 2.2f;

    /** In heights of a line: what is higher has several rows. */
    private static final float ROWS = 1.6f;

    /** In parts of a letter's width: the space before the next word, and what letters differ by. */
    private static final float SPACE = 0.5f;

    /** In points: columns that begin so near to one another on two pages are one. */
    private static final float SAME = 6;

    /** The last column of the same page. */
    private Optional<Column> beside = Optional.empty();

    private final List<Column> known = new ArrayList<>();

    private FullLines() {}

    /** Where a column of text begins and its longest line ends, in points. */
    private record Column(int page, float left, float right) {
        float width() {
            return right - left;
        }
    }

    public static void mark(List<Cues> all) {
        new FullLines().markAll(all);
    }

    private void markAll(List<Cues> all) {
        List<Cues> column = new ArrayList<>();
        for (Cues cues : all) {
            boolean printed = cues.line().layout().box().isPresent() && !cues.is(Trait.OFF_BODY);
            if (!column.isEmpty() && (!printed || isNewColumn(column.get(column.size() - 1), cues))) {
                float edge = markColumn(column, limit(column, printed ? cues : column.get(0)));
                markLast(column.get(column.size() - 1), edge, cues);
                column.clear();
            }
            if (printed) {
                column.add(cues);
            }
        }
        markColumn(column, Float.MAX_VALUE);
    }

    private static Box box(Cues cues) {
        return cues.line().layout().box().orElseThrow();
    }

    private static boolean isNewColumn(Cues above, Cues next) {
        return box(next).page() != box(above).page()
                || box(next).top() < box(above).top() - BACK_UP * box(above).height();
    }

    /** Where the column to the right begins; what reaches over that stands above both. */
    private static float limit(List<Cues> column, Cues next) {
        boolean beside = box(next).page() == box(column.get(0)).page()
                && box(next).left() > box(column.get(column.size() - 1)).left();
        return beside ? box(next).left() : Float.MAX_VALUE;
    }

    /** Gives where the column ends on its right. */
    private float markColumn(List<Cues> column, float limit) {
        float edge = edge(column, limit);
        float height = (float)
                column.stream().mapToDouble(cues -> box(cues).height()).min().orElse(0);
        for (int i = 0; i + 1 < column.size(); i++) {
            Cues cues = column.get(i);
            Cues next = column.get(i + 1);
            boolean below = next.line().number() == cues.line().number() + 1
                    && box(next).top() - box(cues).top() < PITCH * box(cues).height()
                    // Of several rows only the last one counts, and where that ends is not told.
                    && box(cues).height() < ROWS * height
                    // What it is worth ends a question.
                    && !cues.text().endsWith(")")
                    && !cues.text().endsWith("]")
                    && box(cues).right() <= edge;
            if (below && edge - box(cues).right() < firstWord(next.line())) {
                cues.traits().add(Trait.FULL);
            }
        }
        return edge;
    }

    /** A sentence may go on at the top of the next column or page. */
    private static void markLast(Cues last, float edge, Cues next) {
        boolean follows = next.line().number() == last.line().number() + 1
                && next.line().layout().box().isPresent()
                && !next.is(Trait.OFF_BODY);
        if (follows
                && !last.is(Trait.ENDS_SENTENCE)
                && box(last).right() <= edge
                && edge - box(last).right() < firstWord(next.line())) {
            last.traits().add(Trait.FULL);
        }
    }

    /** A column of few lines is as wide as the one on its left, or as the same column of a page before. */
    private float edge(List<Cues> column, float limit) {
        List<Box> boxes = column.stream()
                .filter(cues -> cues.text().chars().anyMatch(Character::isLetter))
                .map(FullLines::box)
                .filter(box -> box.right() < limit)
                .toList();
        if (boxes.isEmpty()) {
            return Float.MAX_VALUE;
        }
        float left = (float) boxes.stream().mapToDouble(Box::left).min().orElseThrow();
        float right = (float) boxes.stream().mapToDouble(Box::right).max().orElseThrow();
        Column here = new Column(boxes.get(0).page(), left, right);
        float widest = (float) Stream.concat(
                        beside.filter(other -> other.page() == here.page() && other.right() < left).stream(),
                        known.stream().filter(other -> Math.abs(other.left() - left) < SAME))
                .mapToDouble(Column::width)
                .filter(width -> left + width < limit)
                .max()
                .orElse(0);
        beside = Optional.of(here);
        known.add(here);
        return Math.max(right, left + widest);
    }

    /** How much room the first word and the space before it would take. */
    private static float firstWord(Line line) {
        String text = line.text().strip();
        float letter = line.layout().box().orElseThrow().width() / Math.max(1, text.length());
        int end = 0;
        while (end < text.length() && !Character.isWhitespace(text.charAt(end))) {
            end++;
        }
        return letter * (end + SPACE);
    }
}
