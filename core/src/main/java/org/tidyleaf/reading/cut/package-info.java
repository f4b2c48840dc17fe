/**
 * The first pass: lines cut to pieces where options, answers or points stand side by side. Start at {@link
 * org.tidyleaf.reading.cut.PieceSplitter}. A habit of setting things side by side is a class here.
 */
@NullMarked
package org.tidyleaf.reading.cut;

import org.jspecify.annotations.NullMarked;
