package org.tidyleaf.question;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** The types by their names in the reading contract and in pages' messages. */
public enum QuestionType {
    SINGLE_CHOICE,
    MULTIPLE_CHOICE,
    TRUE_FALSE,
    TEXT_ENTRY,
    NUMERIC_ENTRY,
    EXTENDED_TEXT,
    MATCH,
    ORDER,
    GRID,
    GAP_MATCH,
    TABLE_ENTRY,
    HOTTEXT,
    PICTURE_LABEL;

    /** The standard's name: "single-choice". */
    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    public static Optional<QuestionType> labelled(String label) {
        return Arrays.stream(values())
                .filter(type -> type.label().equals(label))
                .findFirst();
    }
}
