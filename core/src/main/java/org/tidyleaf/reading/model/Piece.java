package org.tidyleaf.reading.model;

import org.tidyleaf.source.Segment;

/**
 * The smallest part of a source that has a role of its own: a line, or part of one where options stand side by side.
 *
 * @param first whether it begins its line
 */
public record Piece(Segment segment, boolean first) {}
