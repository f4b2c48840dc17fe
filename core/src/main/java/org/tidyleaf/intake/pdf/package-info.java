/**
 * PDF with text: from signs on a page to rows, columns, paragraphs and tables. Start at {@link
 * org.tidyleaf.intake.pdf.PdfFormat}; {@link org.tidyleaf.intake.pdf.PdfLayout} makes the lines.
 */
@NullMarked
package org.tidyleaf.intake.pdf;

import org.jspecify.annotations.NullMarked;
