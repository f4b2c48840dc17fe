package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Emphasis;

/**
 * "• What does rpm mean?" and below it, in italics or further in, "revolutions per minute", again and again: bullets before questions, each
 * with its answer below.
 */
final class AnsweredBullets {

    private static final int FEWEST = 3;

    private static final String SHAPE = "bullet over an answer";

    private AnsweredBullets() {}

    static void mark(List<Cues> all) {
        if (Cues.areNumbered(all)) {
            return;
        }
        for (int i = 0; i < all.size(); i++) {
            List<Integer> asked = new ArrayList<>();
            while (i + 1 < all.size() && isAsked(all.get(i)) && isAnswer(all.get(i), all.get(i + 1))) {
                asked.add(i);
                i += 2;
            }
            if (asked.size() >= FEWEST) {
                asked.forEach(place -> number(all, place, asked.indexOf(place) + 1));
            }
        }
    }

    /** The bullet counts its question, without a number to show; what stands below answers it. */
    private static void number(List<Cues> all, int place, int ordinal) {
        Cues cues = all.get(place);
        Label bullet = cues.labels().stream()
                .filter(label -> label.kind() == Label.Kind.BULLET)
                .findFirst()
                .orElseThrow();
        Label number = new Label(Label.Kind.NUMBER, ordinal, "", SHAPE, bullet.from(), bullet.end());
        all.set(place, cues.withLabels(List.of(number)));
        all.set(place + 1, all.get(place + 1).asAnswer());
    }

    private static boolean isAsked(Cues cues) {
        return cues.has(Label.Kind.BULLET)
                && cues.sign().isEmpty()
                && (cues.is(Trait.QUESTION_MARK) || cues.is(Trait.ENDS_SENTENCE));
    }

    private static boolean isAnswer(Cues bullet, Cues below) {
        boolean italic = below.isMostly(Emphasis.ITALIC) && !bullet.isMostly(Emphasis.ITALIC);
        boolean colored = below.isMostly(Emphasis.COLOR) && !bullet.isMostly(Emphasis.COLOR);
        return below.labels().isEmpty()
                && below.lead().isEmpty()
                && !below.is(Trait.WRITING_LINE)
                && !below.is(Trait.QUESTION_MARK)
                && !below.is(Trait.FIGURE_ONLY)
                && below.line().layout().cell().isEmpty()
                && (italic
                        || colored
                        || below.line().layout().indent()
                                > bullet.line().layout().indent());
    }
}
