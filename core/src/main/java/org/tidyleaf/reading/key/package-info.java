/**
 * The key of each draft from all its sources, which are compared. Start at {@link
 * org.tidyleaf.reading.key.KeyGatherer}.
 */
@NullMarked
package org.tidyleaf.reading.key;

import org.jspecify.annotations.NullMarked;
