/**
 * Lists of answers, wherever they stand and however they are set. Start at {@link
 * org.tidyleaf.reading.list.KeyListFinder}; {@link org.tidyleaf.reading.list.KeyListReader} reads their lines.
 */
@NullMarked
package org.tidyleaf.reading.list;

import org.jspecify.annotations.NullMarked;
