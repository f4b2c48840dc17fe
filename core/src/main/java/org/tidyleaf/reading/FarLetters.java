package org.tidyleaf.reading;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/** "c) every spring          B": far behind the last option of several questions a bare capital, the letter of the right one. */
final class FarLetters {

    private static final Pattern FAR = Pattern.compile("(?:.*\\S)?(?:\\s{4,}|\\s?\\t\\s?)([A-H])\\s*");

    private static final Pattern OTHER = Pattern.compile("(?:.*\\S)?(?:\\s{4,}|\\s?\\t\\s?)[I-Z]\\s*");

    /** Fewer such lines may be anything. */
    private static final int SEVERAL = 3;

    private final Map<Integer, Integer> cuts = new HashMap<>();

    FarLetters(Source source) {
        // "T" and "F" far behind statements judge each of them.
        boolean judged = source.lines().stream()
                .anyMatch(line ->
                        endsInCapital(line.text()) && OTHER.matcher(line.text()).matches());
        for (Line line : source.lines()) {
            Matcher far = FAR.matcher(line.text());
            boolean option = !judged
                    && line.layout().cell().isEmpty()
                    && endsInCapital(line.text())
                    && far.matches()
                    && far.start(1) > 0
                    && LabelFinder.letterAt(line.text(), 0, line.text().length())
                            .isPresent();
            if (option) {
                cuts.put(line.number(), far.start(1));
            }
        }
    }

    /** A cheap look before the patterns are tried: a capital behind a blank. */
    private static boolean endsInCapital(String text) {
        int last = text.length() - 1;
        while (last > 0 && Character.isWhitespace(text.charAt(last))) {
            last--;
        }
        return last > 0 && Character.isUpperCase(text.charAt(last)) && Character.isWhitespace(text.charAt(last - 1));
    }

    /** Where the letter stands; 0 where the line has none. */
    int cut(Line line) {
        return cuts.size() < SEVERAL ? 0 : cuts.getOrDefault(line.number(), 0);
    }

    /** Such a letter behind an option on its line says the answer. */
    static void mark(List<Cues> all) {
        for (int i = 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            Cues before = all.get(i - 1);
            boolean behind = !cues.piece().first()
                    && cues.text().matches("[A-H]")
                    && cues.labels().isEmpty()
                    && cues.piece().segment().to() == cues.line().text().length()
                    && before.line().number() == cues.line().number()
                    && before.labels().stream().anyMatch(label -> label.kind() == Label.Kind.LETTER);
            if (behind) {
                all.set(
                        i,
                        cues.withLead(new Cues.Lead(
                                Cues.Announces.KEY, cues.piece().segment().from())));
            }
        }
    }
}
