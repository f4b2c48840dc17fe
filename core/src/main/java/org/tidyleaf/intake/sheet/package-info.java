/**
 * Workbooks and comma-separated values. Start at {@link org.tidyleaf.intake.sheet.XlsxFormat} and {@link
 * org.tidyleaf.intake.sheet.CsvFormat}.
 */
@NullMarked
package org.tidyleaf.intake.sheet;

import org.jspecify.annotations.NullMarked;
