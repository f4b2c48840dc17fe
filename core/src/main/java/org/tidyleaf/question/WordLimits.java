package org.tidyleaf.question;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How many words a written answer should have. They are shown while it is written and while it is marked, and never
 * enforced.
 *
 * @param least 0 where there is no lower limit
 * @param most 0 where there is no upper limit; else not under {@code least}
 */
public record WordLimits(int least, int most) {

    public static final WordLimits NONE = new WordLimits(0, 0);

    private static final Pattern TYPED = Pattern.compile("\\s*(\\d{0,4})\\s*(?:([-\u2013])\\s*(\\d{0,4}))?\\s*");

    public WordLimits {
        if (least < 0 || most < 0 || most > 0 && most < least) {
            throw new IllegalArgumentException("no limits: " + least + " to " + most);
        }
    }

    public boolean areNone() {
        return least == 0 && most == 0;
    }

    /** "60 to 80 words", "at least 60 words", "at most 80 words", or empty. */
    public String words() {
        if (areNone()) {
            return "";
        }
        return most == 0
                ? "at least " + least + " words"
                : least == 0 ? "at most " + most + " words" : least + " to " + most + " words";
    }

    /** Reads "60-80", "60-", "-80" and nothing at all; a single number is an upper limit. Empty where it is none of these. */
    public static Optional<WordLimits> typed(String text) {
        Matcher matcher = TYPED.matcher(text);
        if (!matcher.matches()) {
            return Optional.empty();
        }
        int first = number(matcher.group(1));
        int second = number(matcher.group(3));
        boolean single = matcher.group(2) == null;
        int least = single ? 0 : first;
        int most = single ? first : second;
        return most > 0 && most < least ? Optional.empty() : Optional.of(new WordLimits(least, most));
    }

    private static int number(String digits) {
        return digits == null || digits.isEmpty() ? 0 : Integer.parseInt(digits);
    }
}
