package org.tidyleaf.source;

/** White space made even. */
public final class Blanks {

    private Blanks() {}

    /** The text with every stretch of spaces, tabs and line ends as one space; spaces that must not break stay. */
    public static String single(String text) {
        StringBuilder result = null;
        for (int i = 0; i < text.length(); i++) {
            char sign = text.charAt(i);
            boolean blank = isBlank(sign);
            boolean further = blank && i > 0 && isBlank(text.charAt(i - 1));
            // Most texts are even already and are given back as they are.
            if (result == null && blank && (further || sign != ' ')) {
                result = new StringBuilder(text.length()).append(text, 0, i);
            }
            if (result != null && !further) {
                result.append(blank ? ' ' : sign);
            }
        }
        return result == null ? text : result.toString();
    }

    private static boolean isBlank(char sign) {
        return sign == ' ' || sign >= '\t' && sign <= '\r';
    }
}
