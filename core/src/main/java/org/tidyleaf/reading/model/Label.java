package org.tidyleaf.reading.model;

import java.util.regex.Pattern;

/**
 * One way to understand the beginning of a piece as a number, letter or sign.
 *
 * @param ordinal 1 for "1", "A", "i"; 0 for bullets and codes
 * @param printed the label without its punctuation: "12b", "A"
 * @param shape what labels of the same series share: "9." or "a)" or "Question 9."
 * @param from where it begins in the line
 * @param end where the text behind it begins in the line; before {@code from} where a number within its line tells of all of it
 */
public record Label(Kind kind, int ordinal, String printed, String shape, int from, int end) {

    /** The shape of "2.1". */
    /** Of "Bonus:" before a question. */
    public static final String BONUS_SHAPE = "Qbonus";

    private static final Pattern TICKED =
            Pattern.compile("[\u2611\u2612]|[\\[(]\\s?[xX*\u2713\u2714\u2022\u25cf]\\s?[\\])]");

    /** The same label as one of another series. */
    public Label ofShape(String other) {
        return new Label(kind, ordinal, printed, other, from, end);
    }

    public static boolean isWorded(String shape) {
        return shape.startsWith("Q");
    }

    /** Whether it is a box with a tick or a cross in it. */
    public boolean isTicked() {
        return kind == Kind.BOX && TICKED.matcher(printed).matches();
    }

    public enum Kind {
        NUMBER,
        LETTER,
        ROMAN,
        BULLET,
        BOX,
        CODE
    }
}
