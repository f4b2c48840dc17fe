/**
 * What a test is, free of its document: questions of the types that the 1EdTech QTI standard names, their prose, sections
 * and passages. Immutable values. Start at {@link org.tidyleaf.question.Quiz}.
 */
@NullMarked
package org.tidyleaf.question;

import org.jspecify.annotations.NullMarked;
