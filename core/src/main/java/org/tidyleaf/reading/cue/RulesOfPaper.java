package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/** "General Instructions:" and below it "(i) All questions are compulsory.", "(ii) …", or "1. …" where the questions count anew: what holds for the whole paper. */
final class RulesOfPaper {

    private static final Pattern HEAD = Vocabulary.pattern(
            "(?:\\p{L}+\\s+){0,2}" + Vocabulary.ALL.either("directions") + "(?:\\s+\\p{L}+){0,3}\\s*[:.]?\\s*");

    private static final int FEWEST = 2;

    private RulesOfPaper() {}

    static void mark(List<Cues> all) {
        for (int i = 0; i < all.size() && !mayAsk(all.get(i)); i++) {
            Cues cues = all.get(i);
            boolean several = cues.labels().isEmpty()
                    && cues.is(Trait.ENDS_SENTENCE)
                    && !cues.is(Trait.QUESTION_MARK)
                    && Vocabulary.ALL.mentions(cues.words(), "several_each")
                    && Directions.SEVERAL_EACH.matcher(cues.text()).find()
                    && all.subList(i, all.size()).stream().anyMatch(RulesOfPaper::isQuestion);
            if (several) {
                cues.traits().add(Trait.RULES);
            }
        }
        for (int i = 0; i < all.size() && !isQuestion(all.get(i)); i++) {
            boolean head = all.get(i).is(Trait.SHORT)
                    && all.get(i).labels().isEmpty()
                    && HEAD.matcher(all.get(i).text().strip()).matches();
            int end = i + 1;
            while (head && end < all.size() && isRule(all.get(end), end - i)) {
                end++;
            }
            boolean numbered = end - i > 1 && isQuestion(all.get(i + 1));
            if (end - i > FEWEST && (!numbered || beginsAnew(all, end))) {
                all.subList(i, end).forEach(cues -> cues.traits().add(Trait.RULES));
                // Their numbers count no questions.
                all.subList(i, end).replaceAll(cues -> cues.withLabels(List.of()));
                return;
            }
        }
    }

    private static boolean mayAsk(Cues cues) {
        return !cues.labels().isEmpty() || cues.margin().isPresent() || cues.is(Trait.QUESTION_MARK);
    }

    private static boolean isQuestion(Cues cues) {
        return cues.has(Label.Kind.NUMBER);
    }

    /** Numerals or numbers that count on, or bullets. */
    private static boolean isRule(Cues cues, int ordinal) {
        boolean counts = cues.labels().stream()
                .anyMatch(label -> (label.kind() == Label.Kind.ROMAN || label.kind() == Label.Kind.NUMBER)
                        && label.ordinal() == ordinal);
        boolean asks = cues.is(Trait.QUESTION_MARK) || cues.is(Trait.GAP);
        return cues.has(Label.Kind.BULLET) || counts && !asks;
    }

    /** Whether below the rules the questions count from 1 again. */
    private static boolean beginsAnew(List<Cues> all, int from) {
        return all.subList(from, all.size()).stream()
                .flatMap(cues -> cues.number().stream())
                .findFirst()
                .filter(number -> number.ordinal() == 1)
                .isPresent();
    }
}
