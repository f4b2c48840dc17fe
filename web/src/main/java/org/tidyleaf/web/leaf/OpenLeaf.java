package org.tidyleaf.web.leaf;

import java.time.Instant;
import java.util.UUID;
import org.tidyleaf.source.Source;
import org.tidyleaf.tidying.Decisions;
import org.tidyleaf.tidying.Tidied;

/**
 * A read leaf with all that is known of it now.
 *
 * @param decisionCount how many decisions were ever made about it, undone ones and undoings included
 */
public record OpenLeaf(
        UUID id,
        String fileName,
        Instant touchedAt,
        Source source,
        Decisions decisions,
        int decisionCount,
        Tidied tidied) {}
