package org.tidyleaf.reading;

import java.util.List;
import java.util.regex.Pattern;
import org.tidyleaf.reading.Cues.Trait;

/** "General Instructions:" and below it "(i) All questions are compulsory.", "(ii) …": what holds for the whole paper. */
final class RulesOfPaper {

    private static final Pattern HEAD = Vocabulary.pattern(
            "(?:\\p{L}+\\s+){0,2}" + Vocabulary.ALL.either("directions") + "(?:\\s+\\p{L}+){0,3}\\s*[:.]?\\s*");

    private static final int FEWEST = 2;

    private RulesOfPaper() {}

    static void mark(List<Cues> all) {
        for (int i = 0; i < all.size() && !isQuestion(all.get(i)); i++) {
            boolean head = all.get(i).is(Trait.SHORT)
                    && all.get(i).labels().isEmpty()
                    && HEAD.matcher(all.get(i).text().strip()).matches();
            int end = i + 1;
            while (head && end < all.size() && isRule(all.get(end), end - i)) {
                end++;
            }
            if (end - i > FEWEST) {
                all.subList(i, end).forEach(cues -> cues.traits().add(Trait.RULES));
                return;
            }
        }
    }

    private static boolean isQuestion(Cues cues) {
        return cues.has(Label.Kind.NUMBER);
    }

    /** Numerals that count on, or bullets. */
    private static boolean isRule(Cues cues, int ordinal) {
        return cues.has(Label.Kind.BULLET)
                || cues.labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.ROMAN && label.ordinal() == ordinal);
    }
}
