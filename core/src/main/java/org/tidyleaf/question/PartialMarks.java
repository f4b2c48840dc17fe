package org.tidyleaf.question;

/** What questions of several parts earn; QTI's response processing has the first of these (match_correct and map_response). */
public enum PartialMarks {
    USUAL("choices whole, all others by their parts"),
    WHOLE("all parts right or nothing"),
    EACH_RIGHT("a share for each right part"),
    LESS_WRONG("a share for each right part, less one for each wrong, not under nothing"),
    /** For orders only; other types are marked as usual. */
    NEIGHBOURS("an order earns for each right neighbour");

    private final String words;

    PartialMarks(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
