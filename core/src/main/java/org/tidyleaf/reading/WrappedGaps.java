package org.tidyleaf.reading;

import java.util.List;
import java.util.regex.Pattern;
import org.tidyleaf.reading.Cues.Trait;

/** "The pieces that hold the comb are called" and on the next line "______.": a gap that wrapped is no line to write on. */
final class WrappedGaps {

    private static final Pattern GAP_AT_END = Pattern.compile("\\s*_{3,60}\\s?[.!?,;]\\s*");

    /** What wraps fills its line. */
    private static final int FULL_LINE = 40;

    private WrappedGaps() {}

    static void mark(List<Cues> all) {
        for (int i = 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            if (cues.is(Trait.WRITING_LINE)
                    && GAP_AT_END.matcher(cues.text()).matches()
                    && isUnfinished(all.get(i - 1))) {
                cues.traits().removeAll(List.of(Trait.WRITING_LINE, Trait.RULE));
                cues.traits().addAll(List.of(Trait.GAP, Trait.ENDS_SENTENCE));
            }
        }
    }

    private static boolean isUnfinished(Cues above) {
        return above.text().length() > FULL_LINE
                && !above.is(Trait.ENDS_SENTENCE)
                && !above.is(Trait.QUESTION_MARK)
                && !above.is(Trait.COLON);
    }
}
