/**
 * Drafts and keys to questions of their types. Start at {@link org.tidyleaf.reading.make.QuestionMaker}; what only
 * one type needs is a class here.
 */
@NullMarked
package org.tidyleaf.reading.make;

import org.jspecify.annotations.NullMarked;
