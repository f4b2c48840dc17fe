package org.tidyleaf.question;

/**
 * A part of a test under a heading of its own.
 *
 * @param instructions what candidates are told to do in it, may be empty
 */
public record Section(String title, Prose instructions) {}
