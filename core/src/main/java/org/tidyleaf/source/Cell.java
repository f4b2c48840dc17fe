package org.tidyleaf.source;

/**
 * A place in a table, all 0-based; tables are counted over the document in order of appearance.
 *
 * @param columns how many columns its row has
 */
public record Cell(int table, int row, int column, int columns) {}
