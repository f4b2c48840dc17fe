package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import org.tidyleaf.reading.Cues.Trait;
import org.tidyleaf.source.Emphasis;

/**
 * "8. Explain how smoke works." and below it "&lt;b&gt;It hides the scent.&lt;/b&gt;": where right options are set bold, bold lines below
 * questions without options are answers too.
 */
final class BoldAnswers {

    private static final int FEWEST = 2;

    private BoldAnswers() {}

    static void mark(List<Cues> all) {
        if (!areOptionsMarked(all)) {
            return;
        }
        List<Integer> answers = new ArrayList<>();
        for (int i = 1; i < all.size(); i++) {
            if (isAnswer(all.get(i)) && isAsked(all, i - 1) && endsQuestion(all, i + 1)) {
                answers.add(i);
            }
        }
        for (int place : answers.size() >= FEWEST ? answers : List.<Integer>of()) {
            all.set(place, all.get(place).asAnswer());
        }
    }

    /** Some of the lettered lines are bold, most are not. */
    private static boolean areOptionsMarked(List<Cues> all) {
        List<Cues> lettered =
                all.stream().filter(cues -> cues.has(Label.Kind.LETTER)).toList();
        long bold =
                lettered.stream().filter(cues -> cues.isMostly(Emphasis.BOLD)).count();
        return bold >= FEWEST && bold * 2 < lettered.size();
    }

    private static boolean isAnswer(Cues cues) {
        return cues.isMostly(Emphasis.BOLD)
                && cues.piece().first()
                && cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && !cues.is(Trait.HEADING)
                && !cues.is(Trait.SECTION_WORD)
                && !cues.is(Trait.TYPE_HEAD)
                && !cues.is(Trait.GROUP_HEAD)
                && !cues.is(Trait.INSTRUCTION_WORD)
                && !cues.is(Trait.POINTS_EACH)
                && !cues.is(Trait.FILL_IN)
                && !cues.is(Trait.GAP)
                && !cues.is(Trait.OFF_BODY)
                && !cues.is(Trait.QUESTION_MARK)
                && !cues.is(Trait.COLON);
    }

    /** A question in ordinary type, or the last cell of what it is about. */
    private static boolean isAsked(List<Cues> all, int above) {
        Cues cues = all.get(above);
        return !cues.isMostly(Emphasis.BOLD)
                && (cues.has(Label.Kind.NUMBER) || cues.line().layout().cell().isPresent());
    }

    private static boolean endsQuestion(List<Cues> all, int below) {
        return below == all.size() || all.get(below).has(Label.Kind.NUMBER);
    }
}
