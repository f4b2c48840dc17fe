package org.tidyleaf.reading.cue;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "[2] 1. When …", "___/3  2. How …", "2 pts  3. Why …", "2p 4  Name …", or "1. (2) When …": what each question is worth stands right beside its
 * number, throughout; the number is the one that counts on.
 */
public final class PointsBeforeNumbers {

    private static final String VALUE = "\\d{1,2}(?:[.,]5)?";
    private static final String WORD = "\\s*(?:" + Vocabulary.ALL.either("points") + "|p)\\.?";

    private static final Pattern BEFORE = Vocabulary.pattern("\\s*(?:[(\\[]\\s*(?:_*\\s*/\\s*)?(?<bracketed>" + VALUE
            + ")(?:" + WORD + ")?\\s*[)\\]]|_{1,9}\\s*/\\s*(?<scored>" + VALUE + ")|(?<worded>" + VALUE + ")" + WORD
            + ")\\s+(?<number>\\d{1,3})(?<sign>\\.?\\)|\\.|(?=\\s+(?-i:\\p{Lu}|[\"'\u201c\u2018\u00bf(])))\\s+(?=\\S)");

    private static final Pattern BEHIND = Pattern.compile(
            "\\s*(?<number>\\d{1,3})(?<sign>[.)])\\s+[(\\[](?<bracketed>" + VALUE + ")[)\\]]\\s+(?=\\p{Lu})");

    /** "1p 4  Name …": other numbers without a sign are none of theirs. */
    private static final String UNSIGNED = "p9";

    /** Fewer say nothing of a habit. */
    private static final int FEWEST = 3;

    private PointsBeforeNumbers() {}

    static void label(List<Cues> all) {
        if (!label(all, BEFORE)) {
            label(all, BEHIND);
        }
    }

    private static boolean label(List<Cues> all, Pattern form) {
        List<Integer> places = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Matcher matcher = matcher(form, all.get(i));
            boolean next = !all.get(i).is(Trait.OFF_BODY)
                    && matcher.lookingAt()
                    && Integer.parseInt(matcher.group("number")) == places.size() + 1;
            if (next) {
                places.add(i);
            }
        }
        if (places.size() < FEWEST || form == BEHIND && !areWorth(all, places)) {
            return false;
        }
        places.forEach(place -> all.set(place, labelled(all.get(place), form)));
        return true;
    }

    /** "1. (1) … 2. (2) …" counts twice and tells no worth; nor does a form that others of these numbers lack. */
    private static boolean areWorth(List<Cues> all, List<Integer> places) {
        boolean counting = IntStream.range(0, places.size())
                .allMatch(i -> points(all.get(places.get(i)), BEHIND)
                        .filter(worth -> worth.compareTo(BigDecimal.valueOf(i + 1)) == 0)
                        .isPresent());
        long numbered = all.stream()
                .filter(cues -> cues.number()
                        .filter(label -> label.shape().matches("9[.)]"))
                        .isPresent())
                .count();
        return !counting && places.size() * 4 >= numbered * 3;
    }

    private static Cues labelled(Cues cues, Pattern form) {
        Matcher matcher = matcher(form, cues);
        if (!matcher.lookingAt()) {
            return cues;
        }
        String printed = matcher.group("number");
        int from = cues.piece().segment().from();
        return cues.withLabels(List.of(new Label(
                Label.Kind.NUMBER,
                Integer.parseInt(printed),
                printed,
                matcher.group("sign").isEmpty() ? UNSIGNED : "9" + matcher.group("sign"),
                from,
                matcher.end())));
    }

    /** The points within such a label. */
    public static Optional<BigDecimal> of(Cues cues, Label label) {
        return points(cues, BEFORE)
                .or(() -> points(cues, BEHIND))
                .filter(points -> label.end() == end(cues, BEFORE) || label.end() == end(cues, BEHIND));
    }

    private static int end(Cues cues, Pattern form) {
        Matcher matcher = matcher(form, cues);
        return matcher.lookingAt() ? matcher.end() : -1;
    }

    private static Optional<BigDecimal> points(Cues cues, Pattern form) {
        Matcher matcher = matcher(form, cues);
        if (!matcher.lookingAt()) {
            return Optional.empty();
        }
        String said = matcher.group("bracketed");
        if (said == null && form == BEFORE) {
            said = matcher.group("scored") == null ? matcher.group("worded") : matcher.group("scored");
        }
        return Optional.of(new BigDecimal(said.replace(',', '.')));
    }

    private static Matcher matcher(Pattern form, Cues cues) {
        return form.matcher(cues.line().text())
                .region(cues.piece().segment().from(), cues.piece().segment().to());
    }
}
