/**
 * What the simulated writing service knows: a passage in, a draft of questions out, by simple rules of language. {@link
 * org.tidyleaf.drafting.DraftWriter} is the door.
 */
@NullMarked
package org.tidyleaf.drafting;

import org.jspecify.annotations.NullMarked;
