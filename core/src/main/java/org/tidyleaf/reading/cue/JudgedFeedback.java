package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.GatheredKey;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Line;

/** "Feedback if correct: …", "Feedback for wrong answers: …": what is said depends on the answer. */
public final class JudgedFeedback {

    private static final String RIGHT = Vocabulary.ALL.either("correct") + "\\p{L}{0,2}";
    private static final String WRONG = Vocabulary.ALL.either("incorrect") + "\\p{L}{0,2}";
    private static final String FEEDBACK = Vocabulary.ALL.either("feedback");
    private static final String FEW_WORDS = "(?:\\s\\p{L}+){0,3}";

    private static final Pattern LEAD = Vocabulary.pattern(FEEDBACK + FEW_WORDS + "\\s[(\\[]?(?:(?<wrong>" + WRONG
            + ")|" + RIGHT + ")" + FEW_WORDS + "[)\\]]?\\s?:\\s*" + "|(?:(?<wrongly>" + WRONG + ")|" + RIGHT + ")"
            + FEW_WORDS + "\\s" + FEEDBACK + "\\s?:\\s*");

    private JudgedFeedback() {}

    /** Such a beginning from a place of a line on. */
    static Optional<Cues.Lead> lead(Line line, int from, int to, Words words) {
        boolean possible =
                Vocabulary.ALL.mentions(words, "feedback") && Vocabulary.ALL.mentions(words, "correct", "incorrect");
        Matcher matcher = LEAD.matcher(line.text()).region(from, to);
        return possible && matcher.lookingAt()
                ? Optional.of(new Cues.Lead(Cues.Announces.FEEDBACK, matcher.end()))
                : Optional.empty();
    }

    /** Whether feedback is for a right answer; empty where it is for any. */
    public static Optional<Boolean> isForRight(Cues cues) {
        int from = cues.piece().segment().from();
        Matcher matcher = LEAD.matcher(cues.line().text())
                .region(from, cues.piece().segment().to());
        boolean judged = cues.announces(Cues.Announces.FEEDBACK) && matcher.lookingAt();
        return judged
                ? Optional.of(matcher.group("wrong") == null && matcher.group("wrongly") == null)
                : Optional.empty();
    }

    /** The same for a column, by its head: "Feedback if right". */
    public static Optional<Boolean> isForRight(String head) {
        Matcher matcher = LEAD.matcher(head.strip().replaceAll(":$", "") + ":");
        return matcher.matches()
                ? Optional.of(matcher.group("wrong") == null && matcher.group("wrongly") == null)
                : Optional.empty();
    }

    /** Gives each option what is said of it where one is right; otherwise all is said of the question. */
    public static void share(Draft draft, GatheredKey key) {
        boolean single = key.chosen().size() == 1 && draft.options.size() > 1;
        if (!single) {
            draft.feedback.addAll(draft.feedbackIfRight);
            draft.feedback.addAll(draft.feedbackIfWrong);
            return;
        }
        for (int i = 0; i < draft.options.size(); i++) {
            List<Draft.Announced> own = draft.options.get(i).feedback;
            own.addAll(key.chosen().contains(i) ? draft.feedbackIfRight : draft.feedbackIfWrong);
        }
    }
}
