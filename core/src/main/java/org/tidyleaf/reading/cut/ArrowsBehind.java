package org.tidyleaf.reading.cut;

import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/** "1. How long …?   >> two years": far behind several questions, or right behind their ends, an arrow to the answer, as in a teacher's copy. */
final class ArrowsBehind {

    private static final Pattern ARROW = Pattern.compile(
            ".*\\S(?:\\s{2,}|\\t|(?<=[.?!:])\\s)((?:>>|=>|->|-->|\u2192|\u21d2)(?!.*__)\\s*\\S.*[\\p{L}\\d].*|(?:>>|=>|->|\u2192)\\s*[\\p{L}\\d])");

    /** "<-- 15": the same from the other side, if it does not say "<-- correct" of an option. */
    private static final Pattern ARROW_BACK =
            Vocabulary.pattern(".*\\S(?:\\s{2,}|\\t)((?:<-+|<=+|\u2190)(?!.*__)\\s*(?<said>[\\p{L}\\d].*))");

    private static final Pattern CORRECT =
            Vocabulary.pattern("(?:" + Vocabulary.ALL.either("correct", "answer") + ")\\W*");

    /** "→ a, d, b, c": an order needs no other line like it. */
    private static final Pattern ORDER =
            Pattern.compile("\\W+\\s*[A-Ha-h](?:\\s*[,;>\u2192\u2013-]\\s*[A-Ha-h]){2,7}\\W*");

    /** A longer line is no question, and may be made to keep the pattern busy. */
    private static final int LONGEST = 1000;

    /** Fewer such lines may be anything. */
    private static final int SEVERAL = 3;

    private final Map<Integer, Integer> cuts = new HashMap<>();

    /** Lines with an arrow, cut or not. */
    private int arrows;

    ArrowsBehind(Source source) {
        for (Line line : source.lines()) {
            // A cheap look before the pattern is tried.
            boolean possible = line.text().length() < LONGEST
                    && (line.text().indexOf('>') > 0
                            || line.text().indexOf('<') > 0
                            || line.text().indexOf('\u2190') > 0
                            || line.text().indexOf('\u2192') > 0
                            || line.text().indexOf('\u21d2') > 0);
            Matcher arrow = ARROW.matcher(possible ? line.text() : "");
            Matcher back = ARROW_BACK.matcher(possible ? line.text() : "");
            if (line.layout().cell().isEmpty() && arrow.matches()) {
                cuts.put(line.number(), arrow.start(1));
                arrows++;
            } else if (line.layout().cell().isEmpty() && back.matches()) {
                arrows++;
                if (!CORRECT.matcher(back.group("said")).matches()) {
                    cuts.put(line.number(), back.start(1));
                }
            }
        }
    }

    /** Where the arrow stands; 0 where the line has none. */
    int cut(Line line) {
        int cut = cuts.getOrDefault(line.number(), 0);
        return arrows >= SEVERAL
                        || cut > 0 && ORDER.matcher(line.text().substring(cut)).matches()
                ? cut
                : 0;
    }
}
