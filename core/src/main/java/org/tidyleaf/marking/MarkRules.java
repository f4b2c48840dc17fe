package org.tidyleaf.marking;

/**
 * How strictly a test is marked.
 *
 * @param parts what questions of several parts earn
 * @param neighbours whether an order earns for each right neighbour instead of for each right place
 * @param accents whether an answer without its accents is wrong
 * @param slips whether one wrong, missing, doubled or swapped letter in a longer word is forgiven
 */
public record MarkRules(Parts parts, boolean neighbours, boolean accents, boolean slips) {

    /** Choices whole, everything else by its parts, accents matter, slips too. */
    public static final MarkRules USUAL = new MarkRules(Parts.USUAL, false, true, false);

    /** What questions of several parts earn; the standard's response processing has the same three. */
    public enum Parts {
        USUAL("choices whole, all others by their parts"),
        WHOLE("all parts right or nothing"),
        EACH_RIGHT("a share for each right part"),
        LESS_WRONG("a share for each right part, less one for each wrong, not under nothing");

        private final String words;

        Parts(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }
}
