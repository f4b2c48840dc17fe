package org.tidyleaf.web.sitting;

import java.util.Map;
import java.util.UUID;
import org.tidyleaf.marking.HandMark;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.web.page.Responses;

/**
 * A candidate's script as it stands.
 *
 * @param leaf the leaf its pictures belong to
 * @param open whether answers are still taken
 */
record Script(
        UUID id,
        String candidate,
        UUID leaf,
        Quiz quiz,
        Responses responses,
        Map<String, HandMark> marks,
        boolean handedIn,
        boolean open) {}
