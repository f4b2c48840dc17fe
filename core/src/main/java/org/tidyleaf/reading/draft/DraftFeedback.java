package org.tidyleaf.reading.draft;

import java.util.List;
import java.util.Optional;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.cue.JudgedFeedback;
import org.tidyleaf.reading.cue.OptionRemarks;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;

/** Whom a piece of feedback is for: one option, whoever is right or wrong, or all. */
final class DraftFeedback {

    private final List<Assigned> roles;
    private final DraftKeys keys;
    private final Columns columns;

    DraftFeedback(List<Assigned> roles, DraftKeys keys, Columns columns) {
        this.roles = roles;
        this.keys = keys;
        this.columns = columns;
    }

    void add(Draft draft, int index, Assigned piece) {
        Cues cues = piece.cues();
        if (cues.text().codePoints().noneMatch(Character::isLetterOrDigit)) {
            // A dash in its cell says that there is none.
            return;
        }
        Optional<Boolean> ifRight = JudgedFeedback.isForRight(cues)
                .or(() -> columns.at(index).map(Columns.Use::name).flatMap(JudgedFeedback::isForRight));
        if (ifRight.isPresent()) {
            (ifRight.get() ? draft.feedbackIfRight : draft.feedbackIfWrong).add(keys.announced(cues, piece.step()));
            return;
        }
        Optional<Draft.OptionDraft> remarked = OptionRemarks.letter(cues)
                .flatMap(letter -> draft.options.stream()
                        .filter(option -> option.label.equalsIgnoreCase(letter))
                        .findFirst());
        if (remarked.isPresent()) {
            remarked.get().feedback.add(keys.announced(cues, piece.step()));
            return;
        }
        boolean sameLine = !cues.piece().first();
        boolean ofOption = !draft.options.isEmpty() && (sameLine || optionFollows(draft, index));
        (ofOption ? draft.options.get(draft.options.size() - 1).feedback : draft.feedback)
                .add(keys.announced(cues, piece.step()));
    }

    /** Feedback between two options, or below each of them, is for the option above it. */
    private boolean optionFollows(Draft draft, int index) {
        int at = index;
        while (at + 1 < roles.size() && roles.get(at + 1).step().role() == Role.FEEDBACK) {
            at++;
        }
        boolean behind = at + 1 < roles.size()
                && roles.get(at + 1).step().role() == Role.OPTION
                && !roles.get(at + 1).step().more();
        return behind
                || draft.options.stream().anyMatch(option -> !option.feedback.isEmpty())
                        && roles.get(index - 1).step().role() == Role.OPTION;
    }
}
