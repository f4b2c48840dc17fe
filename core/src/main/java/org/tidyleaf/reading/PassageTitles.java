package org.tidyleaf.reading;

import java.util.List;
import org.tidyleaf.reading.Cues.Trait;

/**
 * "Questions 1 to 8 are based on the passage below." and then a heading over running text: the heading is the passage's own
 * title and begins no section.
 */
final class PassageTitles {

    /** Running text is at least so long. */
    private static final int FULL_LINE = 70;

    private PassageTitles() {}

    static void mark(List<Cues> all) {
        for (int i = 0; i + 2 < all.size(); i++) {
            Cues lead = all.get(i);
            Cues title = all.get(i + 1);
            Cues text = all.get(i + 2);
            boolean announced = lead.is(Trait.RANGE) && lead.is(Trait.PASSAGE_WORD) && lead.is(Trait.ENDS_SENTENCE);
            boolean titled = (title.is(Trait.HEADING) || title.is(Trait.BOLD) || title.is(Trait.CENTERED))
                    && title.is(Trait.SHORT)
                    && title.labels().isEmpty()
                    && !title.is(Trait.ENDS_SENTENCE)
                    && !title.is(Trait.RANGE)
                    && !title.is(Trait.SECTION_WORD);
            boolean running = text.text().length() > FULL_LINE
                    && text.is(Trait.ENDS_SENTENCE)
                    && text.labels().stream().noneMatch(label -> label.kind() == Label.Kind.NUMBER);
            if (announced && titled && running) {
                title.traits().add(Trait.PASSAGE_HEAD);
            }
        }
    }
}
