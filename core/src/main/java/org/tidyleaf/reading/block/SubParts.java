package org.tidyleaf.reading.block;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "(c) (i) What … [1]" with "(ii) What … [2]" below it: small numerals within a lettered part. They stay one question, as
 * their part is one; each further numeral goes on with it.
 */
public final class SubParts {

    /** A letter with the first numeral behind it; or the numeral alone, below the letter's line. */
    private static final Pattern FIRST = Pattern.compile("[(\\[]?[a-h][)\\].]\\s*([(\\[]?)i([)\\].])\\s+\\S.*");

    private static final Pattern LETTERED = Pattern.compile("(?:[(\\[]?|\\d{1,3})[a-h][)\\].]\\s+\\S.*");
    private static final Pattern NUMERAL = Pattern.compile("([(\\[]?)(i{1,3}|iv|vi{0,3}|ix|x)([)\\].])\\s+\\S.*");
    private static final List<String> NUMERALS = List.of("i", "ii", "iii", "iv", "v", "vi", "vii", "viii", "ix", "x");

    private static final Pattern COUNTED_ANSWERS = Pattern.compile("\\(1\\)\\s.*\\(2\\)\\s");

    /** A lettered line wraps over at most so many more. */
    private static final int MOST_WRAPPED = 4;

    private SubParts() {}

    /** The places of the pieces that go on with their part. */
    static List<Integer> find(List<Cues> all) {
        List<Integer> found = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            String text = text(all, i);
            Matcher first = FIRST.matcher(text);
            if (first.matches()) {
                found.addAll(series(all, i + 1, 1, first.group(1) + first.group(2)));
            } else if (LETTERED.matcher(text).matches()
                    && !NUMERAL.matcher(text).matches()) {
                found.addAll(series(all, i + 1, 0, ""));
            } else if (all.get(i).number().isPresent()) {
                found.addAll(gapsAnsweredTogether(all, i + 1));
            }
        }
        return found;
    }

    /** "(i) … ____ (ii) … ____" below a number, and below that "Answer: (1) wax (2) comb": gaps of one question. */
    private static List<Integer> gapsAnsweredTogether(List<Cues> all, int from) {
        List<Integer> gaps = new ArrayList<>();
        int at = from;
        while (at < all.size() && gaps.size() < NUMERALS.size() && all.get(at).is(Cues.Trait.GAP)) {
            Matcher numeral = NUMERAL.matcher(text(all, at));
            if (!numeral.matches() || !numeral.group(2).equals(NUMERALS.get(gaps.size()))) {
                break;
            }
            gaps.add(at++);
        }
        boolean together = gaps.size() > 1
                && at < all.size()
                && all.get(at).announces(Cues.Announces.KEY)
                && COUNTED_ANSWERS.matcher(text(all, at)).find();
        return together ? gaps : List.of();
    }

    /** Numerals that count on, each of them asking something; two in all are a series. */
    private static List<Integer> series(List<Cues> all, int from, int counted, String shape) {
        List<Integer> series = new ArrayList<>();
        int count = counted;
        String brackets = shape;
        for (int i = from; i < all.size(); i++) {
            Matcher numeral = NUMERAL.matcher(text(all, i));
            boolean room = isRoom(all.get(i)) && !numeral.matches();
            if (room || count == 0 && i < from + MOST_WRAPPED && isWrapped(all, i)) {
                continue;
            }
            boolean next = count < NUMERALS.size()
                    && numeral.matches()
                    && numeral.group(2).equals(NUMERALS.get(count))
                    && (brackets.isEmpty() || brackets.equals(numeral.group(1) + numeral.group(3)))
                    && (asks(text(all, i)) || isPointed(all, i) || endsInPoints(all, i));
            if (!next) {
                break;
            }
            brackets = numeral.group(1) + numeral.group(3);
            series.add(i);
            count++;
        }
        return count > 1 ? series : List.of();
    }

    /** Options have no points in words; where the last numeral has, all of them are asked. */
    private static boolean endsInPoints(List<Cues> all, int from) {
        int last = from;
        while (last + 1 < all.size() && NUMERAL.matcher(text(all, last + 1)).matches()) {
            last++;
        }
        return PointsFinder.beside(text(all, last)).isPresent()
                && Vocabulary.ALL.mentions(all.get(last).words(), "points");
    }

    private static boolean asks(String text) {
        Optional<PointsFinder.Found> points = PointsFinder.beside(text);
        return points.isPresent()
                || text.matches(".*\\[\\d{1,2}]\\s*")
                || text.strip().endsWith("?");
    }

    /** The lettered line goes on before the first numeral. */
    private static boolean isWrapped(List<Cues> all, int piece) {
        Cues cues = all.get(piece);
        boolean labelled = LETTERED.matcher(text(all, piece)).matches()
                || NUMERAL.matcher(text(all, piece)).matches();
        return !labelled && cues.lead().isEmpty() && cues.spaceBefore() == 0;
    }

    /** Its points stand far behind it, as a piece of their own, or behind the room to write below it. */
    private static boolean isPointed(List<Cues> all, int piece) {
        if (piece + 1 < all.size()
                && all.get(piece + 1).is(Cues.Trait.POINTS_ONLY)
                && !all.get(piece + 1).piece().first()) {
            return true;
        }
        int room = piece + 1;
        while (room < all.size() && isRoom(all.get(room)) && !asks(text(all, room))) {
            room++;
        }
        return room < all.size() && isRoom(all.get(room));
    }

    private static boolean isRoom(Cues cues) {
        boolean points = cues.is(Cues.Trait.POINTS_ONLY) && !cues.piece().first();
        return cues.is(Cues.Trait.WRITING_LINE)
                || cues.is(Cues.Trait.GAP)
                || cues.text().isBlank()
                || points;
    }

    private static String text(List<Cues> all, int piece) {
        return all.get(piece).text().strip();
    }
}
