package org.tidyleaf.reading.wording;

import java.util.regex.Pattern;

/** "Work these out. Show your working." over "3/4 of 60 cm" and "2.5 kg ÷ 4": what is to be reckoned, each part for itself. */
public final class Reckoning {

    /** What is to be done, with no figure in it, for the figures stand below. */
    private static final Pattern LEAD =
            Vocabulary.pattern("(?:[^\\d?]*[.:!]\\s*)?" + Vocabulary.ALL.either("reckon") + "\\b[^\\d?]*");

    private static final Pattern LABEL = Pattern.compile("^[^.:)]{0,20}[.:)]\\s*");

    private static final String SIGN = "[+\u2212\u00d7\u00f7*/=^\u221a]";

    /** Two numbers, a number and what is done to it, or one that is to be in another unit. */
    private static final Pattern SUM = Pattern.compile(
            "(?s).*\\d[^\\d.,]+\\d.*|.*\\d.*" + SIGN + ".*|.*" + SIGN + ".*\\d.*|.*\\d\\s*\\p{L}{1,3}\\s.*\\p{L}.*");

    /** "3x + 5 = 20", "2a + 3b": what is found is no number of its own. */
    private static final Pattern UNKNOWN =
            Pattern.compile("(?s).*(?:\\d[a-z]\\b(?!\\s*(?:of|to|in)\\b)|\\b[abnxyz]\\b).*");

    /** A longer text tells a story in which something is to be found. */
    private static final int LONGEST = 120;

    private Reckoning() {}

    /** Whether a text says that something below it is to be reckoned. */
    public static boolean isLead(String text) {
        return LEAD.matcher(text.strip()).matches();
    }

    /** Whether the heading of a part says so behind its own number, "Exercise 2: Calculate." */
    public static boolean isHead(String text) {
        return isLead(LABEL.matcher(text.strip()).replaceFirst(""));
    }

    /** Whether a text is something to reckon. */
    public static boolean isSum(String text) {
        return text.length() < LONGEST && SUM.matcher(text).matches();
    }

    /** Whether what comes out of it is a number. */
    public static boolean makesNumber(String text) {
        return isSum(text) && !UNKNOWN.matcher(text).matches();
    }
}
