/** A response to points, by exact arithmetic. Start at {@link org.tidyleaf.marking.Marker}. */
@NullMarked
package org.tidyleaf.marking;

import org.jspecify.annotations.NullMarked;
