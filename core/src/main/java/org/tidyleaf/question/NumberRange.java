package org.tidyleaf.question;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/** The printed number of a question that counts as several, "3–5": a text whose gaps are numbered like questions. */
public final class NumberRange {

    private static final Pattern RANGE = Pattern.compile("(\\d{1,3})\\s?[-\u2013]\\s?(\\d{1,3})");

    private NumberRange() {}

    /** "3", "4" and "5" of "3–5"; any other number alone, as printed. */
    public static List<String> of(String printed) {
        Matcher range = RANGE.matcher(printed);
        if (!range.matches()) {
            return List.of(printed);
        }
        int first = Integer.parseInt(range.group(1));
        int last = Integer.parseInt(range.group(2));
        return first < last
                ? IntStream.rangeClosed(first, last).mapToObj(String::valueOf).toList()
                : List.of(printed);
    }
}
