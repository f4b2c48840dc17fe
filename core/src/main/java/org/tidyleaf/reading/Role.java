package org.tidyleaf.reading;

import java.util.Locale;

/** What a line of a source is for. */
public enum Role {
    TITLE,
    SECTION,
    INSTRUCTION,
    STIMULUS,
    STEM,
    OPTION,
    KEY,
    FEEDBACK,
    HINT,
    POINTS,
    PAIR,
    WORDS,
    ROW,
    FIGURE,
    /** Belongs to no question; kept and shown with its reason. */
    ASIDE;

    /** The name in the reading contract. */
    public String label() {
        return name().toLowerCase(Locale.ROOT);
    }
}
