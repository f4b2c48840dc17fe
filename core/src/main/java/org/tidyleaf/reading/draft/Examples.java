package org.tidyleaf.reading.draft;

import java.util.ArrayList;
import java.util.List;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.Step;
import org.tidyleaf.reading.wording.Vocabulary;

/** "There is an example at the beginning (0)": what has the number 0 only shows how to answer, and nobody answers it. */
final class Examples {

    private Examples() {}

    /**
     * @param roles changed where an example is set aside
     * @param owners for each piece the 1-based place of its question, 0 for none; changed
     */
    static List<Draft> setAside(List<Draft> questions, List<Assigned> roles, int[] owners) {
        boolean said = roles.stream()
                .anyMatch(piece -> Vocabulary.ALL.mentions(piece.cues().words(), "example"));
        List<Draft> kept = new ArrayList<>();
        int[] places = new int[questions.size() + 1];
        for (int place = 1; said && place <= questions.size(); place++) {
            Draft draft = questions.get(place - 1);
            if (!draft.number.matches("0+")) {
                kept.add(draft);
                places[place] = kept.size();
            }
        }
        if (!said || kept.size() == questions.size()) {
            return questions;
        }
        for (int i = 0; i < owners.length; i++) {
            boolean example = owners[i] > 0 && places[owners[i]] == 0;
            owners[i] = places[owners[i]];
            if (example) {
                Assigned piece = roles.get(i);
                roles.set(i, new Assigned(piece.cues(), new Step(Role.ASIDE, false, Step.OUTSIDE), piece.doubt()));
            }
        }
        return kept;
    }
}
