package org.tidyleaf.marking;

import java.math.BigDecimal;

/**
 * What a person gave for an answer; it stands above what was worked out.
 *
 * @param points not negative and never more than could be earned
 * @param note for the candidate, may be empty
 */
public record HandMark(BigDecimal points, String note) {}
