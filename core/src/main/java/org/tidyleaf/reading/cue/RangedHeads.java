package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "TASK 1 (Questions 1–4)", "Exercise B: Questions 5 to 8": what names the questions below it heads them, though elsewhere its word
 * stands before a single question's number.
 */
final class RangedHeads {

    private static final Pattern HEAD =
            Vocabulary.pattern("\\W*\\p{L}{3,20}\\s+(?:\\d{1,2}|[A-Z]|[IVX]{1,4})\\s*[.:,\u2013\u2014-]?\\s*[(\\[]?\\s*"
                    + Vocabulary.ALL.either("question") + "(?:s|n|en)?\\.?\\s+(\\d{1,3})\\s*(?:[\u2013\u2014-]|"
                    + Vocabulary.ALL.either("to") + ")\\s*(\\d{1,3})\\s*[)\\]]?\\s*(?:[.:\u2013\u2014-].*)?");

    private RangedHeads() {}

    /** Takes the number from them. */
    static void mark(List<Cues> all) {
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).is(Trait.RANGE) && isOne(all.get(i).text())) {
                all.set(i, all.get(i).withLabels(List.of()));
                all.get(i).traits().add(Trait.SECTION_WORD);
            }
        }
    }

    private static boolean isOne(String text) {
        Matcher head = HEAD.matcher(text);
        return head.matches() && Integer.parseInt(head.group(1)) < Integer.parseInt(head.group(2));
    }
}
