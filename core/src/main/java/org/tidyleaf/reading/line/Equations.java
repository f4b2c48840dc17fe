package org.tidyleaf.reading.line;

import java.util.List;
import java.util.regex.Pattern;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;

/** "3.5 m = 350 cm": equations whose answer is set apart. */
public final class Equations {

    /** The ways in which an answer is set apart, the most telling first. */
    public static final List<Emphasis> SET_APART =
            List.of(Emphasis.UNDERLINE, Emphasis.HIGHLIGHT, Emphasis.COLOR, Emphasis.BOLD);

    public static final Pattern BEHIND_EQUALS = Pattern.compile(".*=\\s*");

    private Equations() {}

    /** "3.5 m = 350 cm" with the number behind the sign set apart: an answer, and no option. */
    public static boolean endsEquation(Line line, Segment part) {
        return line.spans().stream()
                .filter(span -> span.from() > part.from() && span.to() <= part.to())
                .filter(span -> SET_APART.stream().anyMatch(span.emphasis()::contains))
                .anyMatch(span -> BEHIND_EQUALS
                        .matcher(line.text().substring(part.from(), span.from()))
                        .matches());
    }
}
