package org.tidyleaf.reading.habit;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "(i) wax (ii) silk (iii) honey" and below it "(a) (i) and (ii)", "(b) (i) and (iii)": labels that the options below
 * name belong to what is asked, though the same labels may letter parts or options elsewhere, or number questions.
 */
final class StatementsToChoose {

    private static final int FEWEST = 2;

    private static final Pattern TOGETHER =
            Vocabulary.pattern("\\b\\d\\s?(?:,|&|\\+|" + Vocabulary.ALL.either("and") + ")\\s?\\d\\b");

    private StatementsToChoose() {}

    /** The places of such statements with letters or numerals. */
    static Set<Integer> find(List<Cues> all) {
        return find(all, StatementsToChoose::isLetter);
    }

    /** The places of such statements that are numbered as questions are. */
    static Set<Integer> numbered(List<Cues> all) {
        return find(all, label -> label.kind() == Label.Kind.NUMBER);
    }

    private static Set<Integer> find(List<Cues> all, Predicate<Label> labelled) {
        Set<Integer> found = new HashSet<>();
        for (int i = 0; i < all.size(); i++) {
            for (Label first : all.get(i).labels()) {
                boolean begins = labelled.test(first) && first.ordinal() == 1;
                int to = begins ? end(all, i, first) : i;
                if (to - i >= FEWEST && areNamedBelow(all, i, to, first)) {
                    for (int place = i; place < to; place++) {
                        found.add(place);
                    }
                }
            }
        }
        return found;
    }

    private static boolean isLetter(Label label) {
        return label.kind() == Label.Kind.LETTER || label.kind() == Label.Kind.ROMAN;
    }

    /** Where the labels that count on from one end. */
    private static int end(List<Cues> all, int from, Label first) {
        int to = from + 1;
        while (to < all.size()
                && label(all, to, first.shape())
                        .filter(label -> label.ordinal() > 1)
                        .isPresent()) {
            to++;
        }
        return to;
    }

    private static Optional<Label> label(List<Cues> all, int place, String shape) {
        return all.get(place).labels().stream()
                .filter(label -> label.shape().equals(shape))
                .findFirst();
    }

    /** Whether most of the letters right below, or below a line that asks, have the labels for their text. */
    private static boolean areNamedBelow(List<Cues> all, int from, int to, Label statements) {
        boolean asked = to < all.size()
                && all.get(to).labels().isEmpty()
                && (HabitFinder.asksOf(all, to) || all.get(to).text().indexOf('?') > 0);
        int begin = asked ? to + 1 : to;
        if (begin >= all.size()) {
            return false;
        }
        String last = label(all, to - 1, statements.shape()).map(Label::printed).orElse("");
        Pattern named = Pattern.compile("(?<![\\p{L}\\d])(?:" + statements.printed() + "|" + last + ")(?![\\p{L}\\d])");
        for (Label first : all.get(begin).labels()) {
            int end = isLetter(first) && first.ordinal() == 1 && !first.shape().equals(statements.shape())
                    ? end(all, begin, first)
                    : begin;
            long naming = IntStream.range(begin, end)
                    .filter(i -> label(all, i, first.shape())
                            .filter(label ->
                                    named.matcher(behind(all.get(i), label)).find())
                            .isPresent())
                    .count();
            // "1" and "3" may be amounts; "1 and 3" names statements.
            boolean together = isLetter(statements)
                    || IntStream.range(begin, end)
                            .anyMatch(i -> TOGETHER.matcher(all.get(i).text()).find());
            if (end - begin >= FEWEST && naming * 2 > end - begin && together) {
                return true;
            }
        }
        return false;
    }

    private static String behind(Cues cues, Label label) {
        return cues.line().text().substring(label.end(), cues.piece().segment().to());
    }
}
