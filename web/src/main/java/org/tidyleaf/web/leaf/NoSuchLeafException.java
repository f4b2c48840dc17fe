package org.tidyleaf.web.leaf;

import java.util.UUID;

/** No leaf of that id that the teacher may see, or not one that is read. */
public class NoSuchLeafException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public NoSuchLeafException(UUID id) {
        super("no leaf " + id);
    }
}
