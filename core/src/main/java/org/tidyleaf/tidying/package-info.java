/**
 * The teacher's decisions: pins about the source and edits of the content, a list that only grows. {@link
 * org.tidyleaf.tidying.Tidying} runs the straight line again with all that are in force and gives the quiz as it stands.
 */
@NullMarked
package org.tidyleaf.tidying;

import org.jspecify.annotations.NullMarked;
