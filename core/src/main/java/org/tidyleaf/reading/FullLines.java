package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import org.tidyleaf.reading.Cues.Trait;
import org.tidyleaf.source.Box;
import org.tidyleaf.source.Line;

/**
 * Lines of a printed page that had no room for the first word of the next: the sentence goes on there, whatever that word begins
 * with. How wide a column is shows in its longest line.
 */
final class FullLines {

    /** In heights of a line: one that stands higher by more than that begins a new column. */
    private static final float BACK_UP = 2;

    /** In heights of a line: the next of the same paragraph stands no lower. */
    private static final float PITCH = 2.2f;

    /** In heights of a line: what is higher has several rows. */
    private static final float ROWS = 1.6f;

    /** In parts of a letter's width: the space before the next word, and what letters differ by. */
    private static final float SPACE = 0.5f;

    private FullLines() {}

    static void mark(List<Cues> all) {
        List<Cues> column = new ArrayList<>();
        for (Cues cues : all) {
            boolean printed = cues.line().layout().box().isPresent() && !cues.is(Trait.OFF_BODY);
            if (!column.isEmpty() && (!printed || isNewColumn(column.get(column.size() - 1), cues))) {
                markColumn(column, limit(column, printed ? cues : column.get(0)));
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

    private static void markColumn(List<Cues> column, float limit) {
        float edge = (float) column.stream()
                .filter(cues -> cues.text().chars().anyMatch(Character::isLetter))
                .mapToDouble(cues -> box(cues).right())
                .filter(right -> right < limit)
                .max()
                .orElse(Float.MAX_VALUE);
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
