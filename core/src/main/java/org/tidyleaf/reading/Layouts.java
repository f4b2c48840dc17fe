package org.tidyleaf.reading;

import java.util.Optional;

/** What the layout of larger parts settles before single lines are looked at: lists of answers and tables of questions. */
record Layouts(KeyList keyList, Columns columns) {

    /** The only step possible for a piece, where its part's layout settles it. */
    Optional<Step> step(int piece, Step from) {
        return keyList.pieces().contains(piece)
                ? Optional.of(new Step(Role.KEY, false, Step.OUTSIDE))
                : columns.step(piece, from);
    }
}
