package org.tidyleaf.reading.line;

import java.util.regex.Pattern;

/** Lines of a program. */
public final class CodeLines {

    /** A word of a programming language and its signs, or a statement's end. */
    private static final Pattern CODE = Pattern.compile(
            "(?:for|if|elif|else|while|def|class|return|print|import|int|float|double|char|String|var|let|const|public|private|void|function|SELECT|INSERT|UPDATE)\\b(?=.*[(){}\\[\\]=;]).*|[^?]*[;{}]");

    /** In signs: a longer line is none of a program. */
    private static final int LONG = 220;

    private CodeLines() {}

    /** A line of a program. */
    public static boolean isCode(String text) {
        return mayBeCode(text) && CODE.matcher(text).matches();
    }

    /** A cheap look before the pattern is tried. */
    private static boolean mayBeCode(String text) {
        return text.length() < LONG && text.chars().anyMatch(sign -> ";{}()[]=".indexOf(sign) >= 0);
    }
}
