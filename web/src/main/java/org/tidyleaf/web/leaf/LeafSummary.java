package org.tidyleaf.web.leaf;

import java.time.Instant;
import java.util.UUID;

/**
 * A leaf as the desk lists it.
 *
 * @param problem why it could not be read, or empty
 * @param spine one letter a line, in the order of the source: the line's role
 */
public record LeafSummary(
        UUID id,
        String fileName,
        LeafState state,
        String problem,
        String title,
        int questionCount,
        int keyedCount,
        int snagCount,
        String spine,
        Instant touchedAt) {}
