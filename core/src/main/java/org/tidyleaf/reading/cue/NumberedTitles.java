package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/** "2. Test: The year of the colony" in the middle above everything: the number counts the term's papers, and no question. */
final class NumberedTitles {

    private static final Pattern TITLE =
            Vocabulary.pattern("\\d{1,2}\\.\\s+" + Vocabulary.ALL.either("test_word") + "\\b.*");

    private NumberedTitles() {}

    /** Takes the label off the first numbered line of the paper where it is such a title. */
    static void unlabel(List<Cues> all) {
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            if (!cues.has(Label.Kind.NUMBER) || cues.is(Trait.OFF_BODY)) {
                continue;
            }
            boolean title = cues.is(Trait.CENTERED)
                    && cues.is(Trait.TEST_WORD)
                    && !cues.is(Trait.ENDS_SENTENCE)
                    && !cues.is(Trait.QUESTION_MARK)
                    && TITLE.matcher(cues.text()).matches();
            if (title) {
                all.set(i, cues.withLabels(List.of()));
            }
            return;
        }
    }
}
