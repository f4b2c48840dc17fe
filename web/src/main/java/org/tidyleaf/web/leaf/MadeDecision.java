package org.tidyleaf.web.leaf;

import java.time.Instant;
import org.tidyleaf.tidying.Decision;

/** A decision with who made it and when. */
public record MadeDecision(Decision decision, String author, Instant madeAt) {}
