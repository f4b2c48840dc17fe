package org.tidyleaf.reading.block;

import java.util.List;
import java.util.regex.Pattern;
import org.tidyleaf.reading.cue.WordsInCapitals;
import org.tidyleaf.reading.cut.PairKeys;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;

/** Lines that hold both sides of a pair: "oak    hard", "1851 = the bee space", "nurse bee ● ● feeds the young". */
public final class PairLines {

    /** Two sides of a pair on one line: a tab, a wide space, an equals sign or an arrow stands between them. */
    private static final Pattern BETWEEN = Pattern.compile(
            "\\s*\\t\\s*(?:(?:->|=>|\u2192|[-\u2013\u2014](?=\\s))\\s*)?"
                    + "|\\s{3,}+(?:(?:->|=>|\u2192|[-\u2013\u2014](?=\\s))\\s*)?(?![)\\]])|\\s+(?:=|\u2192|\u2013|\u2014|->|:)\\s+");

    /** "veil - keeps bees off the face": where no number stands before it, for "9 - Match" has a sign of its own. */
    private static final Pattern HYPHENED = Pattern.compile("[^-]{2,60}(\\s-\\s)[^-]{2,120}");

    private static final Pattern HYPHEN = Pattern.compile("\\s-\\s");

    /** "nurse bee ● ● feeds the young": dots to draw lines between. */
    private static final Pattern DOTS_BETWEEN =
            Pattern.compile(".*\\S\\s*[\u2022\u25cf\u25cb]\\s+[\u2022\u25cf\u25cb]\\s*\\S.*");

    private static final Pattern LABEL_AND_TAB = Pattern.compile("^\\s*[(]?\\d{1,3}[.):]*(?:\\t\\s*|\\s{3,})");

    /** "Match each tool with its use.     (2)": points behind a whole sentence are no half of a pair. */
    private static final Pattern WORTH = Pattern.compile("[(\\[]\\s?\\d{1,2}\\s?[)\\]]\\s*");

    private static final Pattern ENDED = Pattern.compile(".*[.?!:]\\s*");

    /** "mark ___    d    the lid": the letter of the right side, far from both. */
    private static final Pattern LETTER_BETWEEN = Pattern.compile("(?:\\t|\\s{2})[(]?[A-Ha-h][).]?(?:\\t|\\s{2})");

    private PairLines() {}

    /** What parts the sides of a pair in its line. */
    public static Pattern between(Cues cues) {
        boolean hyphened = cues.labels().isEmpty()
                && !BETWEEN.matcher(cues.text()).find()
                && HYPHENED.matcher(cues.text()).matches();
        return hyphened ? HYPHEN : BETWEEN;
    }

    /** Dots to draw lines between, in a line and the next: whatever asks for it, they are pairs. */
    static boolean areDotted(List<Cues> all, int from) {
        return from + 1 < all.size()
                && all.subList(from, from + 2).stream()
                        .allMatch(cues -> cues.line().layout().cell().isEmpty()
                                && DOTS_BETWEEN.matcher(cues.text()).matches());
    }

    static boolean isOne(Cues cues) {
        // A tab right behind the number, or behind "Exercise 5", parts no pair.
        String text = cues.number()
                .filter(label -> Label.isWorded(label.shape()) && label.end() > label.from())
                .map(label -> cues.line()
                        .text()
                        .substring(label.end(), cues.piece().segment().to()))
                .orElseGet(() -> LABEL_AND_TAB.matcher(cues.text()).replaceFirst(""));
        String[] sides = between(cues).split(text, 2);
        return (sides.length == 2 || DOTS_BETWEEN.matcher(text).matches())
                && !sides[0].isBlank()
                && !sides[sides.length - 1].isBlank()
                && !(WORTH.matcher(sides[sides.length - 1]).matches()
                        && ENDED.matcher(sides[0]).matches())
                && cues.lead().isEmpty()
                && !WordsInCapitals.isAtEnd(cues)
                && !PairKeys.isKey(cues.text())
                && (!cues.is(Trait.FILL_IN)
                        || cues.has(Label.Kind.NUMBER)
                                && LETTER_BETWEEN.matcher(text).find())
                && !cues.is(Trait.WRITING_LINE)
                && cues.line().layout().cell().isEmpty()
                && PointsFinder.beside(text)
                        .filter(points -> points.from() <= sides[0].length())
                        .isEmpty();
    }

    /** What stands behind the first gap between two sides; the whole text where there is none. */
    static String rightSide(String text) {
        String[] sides = BETWEEN.split(text, 2);
        return sides[sides.length - 1];
    }
}
