package org.tidyleaf.reading.model;

import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What this one document does throughout.
 *
 * @param stemShapes label shapes that number its questions, with how many they number
 * @param optionShapes label shapes that letter its options, with how many they letter
 * @param chained places among the pieces whose label continues the run of question numbers
 * @param headings places among the pieces whose first word recurs with another number or letter ("Unit 1", "Unit 2")
 * @param parts places among the pieces that letter a question's parts, each with options of its own
 * @param lettered places among the pieces that letter questions right below the heading of a part
 * @param listed places among the pieces that are numbered like questions but list something within one
 * @param barePoints whether numbers in brackets behind the questions are their points
 * @param marginKey whether a letter in brackets behind the number is the key ("T1 (B)")
 */
public record Habits(
        Map<String, Integer> stemShapes,
        Map<String, Integer> optionShapes,
        Set<Integer> chained,
        Set<Integer> headings,
        Set<Integer> parts,
        Set<Integer> lettered,
        Set<Integer> listed,
        boolean barePoints,
        boolean marginKey) {

    /** Whether it numbers its questions; "Bonus:" alone, before one of them, is no number. */
    public boolean numbersStems() {
        return stemShapes.keySet().stream().anyMatch(shape -> !shape.equals(Label.BONUS_SHAPE));
    }

    public boolean lettersOptions() {
        return !optionShapes.isEmpty();
    }

    /** How the piece would be labelled as the first line of a question. */
    public Optional<Label> stemLabel(Cues cues) {
        return best(cues, stemShapes);
    }

    /** How the piece would be labelled as an option. */
    public Optional<Label> optionLabel(Cues cues) {
        return best(cues, optionShapes);
    }

    private static Optional<Label> best(Cues cues, Map<String, Integer> shapes) {
        Optional<Label> best = Optional.empty();
        for (Label label : cues.labels()) {
            int count = shapes.getOrDefault(label.shape(), 0);
            if (count > 0 && (best.isEmpty() || count > shapes.get(best.get().shape()))) {
                best = Optional.of(label);
            }
        }
        return best;
    }
}
