package org.tidyleaf.web.sitting;

import java.time.Instant;
import java.util.Optional;
import org.tidyleaf.marking.MarkRules;

/**
 * How a sitting is given out.
 *
 * @param opens from when on it can be begun; empty for at once
 * @param closes when no more answers are taken; empty until the teacher closes it
 * @param minutes how long each candidate has, 0 for no limit
 * @param shuffleQuestions whether each candidate has the questions in an order of their own, within sections
 * @param shuffleOptions likewise the options
 * @param oneByOne whether one question is shown at a time
 * @param back whether a candidate may go back to earlier ones then
 * @param marks when a candidate sees their points
 * @param answers when a candidate sees what is right, and the feedback
 * @param word to be known before beginning, or empty
 * @param instructions shown before beginning, or empty
 * @param attempts how often one person may sit, at least 1
 * @param best whether the best attempt counts instead of the last
 * @param marking how strictly it is marked
 */
public record Rules(
        Optional<Instant> opens,
        Optional<Instant> closes,
        int minutes,
        boolean shuffleQuestions,
        boolean shuffleOptions,
        boolean oneByOne,
        boolean back,
        Show marks,
        Show answers,
        String word,
        String instructions,
        int attempts,
        boolean best,
        MarkRules marking) {

    /** By link, no limits, the total at once. */
    public static final Rules USUAL = new Rules(
            Optional.empty(),
            Optional.empty(),
            0,
            false,
            false,
            false,
            true,
            Show.AT_ONCE,
            Show.NEVER,
            "",
            "",
            1,
            false,
            MarkRules.USUAL);

    /** Whether candidates wait for the teacher to show them something. */
    boolean isOnRelease() {
        return marks == Show.ON_RELEASE || answers == Show.ON_RELEASE;
    }

    /** From when on something is shown to the candidate. */
    public enum Show {
        AT_ONCE("as soon as they hand in"),
        AFTER_CLOSING("when the sitting is closed"),
        ON_RELEASE("when I give them out"),
        NEVER("never");

        private final String words;

        Show(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }
}
