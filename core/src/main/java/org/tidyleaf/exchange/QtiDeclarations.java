package org.tidyleaf.exchange;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;

/** What an item takes as responses, with the right ones and what they earn (QTI, responseDeclaration). One per item, not shared. */
final class QtiDeclarations {

    private final XmlText declarations = new XmlText();

    /** Without a mapping the response earns by being the right one. */
    void declare(String id, String cardinality, String type, List<String> correct, Map<String, BigDecimal> mapping) {
        declare(id, cardinality, type, correct, mapping, BigDecimal.ZERO);
    }

    /** @param other what a value earns that the mapping has not */
    void declare(
            String id,
            String cardinality,
            String type,
            List<String> correct,
            Map<String, BigDecimal> mapping,
            BigDecimal other) {
        declarations.open("qti-response-declaration", "identifier", id, "cardinality", cardinality, "base-type", type);
        if (!correct.isEmpty()) {
            declarations.open("qti-correct-response");
            correct.forEach(value -> declarations.element("qti-value", value));
            declarations.close("qti-correct-response");
        }
        if (!mapping.isEmpty()) {
            declarations.open("qti-mapping", "lower-bound", "0", "default-value", other.toPlainString());
            mapping.forEach((key, value) -> {
                boolean text = type.equals("string");
                if (text) {
                    declarations.empty(
                            "qti-map-entry",
                            "map-key",
                            key,
                            "mapped-value",
                            value.toPlainString(),
                            "case-sensitive",
                            "false");
                } else {
                    declarations.empty("qti-map-entry", "map-key", key, "mapped-value", value.toPlainString());
                }
            });
            declarations.close("qti-mapping");
        }
        declarations.close("qti-response-declaration");
    }

    /** All of them so far. */
    String written() {
        return declarations.toString();
    }
}
