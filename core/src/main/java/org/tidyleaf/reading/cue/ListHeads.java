package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;
import org.tidyleaf.source.Emphasis;

/**
 * "I. Circle the correct word." with questions that begin with 1 or count on right below, and so for "II.", "III.":
 * letters or numerals over lists head groups of questions and are no options, whatever the keys at the end look like.
 */
public final class ListHeads {

    private static final Pattern BEHIND_NUMERAL = Pattern.compile("\\s*[\u2013\u2014-]\\s*\\p{Lu}");
    private static final List<String> NUMERALS = List.of("I", "II", "III", "IV", "V", "VI", "VII", "VIII", "IX", "X");

    /** Two lone letters may be options that lost their neighbours. */
    private static final int FEWEST_AMONG_OPTIONS = 3;

    private static final int FEWEST_BELOW = 2;

    private ListHeads() {}

    /**
     * Whether a whole series of letters or numerals stands over lists. Some may stand over something else, as steps to
     * number, if there is more below each of them than options leave room for.
     */
    public static boolean are(List<Cues> all, List<Seen> series) {
        long heads = 0;
        long others = 0;
        for (int i = 0; i < series.size(); i++) {
            Seen one = series.get(i);
            boolean adjacent = i + 1 < series.size() && series.get(i + 1).piece() == one.piece() + 1;
            if (isOverList(all, one.piece()) || isOverItsFirst(all, one)) {
                heads++;
            } else if (adjacent || one.piece() + 1 == all.size()) {
                return false;
            } else {
                others++;
            }
        }
        boolean among = heads >= 2 && (others * 2 <= heads || others < heads && areBold(all, series));
        return countsOnce(series) && (among || heads > 0 && areBoldDirections(all, series));
    }

    /** "A. Tick the right box." in bold over several plain lines, and so "B.", "C.": whatever stands below them, they head it. */
    private static boolean areBoldDirections(List<Cues> all, List<Seen> series) {
        boolean apart =
                series.size() >= FEWEST_AMONG_OPTIONS && series.get(0).label().ordinal() == 1;
        for (int i = 0; apart && i < series.size(); i++) {
            int piece = series.get(i).piece();
            int next = i + 1 < series.size() ? series.get(i + 1).piece() : all.size();
            Cues head = all.get(piece);
            apart = next - piece > FEWEST_BELOW
                    && series.get(i).label().ordinal() == i + 1
                    && head.is(Cues.Trait.BOLD)
                    && head.is(Cues.Trait.ENDS_SENTENCE)
                    && !all.get(piece + 1).is(Cues.Trait.BOLD);
        }
        return apart;
    }

    /** Whether the letters or numerals themselves are set bold, each of them. */
    private static boolean areBold(List<Cues> all, List<Seen> series) {
        return series.stream()
                .allMatch(seen -> all.get(seen.piece())
                        .line()
                        .isMostly(
                                Emphasis.BOLD, seen.label().from(), seen.label().end()));
    }

    /**
     * Heads "A. Matching", "B. Essays" where options are lettered alike: each the last between two numbers,
     * counting on through the whole test.
     *
     * @param series all labels of one shape, in order
     * @param numbered the places of numbered questions
     */
    public static List<Seen> amongOptions(List<Cues> all, List<Seen> series, Set<Integer> numbered) {
        List<Integer> numbers = numbered.stream().sorted().toList();
        List<Seen> heads = new ArrayList<>();
        for (int i = 0; i < series.size(); i++) {
            int between = between(numbers, series.get(i).piece());
            boolean first = i == 0 || between(numbers, series.get(i - 1).piece()) < between;
            boolean last =
                    i + 1 == series.size() || between(numbers, series.get(i + 1).piece()) > between;
            boolean next = series.get(i).label().ordinal() == heads.size() + 1;
            boolean below = between < numbers.size() || heads.size() > 1;
            if (last && next && below && (first || isApart(all, series.get(i - 1), series.get(i)))) {
                heads.add(series.get(i));
            }
        }
        return heads.size() >= FEWEST_AMONG_OPTIONS ? heads : List.of();
    }

