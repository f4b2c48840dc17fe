/** Figures of a test and its questions from marked scripts. Start at {@link org.tidyleaf.statistics.TestFigures}. */
@NullMarked
package org.tidyleaf.statistics;

import org.jspecify.annotations.NullMarked;
