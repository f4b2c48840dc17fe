package org.tidyleaf.marking;

import org.tidyleaf.question.PartialMarks;

/**
 * How strictly a test is marked.
 *
 * @param parts what questions of several parts earn
 * @param neighbours whether an order earns for each right neighbour instead of for each right place
 * @param accents whether an answer without its accents is wrong
 * @param slips whether one wrong, missing, doubled or swapped letter in a longer word is forgiven
 */
public record MarkRules(PartialMarks parts, boolean neighbours, boolean accents, boolean slips) {

    /** Choices whole, everything else by its parts, accents matter, slips too. */
    public static final MarkRules USUAL = new MarkRules(PartialMarks.USUAL, false, true, false);
}
