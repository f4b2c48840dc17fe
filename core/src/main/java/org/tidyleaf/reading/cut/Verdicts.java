package org.tidyleaf.reading.cut;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/**
 * "A. wax - Incorrect. Bees make it themselves.": a verdict behind each option, with or without its reason. The verdict
 * marks the option, the reason is its feedback.
 */
public final class Verdicts {

    private static final String WRONG = Vocabulary.ALL.either("incorrect");

    /** As it stands at the end of an option. */
    public static final String VERDICT =
            "\\s[-\u2013\u2014]\\s?(?:" + Vocabulary.ALL.either("correct") + "|" + WRONG + ")\\s*[.!:,;]?";

    private static final Pattern AT_END = Vocabulary.pattern("(?s).*" + VERDICT);

    private static final Pattern AGAINST = Vocabulary.pattern(
            "(?s)\\s(?:[-\u2013\u2014]\\s?" + WRONG + "\\s*[.!:,;]?|\\s*[(\\[]\\s*" + WRONG + "\\s*[)\\]])\\s*");

    private static final Pattern WITH_REASON = Vocabulary.pattern(
            "\\s*[*\u2022-]?\\s*[(\\[]?[A-Za-z\\d][.)\\]:].*?\\S(" + VERDICT + "(?<=[.!:,;]))\\s+(?=\\S)");

    /** Fewer such lines are sentences that happen to sound so. */
    private static final int SEVERAL = 3;

    private final Map<Integer, Integer> cuts = new HashMap<>();

    Verdicts(Source source) {
        for (Line line : source.lines()) {
            Matcher matcher = WITH_REASON.matcher(line.text());
            if (isDashed(line.text()) && matcher.lookingAt()) {
                cuts.put(line.number(), matcher.end());
            }
        }
    }

    /** Where the reason begins. */
    List<Integer> cuts(Line line) {
        Integer cut = cuts.size() < SEVERAL ? null : cuts.get(line.number());
        return cut == null ? List.of() : List.of(cut);
    }

    private static boolean isDashed(String text) {
        return text.indexOf('-') >= 0 || text.indexOf('\u2013') >= 0 || text.indexOf('\u2014') >= 0;
    }

    public static boolean endsIn(String text) {
        return isDashed(text) && AT_END.matcher(text).matches();
    }

    public static boolean isAgainst(String sign) {
        return AGAINST.matcher(sign).matches();
    }

    /** What stands behind a verdict on its line is the reason for it. */
    public static void mark(List<Cues> all) {
        for (int i = 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            Cues above = all.get(i - 1);
            boolean behind = !cues.piece().first()
                    && above.line().number() == cues.line().number()
                    && endsIn(above.text());
            if (behind) {
                all.set(
                        i,
                        cues.withLead(new Cues.Lead(
                                Cues.Announces.FEEDBACK, cues.piece().segment().from())));
            }
        }
    }
}
