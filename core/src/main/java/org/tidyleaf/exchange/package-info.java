/** Readings and tests to and from open formats. Start at {@link org.tidyleaf.exchange.ReadingJson}. */
@NullMarked
package org.tidyleaf.exchange;

import org.jspecify.annotations.NullMarked;
