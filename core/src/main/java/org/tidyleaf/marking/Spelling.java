package org.tidyleaf.marking;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** Compares what was typed with what is accepted. Case and spaces never matter (common practice). */
final class Spelling {

    private static final Pattern MARKS = Pattern.compile("\\p{M}+");

    /** In a shorter word one letter makes another word. */
    private static final int SHORTEST_WITH_SLIP = 5;

    private Spelling() {}

    static boolean accepts(List<String> spellings, String entered, MarkRules rules) {
        return spellings.stream().anyMatch(spelling -> isSame(spelling, entered, rules));
    }

    static boolean isSame(String spelling, String entered, MarkRules rules) {
        String wanted = plain(spelling, rules);
        String given = plain(entered, rules);
        boolean word = wanted.codePoints().noneMatch(Character::isDigit) && wanted.length() >= SHORTEST_WITH_SLIP;
        return wanted.equals(given) || rules.slips() && word && isOneSlipFrom(wanted, given);
    }

    private static String plain(String text, MarkRules rules) {
        String bare = text.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
        return rules.accents()
                ? Normalizer.normalize(bare, Normalizer.Form.NFC)
                : MARKS.matcher(Normalizer.normalize(bare, Normalizer.Form.NFD)).replaceAll("");
    }

    /** One letter wrong, missing or too many, or two neighbours swapped (Damerau, A technique for computer detection and correction of spelling errors, 1964). */
    private static boolean isOneSlipFrom(String wanted, String given) {
        int start = 0;
        while (start < Math.min(wanted.length(), given.length()) && wanted.charAt(start) == given.charAt(start)) {
            start++;
        }
        String left = wanted.substring(start);
        String typed = given.substring(start);
        boolean changed = left.length() == typed.length()
                && !left.isEmpty()
                && left.substring(1).equals(typed.substring(1));
        boolean missing =
                left.length() == typed.length() + 1 && left.substring(1).equals(typed);
        boolean added = left.length() + 1 == typed.length() && left.equals(typed.substring(1));
        boolean swapped = left.length() == typed.length()
                && left.length() > 1
                && left.charAt(0) == typed.charAt(1)
                && left.charAt(1) == typed.charAt(0)
                && left.substring(2).equals(typed.substring(2));
        return changed || missing || added || swapped;
    }
}
