package org.tidyleaf.reading.wording;

import java.time.Month;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The names of months in the languages that are read, as the Unicode locale data of the Java platform has them. */
final class Months {

    private static final Set<String> NAMES = Stream.concat(
                    List.of("en", "de", "fr", "es", "it", "pt", "nl", "pl").stream()
                            .flatMap(language -> Arrays.stream(Month.values())
                                    .map(month ->
                                            month.getDisplayName(TextStyle.FULL, Locale.forLanguageTag(language)))),
                    Arrays.stream(Month.values()).map(month -> month.getDisplayName(TextStyle.SHORT, Locale.ENGLISH)))
            .map(name -> name.toLowerCase(Locale.ROOT))
            .collect(Collectors.toUnmodifiableSet());

    private Months() {}

    /** Whether what stands behind a number makes a date of it: "May", ". Mai", "de mayo". */
    static boolean isOne(String text) {
        return NAMES.contains(text.toLowerCase(Locale.ROOT).replaceFirst("^(?:\\.\\s?|de\\s)", ""));
    }
}
