package org.tidyleaf.intake;

/**
 * A file from which no source can be had. The message is a sentence for the teacher: what happened and what to do.
 */
public abstract sealed class IntakeException extends Exception {
    private static final long serialVersionUID = 1L;

    private IntakeException(String message, Throwable cause) {
        super(message, cause);
    }

    private IntakeException(String message) {
        super(message);
    }

    /** The file is damaged, or not what its name says. */
    public static final class Unreadable extends IntakeException {
        private static final long serialVersionUID = 1L;

        public Unreadable(String message, Throwable cause) {
            super(message, cause);
        }

        public Unreadable(String message) {
            super(message);
        }
    }

    /** The file needs a password. */
    public static final class Locked extends IntakeException {
        private static final long serialVersionUID = 1L;

        public Locked(String file) {
            super(file + " is protected by a password. Open it in your word processor, remove the password and drop it"
                    + " here again.");
        }
    }

    /** The file, or something inside it, is larger than is safe to read. */
    public static final class TooLarge extends IntakeException {
        private static final long serialVersionUID = 1L;

        public TooLarge(String message) {
            super(message);
        }
    }

    /** The file is empty. */
    public static final class Empty extends IntakeException {
        private static final long serialVersionUID = 1L;

        public Empty(String file) {
            super(file + " is empty. Save the document again and drop it here once more.");
        }
    }

    /** No format of ours. */
    public static final class UnknownFormat extends IntakeException {
        private static final long serialVersionUID = 1L;

        public UnknownFormat(String file, String known) {
            super(file + " is of a kind that can't be read here. Save it as one of these and drop it again: " + known
                    + ".");
        }
    }
}
