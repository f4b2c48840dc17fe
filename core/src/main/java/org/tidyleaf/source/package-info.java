/**
 * What a document is, before anybody understands it: numbered lines of text with their emphasis, labels, table places and
 * figures. Comes in from {@link org.tidyleaf.intake}, goes out to {@link org.tidyleaf.reading}. Start at {@link
 * org.tidyleaf.source.Source}.
 */
@NullMarked
package org.tidyleaf.source;

import org.jspecify.annotations.NullMarked;
