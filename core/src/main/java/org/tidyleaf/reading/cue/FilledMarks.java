package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;

/** Hollow circles with a filled one among them: the filled one marks the right option. Alone, filled ones are bullets. */
final class FilledMarks {

    private static final Pattern FILLED = Pattern.compile("\\s*[\u25cf\u2b24\u25c9\u29bf\u26ab\u25a0\u2b1b\u2022]\\s*");
    private static final Pattern HOLLOW = Pattern.compile("\\s*[\u25cb\u25ef\u26aa\u25a1\u2b1c\u25e6]\\s*");

    private FilledMarks() {}

    static void mark(List<Cues> all) {
        int from = 0;
        while (from < all.size()) {
            int to = from;
            boolean hollow = false;
            while (to < all.size() && (is(FILLED, all.get(to)) || is(HOLLOW, all.get(to)))) {
                hollow |= is(HOLLOW, all.get(to));
                to++;
            }
            for (int i = from; i < to && hollow; i++) {
                if (is(FILLED, all.get(i))) {
                    all.set(i, signed(all.get(i)));
                }
            }
            from = Math.max(to, from + 1);
        }
    }

    private static boolean is(Pattern mark, Cues cues) {
        return matcher(mark, cues).lookingAt();
    }

    private static Matcher matcher(Pattern mark, Cues cues) {
        return mark.matcher(cues.line().text())
                .region(cues.piece().segment().from(), cues.piece().segment().to());
    }

    private static Cues signed(Cues cues) {
        Matcher filled = matcher(FILLED, cues);
        return filled.lookingAt()
                ? cues.withSign(new Cues.Sign(cues.piece().segment().from(), filled.end(), true))
                : cues;
    }
}