    /** Whether a letter does not go on with the options above it: another one was next, or it looks like no option. */
    private static boolean isApart(List<Cues> all, Seen above, Seen here) {
        Cues head = all.get(here.piece());
        return here.label().ordinal() != above.label().ordinal() + 1
                || (head.is(Cues.Trait.BOLD) || head.spaceBefore() > 0)
                        && !all.get(above.piece()).is(Cues.Trait.BOLD)
                        && all.get(above.piece()).spaceBefore() == 0;
    }

    /** How many of the numbers stand above a place. */
    private static int between(List<Integer> numbers, int place) {
        int at = Collections.binarySearch(numbers, place);
        return at < 0 ? -at - 1 : at;
    }

    /** "I - Multiple choice", "II - Open questions": numerals that count on through the test, each before a dash. */
    public static List<Integer> dashed(List<Cues> all) {
        List<Integer> found = new ArrayList<>();
        for (int i = 0; i < all.size() && found.size() < NUMERALS.size(); i++) {
            String text = all.get(i).text();
            String numeral = NUMERALS.get(found.size());
            boolean next = text.startsWith(numeral)
                    && BEHIND_NUMERAL
                            .matcher(text)
                            .region(numeral.length(), text.length())
                            .lookingAt()
                    && !all.get(i).is(Cues.Trait.OFF_BODY);
            boolean apart = found.isEmpty() || i > found.get(found.size() - 1) + 1;
            if (next && apart) {
                found.add(i);
            }
        }
        return found.size() > 1 ? found : List.of();
    }

    public static boolean isDashed(String text) {
        return text.matches("[IVX]{1,4}\\s*[\u2013\u2014-]\\s*\\p{Lu}.*");
    }

    /** "I. 1. In winter …": the first of the list stands on the line of its head. */
    private static boolean isOverItsFirst(List<Cues> all, Seen one) {
        return all.get(one.piece()).line().text().substring(one.label().end()).matches("[(]?1[.):].*");
    }

    /** Heads count on through the whole test; options begin anew. */
    private static boolean countsOnce(List<Seen> series) {
        for (int i = 1; i < series.size(); i++) {
            if (series.get(i).label().ordinal() <= series.get(i - 1).label().ordinal()) {
                return false;
            }
        }
        return true;
    }

    /** Whether the letter or numeral right before or after that of a place stands over a list, or all of them direct. */
    public static boolean isOne(List<Cues> all, int piece) {
        return all.get(piece).labels().stream()
                .filter(label -> label.kind() == Label.Kind.LETTER || label.kind() == Label.Kind.ROMAN)
                .anyMatch(label -> isBesideHead(all, piece, label)
                        || all.get(piece).is(Cues.Trait.BOLD) && areBoldDirections(all, like(all, label)));
    }

    private static List<Seen> like(List<Cues> all, Label one) {
        List<Seen> series = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            int piece = i;
            all.get(i).labels().stream()
                    .filter(label -> label.shape().equals(one.shape()))
                    .forEach(label -> series.add(new Seen(piece, label)));
        }
        return series;
    }

    private static boolean isBesideHead(List<Cues> all, int piece, Label label) {
        for (int i = 0; i < all.size(); i++) {
            boolean neighbour = i != piece
                    && all.get(i).labels().stream()
                            .anyMatch(other -> other.shape().equals(label.shape())
                                    && Math.abs(other.ordinal() - label.ordinal()) == 1);
            if (neighbour && isOverList(all, i)) {
                return true;
            }
        }
        return false;
    }

    private static boolean isOverList(List<Cues> all, int piece) {
        return piece + 1 < all.size()
                && all.get(piece + 1).labels().stream()
                        .filter(label -> label.kind() == Label.Kind.NUMBER)
                        .anyMatch(label -> label.ordinal() == 1 || countsOn(all, piece, label));
    }

    /** Whether a number is the next after the last of its kind above a place. */
    private static boolean countsOn(List<Cues> all, int piece, Label number) {
        for (int i = piece - 1; i >= 0; i--) {
            Optional<Label> last = all.get(i).labels().stream()
                    .filter(label -> label.shape().equals(number.shape()))
                    .findFirst();
            if (last.isPresent()) {
                return last.get().ordinal() + 1 == number.ordinal();
            }
        }
        return false;
    }
}
