package org.tidyleaf.reading.wording;

import java.util.regex.Pattern;
import org.tidyleaf.reading.line.GapParser;

/** What a place to write in looks like within a line: rules, dots, empty brackets, a word for it in brackets. */
public final class GapSigns {

    private static final String EMPTY =
            "_{3,}|_{1,2}(?: _{1,2}){2,400}|\\.{5,}|\\.(?: \\.){4,400}|\u2026{2,}|\\[(?:\\s{2,}|\\t)]|\\((?:\\s{2,}|\\t)\\)";

    /** "[blank]", "(gap 2)", "[Lücke]". */
    private static final String NAMED = "\\[\\s?" + Vocabulary.ALL.either("blank") + "\\s?\\d{0,2}\\s?]|\\(\\s?"
            + Vocabulary.ALL.either("blank") + "\\s?\\d{0,2}\\s?\\)";

    private static final Pattern NAME_AHEAD =
            Vocabulary.pattern("[\\[(]\\s?" + Vocabulary.ALL.either("blank") + "\\s?\\d{0,2}\\s?[\\])]");

    public static final Pattern UNFILLED = Vocabulary.pattern(EMPTY + "|" + NAMED);

    /** Those, and rules with the answer written on them. */
    public static final Pattern ANY = Vocabulary.pattern(GapParser.FILLED + "|" + EMPTY + "|" + NAMED);

    private GapSigns() {}

    public static int count(String text) {
        return mayBeIn(text) ? (int) ANY.matcher(text).results().count() : 0;
    }

    /** Most texts hold no sign that a gap begins with, which is seen faster than the pattern finds none. */
    public static boolean mayBeIn(String text) {
        for (int i = 0; i < text.length() - 1; i++) {
            char sign = text.charAt(i);
            char next = text.charAt(i + 1);
            boolean spaced = next == ' ' && i + 2 < text.length() && text.charAt(i + 2) == sign;
            boolean rule = (sign == '_' || sign == '.' || sign == '\u2026') && (next == sign || spaced);
            boolean bracket = (sign == '[' || sign == '(') && (Character.isWhitespace(next) || isNamed(text, i));
            if (rule || bracket) {
                return true;
            }
        }
        return false;
    }

    private static boolean isNamed(String text, int bracket) {
        return NAME_AHEAD.matcher(text).region(bracket, text.length()).lookingAt();
    }
}
