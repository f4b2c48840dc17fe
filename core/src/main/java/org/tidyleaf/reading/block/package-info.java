/**
 * Blocks that their layout settles before single lines are weighed: pairs, steps, grids, banks of words, texts to
 * read. Start at {@link org.tidyleaf.reading.block.BlockFinder}.
 */
@NullMarked
package org.tidyleaf.reading.block;

import org.jspecify.annotations.NullMarked;
