/**
 * How this one document numbers its questions and letters its options throughout. Start at {@link
 * org.tidyleaf.reading.habit.HabitFinder}.
 */
@NullMarked
package org.tidyleaf.reading.habit;

import org.jspecify.annotations.NullMarked;
