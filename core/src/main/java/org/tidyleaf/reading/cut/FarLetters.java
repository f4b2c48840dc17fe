package org.tidyleaf.reading.cut;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/**
 * "c) every spring          B": far behind the last option of several questions a bare capital, the letter of the right one; or in
 * brackets far behind what is asked, "2. Bees breathe through          [B]".
 */
public final class FarLetters {

    private static final Pattern FAR = Pattern.compile("(?:.*\\S)?(?:\\s{4,}|\\s?\\t\\s?)([A-H])\\s*");

    private static final Pattern OTHER = Pattern.compile("(?:.*\\S)?(?:\\s{4,}|\\s?\\t\\s?)[I-Z]\\s*");

    /** "T" before "F". */
    private static final Pattern LONE_CAPITAL = Pattern.compile("\\s\\p{Lu}\\s*$");

    /** Behind a question, whose options stand below. */
    private static final Pattern FAR_IN_BRACKETS =
            Pattern.compile("\\W*\\d{1,3}\\S{0,2}\\s.*\\S(?:\\s{4,}|\\s?\\t\\s?)([(\\[]\\s?[A-H]\\s?[)\\]])\\s*");

    /** A longer line is no question with its key. */
    private static final int LONGEST = 400;

    /** Fewer such lines may be anything. */
    private static final int SEVERAL = 3;

    private final Map<Integer, Integer> cuts = new HashMap<>();

    FarLetters(Source source) {
        // "T" and "F" far behind statements judge each of them.
        boolean judged = source.lines().stream()
                .anyMatch(line ->
                        endsInCapital(line.text()) && OTHER.matcher(line.text()).matches());
        List<Line> lines = source.lines();
        for (int i = 0; i < lines.size(); i++) {
            Line line = lines.get(i);
            Matcher asked = FAR_IN_BRACKETS.matcher(line.text());
            String text = line.text().stripTrailing();
            boolean bracket = text.length() < LONGEST && (text.endsWith(")") || text.endsWith("]"));
            if (bracket && asked.matches() && i + 1 < lines.size() && isLettered(lines.get(i + 1))) {
                cuts.put(line.number(), asked.start(1));
            }
            Matcher far = FAR.matcher(line.text());
            boolean option = !judged
                    && line.layout().cell().isEmpty()
                    && endsInCapital(line.text())
                    && far.matches()
                    && far.start(1) > 0
                    && !LONE_CAPITAL
                            .matcher(line.text().substring(0, far.start(1)))
                            .find()
                    && isLettered(line);
            if (option) {
                cuts.put(line.number(), far.start(1));
            }
        }
    }

    private static boolean isLettered(Line line) {
        return LabelFinder.letterAt(line.text(), 0, line.text().length()).isPresent();
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
    public static void mark(List<Cues> all) {
        for (int i = 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            Cues before = all.get(i - 1);
            boolean behind = !cues.piece().first()
                    && (cues.text().matches("[A-H]")
                            || isAsked(before) && cues.text().matches("[(\\[]\\s?[A-H]\\s?[)\\]]"))
                    && (cues.labels().isEmpty() || isAsked(before))
                    && cues.piece().segment().to() == cues.line().text().length()
                    && before.line().number() == cues.line().number()
                    && (isAsked(before) || before.has(Label.Kind.LETTER));
            if (behind) {
                all.set(
                        i,
                        cues.withLabels(List.of())
                                .withLead(new Cues.Lead(
                                        Cues.Announces.KEY,
                                        cues.piece().segment().from())));
            }
        }
    }

    private static boolean isAsked(Cues cues) {
        return cues.number().isPresent();
    }
}
