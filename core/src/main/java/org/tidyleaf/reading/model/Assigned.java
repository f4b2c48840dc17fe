package org.tidyleaf.reading.model;

/**
 * A piece with the role it was given.
 *
 * @param doubt 0 to 1, from how close the next best explanation came
 */
public record Assigned(Cues cues, Step step, double doubt) {}
