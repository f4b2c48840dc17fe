/**
 * Tables and sheets with a question a row, and what their columns are for. Start at {@link
 * org.tidyleaf.reading.column.ColumnFinder}.
 */
@NullMarked
package org.tidyleaf.reading.column;

import org.jspecify.annotations.NullMarked;
