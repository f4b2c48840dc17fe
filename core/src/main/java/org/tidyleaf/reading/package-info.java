/**
 * A source to a reading: what every line is, and the questions it makes. Comes in as {@link
 * org.tidyleaf.source.Source} with the teacher's {@link org.tidyleaf.reading.Pins}, goes out as {@link
 * org.tidyleaf.reading.Reading}. Start at {@link org.tidyleaf.reading.Reader}, the list of passes; each pass is a
 * package of its own and needs none of those after it.
 */
@NullMarked
package org.tidyleaf.reading;

import org.jspecify.annotations.NullMarked;
