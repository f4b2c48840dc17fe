package org.tidyleaf.web.review;

import java.util.UUID;

/**
 * Whose browser asks about which leaf, and how much of it that browser shows.
 *
 * @param seen how many decisions the shown state holds; -1 where the browser shows nothing yet
 */
record At(UUID owner, UUID leaf, int seen) {}
