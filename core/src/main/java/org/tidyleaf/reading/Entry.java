package org.tidyleaf.reading;

/**
 * What became of one line of the source.
 *
 * @param line its 1-based number
 * @param text its printed text
 * @param role the role of its first part
 * @param reason why it was set aside, in words for the teacher; empty for other roles
 * @param question the 1-based place of the question it belongs to, or 0
 * @param doubt how unsure the reader is of the role, 0 to 1
 * @param more whether it goes on from the line above
 */
public record Entry(int line, String text, Role role, String reason, int question, double doubt, boolean more) {}
