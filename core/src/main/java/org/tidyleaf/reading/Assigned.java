package org.tidyleaf.reading;

/**
 * A piece with the role it was given.
 *
 * @param doubt 0 to 1, from how close the next best explanation came
 */
record Assigned(Cues cues, Step step, double doubt) {}
