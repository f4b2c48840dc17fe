package org.tidyleaf.reading;

import java.util.List;
import java.util.regex.Pattern;

/** Keys that no word announces: "1 - C    2 - B    3 - A" below pairs, a letter in brackets far behind options. */
final class PairKeys {

    private static final Pattern KEYS = Pattern.compile(
            "(?:\\d{1,2}\\s*[-\u2013:=\u2192]?\\s*[A-Za-z]\\b[\\s,;.]*){2,}|(?:[A-Za-z]\\s*[-\u2013:=\u2192]?\\s*\\d{1,2}\\b[\\s,;.]*){2,}");

    private PairKeys() {}

    static boolean isKey(String text) {
        return KEYS.matcher(text).matches();
    }

    static void mark(List<Cues> all) {
        for (int i = 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            boolean letterBehind = !cues.piece().first()
                    && cues.text().matches("[(\\[][A-Ha-h][)\\]]")
                    && cues.piece().segment().to() == cues.line().text().length();
            if (letterBehind) {
                // "a) wasps   b) bees        (b)"
                int at = cues.piece().segment().from();
                all.set(i, cues.withLabels(List.of()).withLead(new Cues.Lead(Cues.Announces.KEY, at)));
                continue;
            }
            if (cues.lead().isEmpty()
                    && cues.piece().first()
                    && isKey(cues.text())
                    && isKey(cues.line().text().strip())) {
                all.set(
                        i,
                        cues.withLabels(List.of())
                                .withLead(new Cues.Lead(
                                        Cues.Announces.KEY,
                                        cues.piece().segment().from())));
            }
        }
    }
}
