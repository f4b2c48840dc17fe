package org.tidyleaf.web.sitting;

import org.tidyleaf.web.page.NotHereException;

/** No sitting under that code or id that the visitor may see. */
public class NoSuchSittingException extends NotHereException {
    private static final long serialVersionUID = 1L;

    NoSuchSittingException(String name) {
        super("no sitting " + name, "No test is open here", "Look at the link once more, or ask who gave it to you.");
    }
}
