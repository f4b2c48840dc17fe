/**
 * Pieces with their roles gathered to drafts of questions, whose stems are trimmed and whose parts become
 * questions of their own. Start at {@link org.tidyleaf.reading.draft.DraftMaker}.
 */
@NullMarked
package org.tidyleaf.reading.draft;

import org.jspecify.annotations.NullMarked;
