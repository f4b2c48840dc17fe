package org.tidyleaf.reading;

import java.util.Locale;

/** Where the right answer of a question was found. */
public enum KeySource {
    MARK,
    FORMATTING,
    ANSWER_LINE,
    ANSWER_LIST,
    SEPARATE,
    COLUMN,
    NONE;

    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
