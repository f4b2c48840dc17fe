package org.tidyleaf.web.leaf;

import java.util.UUID;
import org.tidyleaf.web.page.NotHereException;

/** No leaf of that id that the teacher may see, or not one that is read. */
public class NoSuchLeafException extends NotHereException {
    private static final long serialVersionUID = 1L;

    public NoSuchLeafException(UUID id) {
        super(
                "no leaf " + id,
                "There is no such leaf",
                "It may not be read yet, or belong to a colleague. Look at the desk.");
    }
}
