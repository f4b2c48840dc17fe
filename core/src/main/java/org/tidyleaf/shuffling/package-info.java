/** Questions and options in another order, the same for the same seed. */
@NullMarked
package org.tidyleaf.shuffling;

import org.jspecify.annotations.NullMarked;
