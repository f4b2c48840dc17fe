package org.tidyleaf.source;

import java.util.List;

/**
 * One document as an intake read it: its lines in human reading order and the pictures they name.
 *
 * @param name the file name, used as a second guess at the title
 * @param format the lower-case name of the format ("docx", "txt")
 * @param lines all lines; line {@code i} has the number {@code i + 1}
 * @param figures the pictures that spans of the lines refer to by id, in order of appearance
 * @param notes what was put right on the way
 * @param pages the sizes of its pages where lines have their places on them, else empty
 */
public record Source(
        String name, String format, List<Line> lines, List<Figure> figures, List<Note> notes, List<PageSize> pages) {
    public Source {
        lines = List.copyOf(lines);
        figures = List.copyOf(figures);
        notes = List.copyOf(notes);
        pages = List.copyOf(pages);
        for (int i = 0; i < lines.size(); i++) {
            if (lines.get(i).number() != i + 1) {
                throw new IllegalArgumentException(
                        "line " + (i + 1) + " is numbered " + lines.get(i).number());
            }
        }
    }

    public Source(String name, String format, List<Line> lines, List<Figure> figures) {
        this(name, format, lines, figures, List.of(), List.of());
    }

    public Source(String name, String format, List<Line> lines, List<Figure> figures, List<Note> notes) {
        this(name, format, lines, figures, notes, List.of());
    }

    /** The line with this 1-based number. */
    public Line line(int number) {
        return lines.get(number - 1);
    }

    /** The text a segment covers, as plain Unicode with formulas in LaTeX. */
    public String text(Segment segment) {
        return line(segment.line()).text().substring(segment.from(), segment.to());
    }
}
