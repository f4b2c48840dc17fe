package org.tidyleaf.web.writing;

/**
 * What a writing service is asked for.
 *
 * @param passage what the questions are to be about
 * @param questions how many
 * @param options how many for each
 */
record Wish(String passage, int questions, int options) {}
