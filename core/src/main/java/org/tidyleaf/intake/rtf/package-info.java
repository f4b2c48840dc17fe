/**
 * Rich text. Start at {@link org.tidyleaf.intake.rtf.RtfFormat}.
 */
@NullMarked
package org.tidyleaf.intake.rtf;

import org.jspecify.annotations.NullMarked;
