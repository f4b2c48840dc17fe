package org.tidyleaf.source;

/**
 * A place in a source: part of one line, in UTF-16 code units of its text, 0-based, end exclusive.
 *
 * @param line the 1-based number of the line
 */
public record Segment(int line, int from, int to) {
    public Segment {
        if (line < 1 || from < 0 || to < from) {
            throw new IllegalArgumentException("no segment: line " + line + ", " + from + " to " + to);
        }
    }

    public boolean isEmpty() {
        return from == to;
    }
}
