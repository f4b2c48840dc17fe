/**
 * What the passes hand to one another: pieces of lines with their labels and cues, blocks, columns and lists,
 * habits, steps, drafts. Records and their own lookups, no decisions.
 */
@NullMarked
package org.tidyleaf.reading.model;

import org.jspecify.annotations.NullMarked;
