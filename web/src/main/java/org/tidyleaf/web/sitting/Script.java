package org.tidyleaf.web.sitting;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.tidyleaf.marking.HandMark;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.web.page.Responses;

/**
 * A candidate's script as it stands.
 *
 * @param leaf the leaf its pictures belong to
 * @param quiz as this candidate sees it: in an order of their own, where the rules say so
 * @param deadline when the candidate's own time is over, where there is a limit
 * @param state whether answers are still taken, and if not, why
 * @param furthest 0-based place of the furthest question reached
 * @param flags ids of the questions to come back to
 * @param marksShown whether the points may be seen now; {@code answersShown} likewise what is right
 * @param againLeft how many further tries this person has
 */
record Script(
        UUID id,
        String candidate,
        UUID leaf,
        Quiz quiz,
        Rules rules,
        Responses responses,
        Map<String, HandMark> marks,
        Optional<Instant> deadline,
        State state,
        int furthest,
        Set<String> flags,
        boolean marksShown,
        boolean answersShown,
        int againLeft) {

    enum State {
        OPEN,
        HANDED_IN,
        TIME_UP,
        CLOSED
    }

    boolean open() {
        return state == State.OPEN;
    }

    /** Seeds this candidate's own order. */
    long seed() {
        return id.getMostSignificantBits();
    }
}
