package org.tidyleaf.web.sitting;

import java.util.UUID;

/**
 * A sitting as the desk lists it.
 *
 * @param mean points on average of those handed in, "7.8 of 10", or empty
 * @param toMark open answers that wait for a person
 */
public record SittingSummary(
        UUID id,
        String title,
        int edition,
        String code,
        boolean open,
        int begun,
        int handedIn,
        String mean,
        int toMark) {}
