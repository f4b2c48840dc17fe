package org.tidyleaf.question;

/** In which order the options of a choice are shown. */
public enum OptionOrder {
    /** As a sitting's rules say for all questions. */
    USUAL,
    /** In another order for each candidate, whatever the rules say. */
    SHUFFLED,
    /** As they are, whatever the rules say. */
    KEPT
}
