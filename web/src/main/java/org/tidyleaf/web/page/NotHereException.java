package org.tidyleaf.web.page;

/** What was asked for is not there, or not for the visitor: told apart for nobody. */
public abstract class NotHereException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final String heading;
    private final String advice;

    /**
     * @param heading what is the matter, in words for the visitor
     * @param advice what to do now
     */
    protected NotHereException(String message, String heading, String advice) {
        super(message);
        this.heading = heading;
        this.advice = advice;
    }

    String heading() {
        return heading;
    }

    String advice() {
        return advice;
    }
}
