package org.tidyleaf.source;

/**
 * A picture of a source.
 *
 * @param id unique in the source; spans name it
 * @param mediaType "image/png" and the like
 * @param alternative what the author wrote for those who can't see it, or empty
 * @param bytes the file as found; never changed
 */
public record Figure(String id, String mediaType, String alternative, byte[] bytes) {}
