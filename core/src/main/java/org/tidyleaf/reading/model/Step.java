package org.tidyleaf.reading.model;

import org.tidyleaf.reading.Role;

/**
 * One way to understand a piece, given all before it.
 *
 * @param role what the piece is
 * @param more whether it goes on from the piece above with the same role
 * @param option how many options of the current question have been met: {@link #BEFORE_TITLE}, {@link #OUTSIDE} any
 *     question, 0 in a stem, else the last option's ordinal
 */
public record Step(Role role, boolean more, int option) {
    public static final int BEFORE_TITLE = -2;
    public static final int OUTSIDE = -1;

    public static final Step START = new Step(Role.ASIDE, false, BEFORE_TITLE);

    public boolean inQuestion() {
        return option >= 0;
    }

    // The thousands of steps of a long document are looked up in maps: written out, these cost a fifth of the record's.

    @Override
    public boolean equals(Object other) {
        return other instanceof Step step && role == step.role && more == step.more && option == step.option;
    }

    @Override
    public int hashCode() {
        return role.ordinal() * 2 + (more ? 1 : 0) + 32 * option;
    }
}
