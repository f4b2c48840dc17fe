package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.List;

/** Types what is matched or put in order. */
final class PairKinds {

    private final Typist typist;

    PairKinds(Typist typist) {
        this.typist = typist;
    }

    void pairs(Content.Pairs pairs) {
        typist.stem("", pairs.stem(), "");
        List<List<String>> rows = new ArrayList<>();
        for (int i = 0; i < pairs.rights().size(); i++) {
            String left =
                    i < pairs.lefts().size() ? (i + 1) + ") " + pairs.lefts().get(i) : "";
            rows.add(List.of(left, (char) ('A' + i) + ") " + pairs.rights().get(i)));
        }
        if (typist.number() % 2 == 0 || typist.habits().twoColumns()) {
            typist.page().table(rows);
        } else {
            rows.forEach(row -> typist.page().line(String.join("\t\t", row)));
        }
        StringBuilder typed = new StringBuilder();
        StringBuilder key = new StringBuilder();
        for (int i = 0; i < pairs.lefts().size(); i++) {
            typed.append(i == 0 ? "" : ", ").append(i + 1).append('-').append((char)
                    ('A' + pairs.key().get(i)));
            key.append("\n    = ")
                    .append(pairs.lefts().get(i))
                    .append(" = ")
                    .append(pairs.rights().get(pairs.key().get(i)));
        }
        typist.answer(typed.toString(), "");
        typist.expect("match", pairs.stem(), typist.hasKey() ? key.toString() : "");
    }

    void steps(Content.Steps steps) {
        typist.stem("", steps.stem(), "");
        for (int i = 0; i < steps.items().size(); i++) {
            typist.page().line((char) ('A' + i) + ". " + steps.items().get(i));
        }
        StringBuilder key = new StringBuilder();
        List<String> typed = new ArrayList<>();
        for (int place : steps.key()) {
            typed.add(String.valueOf((char) ('A' + place)));
            key.append("\n    = ").append(steps.items().get(place));
        }
        typist.answer(String.join(", ", typed), "");
        typist.expect("order", steps.stem(), typist.hasKey() ? key.toString() : "");
    }
}
