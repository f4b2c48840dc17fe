package org.tidyleaf.web.leaf;

import java.time.Instant;
import java.util.UUID;
import org.tidyleaf.source.Source;
import org.tidyleaf.tidying.Decisions;
import org.tidyleaf.tidying.Tidied;

/** A read leaf with all that is known of it now. */
public record OpenLeaf(
        UUID id, String fileName, Instant touchedAt, Source source, Decisions decisions, Tidied tidied) {}
