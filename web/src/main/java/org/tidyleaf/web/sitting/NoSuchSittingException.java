package org.tidyleaf.web.sitting;

/** No sitting under that code or id that the visitor may see. */
public class NoSuchSittingException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    NoSuchSittingException(String name) {
        super("no sitting " + name);
    }
}
