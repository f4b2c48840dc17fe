/**
 * The role of every piece, as the best sequence of steps: pins are hard constraints, what the next best lacks is
 * the doubt. Start at {@link org.tidyleaf.reading.role.RoleAssigner}, with the weights in {@link
 * org.tidyleaf.reading.role.RoleScorer}.
 */
@NullMarked
package org.tidyleaf.reading.role;

import org.jspecify.annotations.NullMarked;
