package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;

/**
 * "True or false?" as a heading over "• Bees sleep." or "[x] Bees sleep.": bullets, or boxes of which those before true statements
 * are ticked. Each is judged for itself, and none is offered by the question above the heading.
 */
final class JudgedUnderHeads {

    private static final String SHAPE = "judged bullet";

    private static final int FEWEST = 2;

    private static final int FEWEST_WORDS = 3;

    private JudgedUnderHeads() {}

    /** Counts them, without a number to show. */
    static void label(List<Cues> all) {
        for (int head = 0; head + FEWEST < all.size(); head++) {
            if (!isHead(all.get(head))) {
                continue;
            }
            List<Integer> statements = new ArrayList<>();
            for (int i = head + 1; i < all.size() && isStatement(all.get(i)); i++) {
                statements.add(i);
            }
            boolean ticked = statements.stream().anyMatch(place -> isTicked(all.get(place)));
            if (statements.size() < FEWEST) {
                continue;
            }
            all.get(head).traits().add(Trait.SECTION_WORD);
            for (int place : statements) {
                number(all, place, statements.indexOf(place) + 1, ticked);
            }
        }
    }

    private static boolean isHead(Cues cues) {
        boolean looks =
                cues.is(Trait.HEADING) || cues.is(Trait.SECTION_WORD) || cues.is(Trait.BOLD) && cues.is(Trait.SHORT);
        return looks
                && cues.number().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && !cues.is(Trait.OFF_BODY)
                && JudgedBy.in(cues.text()).isPresent();
    }

    private static boolean isStatement(Cues cues) {
        boolean listed = !cues.labels().isEmpty()
                && cues.labels().stream()
                        .allMatch(label -> label.kind() == Label.Kind.BULLET || label.kind() == Label.Kind.BOX);
        return listed
                && cues.piece().first()
                && cues.lead().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && !cues.is(Trait.QUESTION_MARK)
                && cues.words().size() >= FEWEST_WORDS;
    }

    private static boolean isTicked(Cues cues) {
        return cues.labels().stream()
                .anyMatch(label -> label.kind() == Label.Kind.BOX
                        && label.printed().matches(".*[xX\\u2713\\u2714\\u2611\\u2612].*"));
    }

    private static void number(List<Cues> all, int place, int ordinal, boolean ticked) {
        Cues cues = all.get(place);
        Label first = cues.labels().get(0);
        Label number = new Label(Label.Kind.NUMBER, ordinal, "", SHAPE, first.from(), first.end());
        Cues counted = cues.withLabels(List.of(number));
        Optional<String> said = ticked ? Optional.of(isTicked(cues) ? "T" : "F") : Optional.empty();
        all.set(
                place,
                said.map(letter -> counted.withMargin(new Cues.Margin(letter, false, first.end())))
                        .orElse(counted));
        all.get(place).traits().remove(Trait.STARTS_LOWER);
    }
}
