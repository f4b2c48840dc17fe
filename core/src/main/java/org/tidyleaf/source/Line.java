package org.tidyleaf.source;

import java.util.List;

/**
 * What a reader sees as one paragraph or one forced line. Its text is the printed one: the word processor's automatic
 * label stands at its beginning, an inline formula is LaTeX between {@code \(} and {@code \)}, a picture is U+FFFC.
 *
 * @param number 1-based, counted over the whole source
 * @param labelEnd how many characters at the beginning the word processor made itself (label and the space after it); 0
 *     where there is no automatic label
 * @param spans what is special about parts of the text, in order of their beginning; parts without a span are plain
 */
public record Line(int number, String text, int labelEnd, List<Span> spans, Layout layout) {

    /** Stands in the text where a picture is. */
    public static final char FIGURE = '\uFFFC';

    public Line {
        spans = List.copyOf(spans);
        if (labelEnd < 0 || labelEnd > text.length()) {
            throw new IllegalArgumentException("label end " + labelEnd + " outside of line " + number);
        }
        for (Span span : spans) {
            if (span.to() > text.length()) {
                throw new IllegalArgumentException("span past the end of line " + number);
            }
        }
    }

    public boolean isBlank() {
        return text.isBlank();
    }

    public Segment whole() {
        return new Segment(number, 0, text.length());
    }

    /** Whether four in five of the letters and digits between the two places carry the emphasis. */
    public boolean isMostly(Emphasis emphasis, int from, int to) {
        if (!hasAny(emphasis)) {
            return false;
        }
        int marked = 0;
        int all = 0;
        for (int i = from; i < to; i++) {
            if (Character.isLetterOrDigit(text.charAt(i))) {
                all++;
                marked += carries(emphasis, i) ? 1 : 0;
            }
        }
        return all > 0 && marked * 5 >= all * 4;
    }

    private boolean hasAny(Emphasis emphasis) {
        for (Span span : spans) {
            if (span.emphasis().contains(emphasis)) {
                return true;
            }
        }
        return false;
    }

    /** Whether the sign at a place carries the emphasis. */
    public boolean carries(Emphasis emphasis, int at) {
        for (Span span : spans) {
            if (span.from() <= at && at < span.to() && span.emphasis().contains(emphasis)) {
                return true;
            }
        }
        return false;
    }

    /** Which of two stretches is set apart from the other in any way: 1 or 2, or 0 where both look alike. */
    public int standsOut(int from1, int to1, int from2, int to2) {
        for (Emphasis emphasis : Emphasis.values()) {
            boolean first = isMostly(emphasis, from1, to1);
            boolean second = isMostly(emphasis, from2, to2);
            if (first != second) {
                return first ? 1 : 2;
            }
        }
        return 0;
    }
}
