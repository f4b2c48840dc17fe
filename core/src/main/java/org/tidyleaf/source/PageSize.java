package org.tidyleaf.source;

/** The size of a printed page, in points. */
public record PageSize(float width, float height) {}
