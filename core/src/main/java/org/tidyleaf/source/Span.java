package org.tidyleaf.source;

import java.util.Set;

/**
 * A stretch of a line that looks alike, in UTF-16 code units, 0-based, end exclusive.
 *
 * @param emphasis how it is set
 * @param color the text colour as six hex digits, or empty for the document's usual one
 * @param figure the id of the picture that stands here, or empty
 */
public record Span(int from, int to, Set<Emphasis> emphasis, String color, String figure) {
    public Span {
        emphasis = Sorted.copy(emphasis);
        if (from < 0 || to < from) {
            throw new IllegalArgumentException("no span: " + from + " to " + to);
        }
    }

    public static Span of(int from, int to, Set<Emphasis> emphasis) {
        return new Span(from, to, emphasis, "", "");
    }
}
