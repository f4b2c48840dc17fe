package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/**
 * "&gt; a resin" in Markdown right below a question: a quotation of a few words is its answer. Below a gap once is enough,
 * below other questions only where several have one; longer quotations are something to read.
 */
final class QuotedAnswers {

    /** The style that quotations of web pages and Markdown come with. */
    private static final String STYLE = "quote";

    private static final int MOST_WORDS = 12;

    private QuotedAnswers() {}

    static void mark(List<Cues> all) {
        List<Integer> quoted = new ArrayList<>();
        boolean sure = false;
        for (int i = 1; i < all.size(); i++) {
            Cues above = all.get(i - 1);
            boolean asked = above.has(Label.Kind.NUMBER) || above.has(Label.Kind.LETTER);
            if (asked && isShortQuotation(all.get(i)) && !isQuoted(above)) {
                quoted.add(i);
                sure |= above.is(Cues.Trait.GAP);
            }
        }
        for (int place : sure || quoted.size() > 1 ? quoted : List.<Integer>of()) {
            all.set(place, all.get(place).asAnswer());
        }
    }

    private static boolean isShortQuotation(Cues cues) {
        return isQuoted(cues)
                && cues.lead().isEmpty()
                && cues.words().size() <= MOST_WORDS
                && !cues.is(Cues.Trait.QUESTION_MARK)
                && !cues.is(Cues.Trait.GAP);
    }

    private static boolean isQuoted(Cues cues) {
        return cues.line().layout().style().equals(STYLE);
    }
}
