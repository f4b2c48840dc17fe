/**
 * What several formats need: lines as they are collected, pictures, formulas, labels of lists, and the fences
 * against hostile files.
 */
@NullMarked
package org.tidyleaf.intake.common;

import org.jspecify.annotations.NullMarked;
