package org.tidyleaf.source;

/**
 * What an intake put right or could not read well, for the teacher to look at.
 *
 * @param line 1-based
 * @param kind as snags name their kinds: "range-as-date", "formula-to-check"
 * @param message says what was done and what to do
 */
public record Note(int line, String kind, String message) {}
