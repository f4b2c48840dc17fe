package org.tidyleaf.reading;

/** A label and the place of its piece. */
record Seen(int piece, Label label) {}
