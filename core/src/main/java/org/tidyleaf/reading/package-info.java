/**
 * A source to a reading: what every line is, and the questions it makes. Several looks at the whole document, each a
 * class with one verb: pieces, cues, habits, roles, questions, keys, ledger. Comes in as {@link
 * org.tidyleaf.source.Source} with the teacher's {@link org.tidyleaf.reading.Pins}, goes out as {@link
 * org.tidyleaf.reading.Reading}. Start at {@link org.tidyleaf.reading.Reader}.
 */
@NullMarked
package org.tidyleaf.reading;

import org.jspecify.annotations.NullMarked;
