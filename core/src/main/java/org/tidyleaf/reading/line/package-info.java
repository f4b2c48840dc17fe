/**
 * What one line says by itself: its labels, points, answers, words to choose among, directions. Asked by every
 * pass; looks at no neighbour but to tell a wrapped sentence.
 */
@NullMarked
package org.tidyleaf.reading.line;

import org.jspecify.annotations.NullMarked;
