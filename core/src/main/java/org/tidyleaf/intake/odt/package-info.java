/**
 * Open-document text. Start at {@link org.tidyleaf.intake.odt.OdtFormat}.
 */
@NullMarked
package org.tidyleaf.intake.odt;

import org.jspecify.annotations.NullMarked;
