/**
 * Files to {@link org.tidyleaf.source.Source}. One class per format behind {@link org.tidyleaf.intake.common.Format}; the door
 * is {@link org.tidyleaf.intake.Intake}. Decides nothing about questions.
 */
@NullMarked
package org.tidyleaf.intake;

import org.jspecify.annotations.NullMarked;
