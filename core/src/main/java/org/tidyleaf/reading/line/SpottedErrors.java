package org.tidyleaf.reading.line;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Line;

/**
 * "She have (A) measured the board (B) twice (C)." with words underlined, or bold, beside the letters: the options stand within
 * the sentence, which stays whole.
 */
public final class SpottedErrors {

    private static final Pattern LETTER = Pattern.compile("[(\\[]([A-Ea-e])[)\\]]");
    private static final List<Emphasis> SIGNS = List.of(Emphasis.UNDERLINE, Emphasis.BOLD);
    /** In signs: a longer line is no sentence with an error in it. */
    private static final int LONGEST = 600;

    private static final int FEWEST_ON_LINE = 2;

    private SpottedErrors() {}

    /** Whether the letters of a line stand beside words of its sentence. */
    public static boolean areIn(Line line) {
        return in(line, 0, line.text().length(), 0).size() >= FEWEST_ON_LINE;
    }

    /** The words of an option, from where to where in their line, and the letter beside them. */
    public record Spotted(String letter, int from, int to) {}

    /**
     * The options within a part of a line.
     *
     * @param above how many of the question stand above
     */
    public static List<Spotted> in(Line line, int from, int to, int above) {
        if (to - from > LONGEST
                || line.spans().isEmpty()
                || line.text().indexOf('(') < 0 && line.text().indexOf('[') < 0) {
            return List.of();
        }
        for (Emphasis sign : SIGNS) {
            for (boolean behind : new boolean[] {true, false}) {
                List<Spotted> found = beside(line, from, to, above, sign, behind);
                if (!found.isEmpty() && isSentence(line, from, to, sign)) {
                    return found;
                }
            }
        }
        return List.of();
    }

    /** Empty where one of the letters has no such word beside it. */
    private static List<Spotted> beside(Line line, int from, int to, int above, Emphasis sign, boolean behind) {
        List<Spotted> found = new ArrayList<>();
        Matcher letter = LETTER.matcher(line.text()).region(from, to);
        while (letter.find()) {
            boolean next = Character.toUpperCase(letter.group(1).charAt(0)) == 'A' + above + found.size();
            int start = behind ? wordsBefore(line, from, letter.start(), sign) : skipped(line, letter.end(), to);
            int end = behind ? trimmed(line, start, letter.start()) : wordsBehind(line, start, to, sign);
            if (!next || start >= end) {
                return List.of();
            }
            found.add(new Spotted(letter.group(1), start, end));
        }
        return found;
    }

    private static int wordsBefore(Line line, int from, int end, Emphasis sign) {
        int at = trimmed(line, from, end);
        int start = at;
        while (start > from
                && (line.carries(sign, start - 1) || isBlank(line, start - 1) && line.carries(sign, start - 2))) {
            start--;
        }
        return start == at ? end : start;
    }

    private static int wordsBehind(Line line, int start, int to, Emphasis sign) {
        int end = start;
        while (end < to && line.carries(sign, end)) {
            end++;
        }
        return trimmed(line, start, end);
    }

    private static int trimmed(Line line, int from, int end) {
        int at = end;
        while (at > from && isBlank(line, at - 1)) {
            at--;
        }
        return at;
    }

    private static int skipped(Line line, int start, int to) {
        int at = start;
        while (at < to && isBlank(line, at)) {
            at++;
        }
        return at;
    }

    private static boolean isBlank(Line line, int at) {
        return at >= 0 && Character.isWhitespace(line.text().charAt(at));
    }

    /** Words that are not set apart stand between. */
    private static boolean isSentence(Line line, int from, int to, Emphasis sign) {
        Matcher letter = LETTER.matcher(line.text());
        for (int i = from; i < to; i++) {
            letter.region(i, to);
            boolean printed = letter.lookingAt();
            if (!printed && Character.isLetter(line.text().charAt(i)) && !line.carries(sign, i)) {
                return true;
            }
            i = printed ? letter.end() - 1 : i;
        }
        return false;
    }
}
