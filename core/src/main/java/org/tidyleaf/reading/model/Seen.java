package org.tidyleaf.reading.model;

/** A label and the place of its piece. */
public record Seen(int piece, Label label) {}
