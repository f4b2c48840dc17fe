/**
 * The .docx and the old .doc. Start at {@link org.tidyleaf.intake.word.DocxFormat} and {@link
 * org.tidyleaf.intake.word.DocFormat}.
 */
@NullMarked
package org.tidyleaf.intake.word;

import org.jspecify.annotations.NullMarked;
