package org.tidyleaf.reading.cue;

import java.util.List;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/**
 * A sentence in italics below the last of the marked options, right above the next question, explains the answer: it has none of the
 * letters, boxes or bullets that the options have.
 */
final class RemarksBelow {

    private static final int SEVERAL = 2;

    private RemarksBelow() {}

    static void mark(List<Cues> all) {
        int options = 0;
        boolean marked = false;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            boolean option = cues.has(Label.Kind.LETTER) || cues.has(Label.Kind.BOX) || cues.has(Label.Kind.BULLET);
            if (option || cues.sign().isPresent()) {
                options++;
                marked |= cues.sign().filter(Cues.Sign::right).isPresent();
            } else if (options >= SEVERAL && marked && isRemark(cues) && endsQuestion(all, i)) {
                int from = cues.piece().segment().from();
                all.set(i, cues.withLead(new Cues.Lead(Cues.Announces.FEEDBACK, from)));
            } else {
                options = 0;
                marked = false;
            }
        }
    }

    private static boolean isRemark(Cues cues) {
        return cues.piece().first()
                && cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && cues.is(Cues.Trait.ITALIC)
                && cues.is(Cues.Trait.ENDS_SENTENCE)
                && !cues.is(Cues.Trait.QUESTION_MARK)
                && !cues.is(Cues.Trait.INSTRUCTION_WORD)
                && cues.line().layout().cell().isEmpty();
    }

    /** The last line, or the one above the next number or heading. */
    private static boolean endsQuestion(List<Cues> all, int index) {
        // A quotation may have a line drawn below it.
        boolean ruled = index + 1 < all.size() && all.get(index + 1).text().matches("_+");
        int next = ruled ? index + 2 : index + 1;
        return next >= all.size()
                || all.get(next).has(Label.Kind.NUMBER)
                || all.get(next).is(Cues.Trait.HEADING);
    }
}
