package org.tidyleaf.reading;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.reading.Cues.Trait;

/**
 * "Circle T if the statement is true." or "Choose the best answer." on a line without a number, between questions that have
 * theirs: it says how the next ones are answered and goes on with none above it.
 */
final class GroupHeads {

    private static final Pattern HEAD = Vocabulary.pattern("(?:" + Vocabulary.ALL.either("directions")
            + "\\s*[:.]\\s*)?" + Vocabulary.ALL.either("group_head") + "\\b.*");

    private static final int LONGEST = 130;

    private GroupHeads() {}

    static void mark(List<Cues> all) {
        Set<Integer> found = new HashSet<>();
        boolean begun = false;
        for (int i = 1; i + 1 < all.size(); i++) {
            // Above the first number it is said of all questions.
            begun |= isNumbered(all.get(i - 1));
            Cues cues = all.get(i);
            boolean heads = cues.labels().isEmpty()
                    && cues.lead().isEmpty()
                    && cues.line().layout().cell().isEmpty()
                    && cues.text().length() < LONGEST
                    && !cues.is(Trait.GAP)
                    && Vocabulary.ALL.mentions(cues.words(), "group_head")
                    && HEAD.matcher(cues.text()).matches();
            if (begun && heads && isNumbered(all.get(i + 1)) && isComplete(all, i - 1)) {
                found.add(i);
            }
        }
        found.forEach(i -> all.get(i).traits().add(Trait.GROUP_HEAD));
    }

    private static boolean isNumbered(Cues cues) {
        return cues.labels().stream().anyMatch(label -> label.kind() == Label.Kind.NUMBER);
    }

    /** What stands above lacks nothing: an option, a table, a question, a gap or a statement that is judged. */
    private static boolean isComplete(List<Cues> all, int above) {
        Cues cues = all.get(above);
        boolean option = cues.labels().stream()
                .anyMatch(label -> label.kind() == Label.Kind.LETTER || label.kind() == Label.Kind.BOX);
        return option
                || cues.line().layout().cell().isPresent()
                || cues.is(Trait.GAP)
                || cues.is(Trait.WRITING_LINE)
                || cues.is(Trait.QUESTION_MARK)
                || cues.margin().isPresent()
                || cues.lead().isPresent()
                || StemTrimmer.endsWithPair(cues.text());
    }
}
