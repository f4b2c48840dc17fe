/**
 * What words and signs mean in a test, whatever line they stand in: the key words of all languages, gaps, units,
 * numbers. Knows nothing of lines.
 */
@NullMarked
package org.tidyleaf.reading.wording;

import org.jspecify.annotations.NullMarked;
