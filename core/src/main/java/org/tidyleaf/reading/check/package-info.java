/**
 * Trouble the teacher should look at, and the account of every line. Start at {@link
 * org.tidyleaf.reading.check.SnagFinder}.
 */
@NullMarked
package org.tidyleaf.reading.check;

import org.jspecify.annotations.NullMarked;
