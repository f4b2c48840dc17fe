package org.tidyleaf.web.leaf;

/** How far a leaf is. */
public enum LeafState {
    /** Waits for its turn. */
    WAITING,
    READING,
    READ,
    /** Could not be read; the leaf says why. */
    REFUSED,
    CANCELLED
}
