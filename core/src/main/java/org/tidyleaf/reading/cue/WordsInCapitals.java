package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.source.Cell;

/**
 * "Honey is a ____ food." with VALUE at the end of the line, or WISH between a sentence and the one with a gap that is to mean
 * the same: a word in capitals that the candidate is to use, and neither a heading nor half of a pair.
 */
public final class WordsInCapitals {

    private static final Pattern WORD = Pattern.compile("[(\\[]?\\p{Lu}{2,20}[)\\]]?");

    /** In signs: looked at from the end of a line, which may be of any length. */
    private static final int LONGEST_END = 60;

    private static final Pattern AT_END = Pattern.compile(".*\\S(?:\\s{3,}|\\s*\\t\\s*)" + WORD.pattern());

    private WordsInCapitals() {}

    /** Whether beside each sentence with a gap in a table's first column there is such a word in the second. */
    public static boolean areIn(List<Cues> all, List<Integer> table) {
        long gaps = table.stream()
                .filter(piece -> column(all, piece) == 0 && all.get(piece).is(Trait.GAP))
                .count();
        long words = table.stream()
                .filter(piece -> column(all, piece) == 1 && isOne(all.get(piece)))
                .count();
        return gaps > 1 && gaps == words && gaps + words == table.size();
    }

    /** "Honey is a ____ food.    VALUE" on one line. */
    public static boolean isAtEnd(Cues cues) {
        String text = cues.text();
        return cues.is(Trait.GAP)
                && AT_END.matcher(text.substring(Math.max(0, text.length() - LONGEST_END)))
                        .matches();
    }

    private static int column(List<Cues> all, int piece) {
        return all.get(piece).line().layout().cell().map(Cell::column).orElse(-1);
    }

    /** Whether a cell holds a sentence with a gap and the next of its row such a word. */
    static boolean isBeside(List<Cues> all, int piece) {
        return piece + 1 < all.size()
                && all.get(piece).is(Trait.GAP)
                && isOne(all.get(piece + 1))
                && column(all, piece) == 0
                && column(all, piece + 1) == 1;
    }

    /** Whether a piece is such a word: beside or right behind a sentence with a gap, or between a sentence and one with a gap. */
    public static boolean isOne(List<Cues> all, int piece) {
        return isOne(all.get(piece)) && (isBetween(all, piece) || isBehind(all, piece));
    }

    private static boolean isBehind(List<Cues> all, int piece) {
        boolean sameLine = piece > 0 && !all.get(piece).piece().first();
        return piece > 0
                && (isBeside(all, piece - 1) || sameLine && all.get(piece - 1).is(Trait.GAP));
    }

    private static boolean isBetween(List<Cues> all, int piece) {
        return piece > 0
                && piece + 1 < all.size()
                && all.get(piece - 1).is(Trait.ENDS_SENTENCE)
                && !all.get(piece - 1).labels().isEmpty()
                && all.get(piece + 1).is(Trait.GAP)
                && all.get(piece + 1).labels().isEmpty();
    }

    private static boolean isOne(Cues cues) {
        return cues.labels().isEmpty() && WORD.matcher(cues.text()).matches();
    }
}
