package org.tidyleaf.reading;

/**
 * A place the teacher should look at before publishing.
 *
 * @param kind one of the contract's kinds, "missing-key" for example
 * @param question the 1-based place of the question, or 0
 * @param line the 1-based number of the line
 * @param message what is the matter and what to do
 */
public record Snag(String kind, int question, int line, String message) {}
