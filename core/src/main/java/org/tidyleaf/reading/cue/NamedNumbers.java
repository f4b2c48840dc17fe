package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.GapSigns;

/**
 * "Question 3 – The hive tool (2 points)" as a heading and what is asked below it: where all headings with a number go on with a
 * few words, these name their questions and ask nothing.
 */
public final class NamedNumbers {

    private static final int FEWEST = 2;
    private static final int MOST_WORDS = 6;

    private NamedNumbers() {}

    /** Makes the names part of the numbers before them. */
    static void mark(List<Cues> all) {
        List<Integer> found = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            if (!isHead(all.get(i))) {
                continue;
            }
            boolean named = nameEnd(all.get(i)).isPresent() && isAsked(all, i + 1);
            if (!named) {
                return;
            }
            found.add(i);
        }
        for (int piece : found.size() < FEWEST ? List.<Integer>of() : found) {
            Cues cues = all.get(piece);
            Label number = cues.number().orElseThrow();
            all.set(
                    piece,
                    cues.withLabels(List.of(new Label(
                            number.kind(),
                            number.ordinal(),
                            number.printed(),
                            number.shape(),
                            number.from(),
                            nameEnd(cues).orElseThrow()))));
        }
    }

    /** The name that stands in a number's place with it; empty where there is none. */
    public static Optional<String> in(Cues cues, Label label) {
        if (label.kind() != Label.Kind.NUMBER || label.end() <= label.from()) {
            return Optional.empty();
        }
        String whole = cues.line().text().substring(label.from(), label.end());
        int digits = whole.indexOf(label.printed());
        String behind =
                digits < 0 ? "" : whole.substring(digits + label.printed().length());
        String name = behind.replaceFirst("^[^\\p{L}]+", "").strip();
        return name.length() > 1 ? Optional.of(name) : Optional.empty();
    }

    private static boolean isHead(Cues cues) {
        return cues.number()
                .filter(label -> Character.isLetter(label.shape().charAt(0)))
                .filter(label -> cues.is(Trait.HEADING) || cues.is(Trait.BOLD))
                .isPresent();
    }

    private static Optional<Integer> nameEnd(Cues cues) {
        Label number = cues.number().orElseThrow();
        String behind = cues.line()
                .text()
                .substring(number.end(), cues.piece().segment().to());
        int end = PointsFinder.beside(behind).map(PointsFinder.Found::from).orElse(behind.length());
        String name = behind.substring(0, end).strip();
        boolean names = !name.isEmpty()
                && Character.isLetter(name.charAt(0))
                && name.split("\\s+").length <= MOST_WORDS
                && !name.matches("(?s).*[.?!:]")
                && GapSigns.count(name) == 0
                && !cues.is(Trait.INSTRUCTION_WORD);
        return names ? Optional.of(number.end() + end) : Optional.empty();
    }

    /** A whole sentence, or one with a gap, in another look and without a label of its own. */
    private static boolean isAsked(List<Cues> all, int piece) {
        if (piece >= all.size()) {
            return false;
        }
        Cues cues = all.get(piece);
        return cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && !cues.is(Trait.HEADING)
                && !cues.is(Trait.BOLD)
                && cues.line().layout().cell().isEmpty()
                && (cues.is(Trait.ENDS_SENTENCE) || cues.is(Trait.QUESTION_MARK) || cues.is(Trait.GAP));
    }
}
