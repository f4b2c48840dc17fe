package org.tidyleaf.reading.role;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Announces;
import org.tidyleaf.reading.model.Habits;

/** "What is propolis?" over "Answer: a resin", without a number: where nothing is numbered, what stands right above an answer and is no option asks for it. */
final class StemsOverAnswers {

    private static final int FEWEST = 2;

    private StemsOverAnswers() {}

    /** The places of the first lines of such questions; none where there is but one answer. */
    static Set<Integer> find(List<Cues> all, Habits habits) {
        Set<Integer> stems = new HashSet<>();
        int answers = 0;
        for (int i = 1; i < all.size() && !habits.numbersStems(); i++) {
            boolean answer =
                    all.get(i).announces(Announces.KEY) && all.get(i).piece().first();
            answers += answer ? 1 : 0;
            int begin = i;
            // The title asks nothing.
            while (answer && begin > Math.min(1, i - 1) && isAsked(all, begin - 1, habits)) {
                begin--;
            }
            if (begin < i) {
                stems.add(begin);
            }
        }
        return answers < FEWEST ? Set.of() : stems;
    }

    private static boolean isAsked(List<Cues> all, int place, Habits habits) {
        Cues cues = all.get(place);
        return StemsByLook.isPlain(cues)
                && !cues.is(Cues.Trait.TYPE_HEAD)
                && !cues.is(Cues.Trait.JUDGEMENT_WORD)
                && cues.sign().isEmpty()
                && habits.optionLabel(cues).isEmpty();
    }
}
