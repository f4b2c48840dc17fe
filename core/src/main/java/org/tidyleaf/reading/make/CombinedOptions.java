package org.tidyleaf.reading.make;

import java.util.List;
import java.util.regex.Pattern;
import org.tidyleaf.question.Option;

/** "(i) and (ii)", "I, II and III", "1 + 3": options that each take some statements together; just one of them is right. */
final class CombinedOptions {

    private static final String LABEL = "[(\\[]?(?:[ivxIVX]{1,4}|[A-Ha-h]|\\d)[)\\]]?";
    private static final Pattern COMBINED = Pattern.compile("\\W*(?:\\p{L}{2,5}\\s)?" + LABEL
            + "(?:\\s*(?:[,/&+]|\\b\\p{L}{1,3}\\b)\\s*" + LABEL + ")+(?:\\s\\p{L}{2,8})?\\W*");

    /** In signs: a longer text is a statement itself. */
    private static final int LONGEST = 60;

    private CombinedOptions() {}

    static boolean are(List<Option> options) {
        long combined = options.stream()
                .map(option -> option.text().plain().strip())
                .filter(text ->
                        text.length() <= LONGEST && COMBINED.matcher(text).matches())
                .count();
        return combined > 1 && combined * 2 >= options.size();
    }
}
