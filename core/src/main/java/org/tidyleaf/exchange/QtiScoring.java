package org.tidyleaf.exchange;

import java.math.BigDecimal;
import org.tidyleaf.question.NumericEntry;

/** The rules of one item by which its responses earn points (QTI, responseProcessing). One per item, not shared. */
final class QtiScoring {

    private static final String RESPONSE = "RESPONSE";

    private final XmlText processing = new XmlText();
    private final BigDecimal most;

    /** @param most the points of the whole item */
    QtiScoring(BigDecimal most) {
        this.most = most;
    }

    /** All rules so far. */
    String rules() {
        return processing.toString();
    }

    /** Adds what a response's mapping gives. */
    void addMapped(String response) {
        processing
                .open("qti-response-condition")
                .open("qti-response-if")
                .open("qti-not")
                .open("qti-is-null")
                .empty("qti-variable", "identifier", response)
                .close("qti-is-null")
                .close("qti-not");
        add("<qti-map-response identifier=\"" + response + "\"/>");
        processing.close("qti-response-if").close("qti-response-condition");
    }

    /** Adds to the score. */
    private void add(String value) {
        processing
                .open("qti-set-outcome-value", "identifier", "SCORE")
                .open("qti-sum")
                .empty("qti-variable", "identifier", "SCORE")
                .markup(value)
                .close("qti-sum")
                .close("qti-set-outcome-value");
    }

    /** Everything for exactly the right response, else nothing. */
    void allOrNothing() {
        processing
                .open("qti-response-condition")
                .open("qti-response-if")
                .open("qti-match")
                .empty("qti-variable", "identifier", RESPONSE)
                .empty("qti-correct", "identifier", RESPONSE)
                .close("qti-match");
        add(points(most));
        processing.close("qti-response-if").close("qti-response-condition");
    }

    private static String points(BigDecimal points) {
        return "<qti-base-value base-type=\"float\">" + points.toPlainString() + "</qti-base-value>";
    }

    /** Points for the right value at a 1-based place of an ordered response. */
    void addAtPlace(int place, String value, BigDecimal share) {
        processing
                .open("qti-response-condition")
                .open("qti-response-if")
                .open("qti-match")
                .open("qti-index", "n", String.valueOf(place))
                .empty("qti-variable", "identifier", RESPONSE)
                .close("qti-index")
                .element("qti-base-value", value, "base-type", "identifier")
                .close("qti-match");
        add(points(share));
        processing.close("qti-response-if").close("qti-response-condition");
    }

    /** Everything for entries that all earn something by themselves, else nothing. */
    void allEntries(int entries) {
        processing.open("qti-response-condition").open("qti-response-if").open("qti-and");
        for (int i = 1; i <= entries; i++) {
            processing
                    .open("qti-gt")
                    .empty("qti-map-response", "identifier", QtiBody.entry(i))
                    .markup(points(BigDecimal.ZERO))
                    .close("qti-gt");
        }
        processing.close("qti-and");
        add(points(most));
        processing.close("qti-response-if").close("qti-response-condition");
    }

    /** The number lies between its bounds, both included; lower and upper bound read alike everywhere. */
    void within(NumericEntry.Key key) {
        BigDecimal tolerance = key.tolerance().orElse(BigDecimal.ZERO);
        processing.open("qti-response-condition").open("qti-response-if").open("qti-and");
        bound("qti-gte", key.value().subtract(tolerance));
        bound("qti-lte", key.value().add(tolerance));
        processing.close("qti-and");
        add(points(most));
        processing.close("qti-response-if").close("qti-response-condition");
    }

    private void bound(String relation, BigDecimal value) {
        processing
                .open(relation)
                .empty("qti-variable", "identifier", RESPONSE)
                .markup(points(value))
                .close(relation);
    }
}
