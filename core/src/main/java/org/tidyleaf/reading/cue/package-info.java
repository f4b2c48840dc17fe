/**
 * The second pass: facts about each piece, which decide nothing. Start at {@link
 * org.tidyleaf.reading.cue.CueFinder}. A habit of typing that shows in how lines begin is a small class here,
 * asked once for all pieces.
 */
@NullMarked
package org.tidyleaf.reading.cue;

import org.jspecify.annotations.NullMarked;
