package org.tidyleaf.reading.habit;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/** "Write a note to a friend. Say:" over bullets: what an essay is to mention, and nothing to choose from. */
final class EssayPoints {

    private static final Pattern ASKS_FOR_TEXT =
            Vocabulary.pattern("(?:.*[.:!,]\\s+|.{0,16}\\s)?" + Vocabulary.ALL.either("explain") + "\\b.*");

    private static final Pattern SPEAKS_ON =
            Vocabulary.pattern(".*(?:[:.\u2026]|\\b" + Vocabulary.ALL.either("mention") + ")\\s*");

    private EssayPoints() {}

    /** The places of such bullets. */
    static Set<Integer> find(List<Cues> all) {
        Set<Integer> found = new HashSet<>();
        for (int i = 1; i < all.size(); i++) {
            if (!all.get(i).has(Label.Kind.BULLET) || all.get(i - 1).has(Label.Kind.BULLET)) {
                continue;
            }
            int end = i;
            while (end < all.size() && all.get(end).has(Label.Kind.BULLET)) {
                end++;
            }
            boolean points = asks(all, i - 1) || asksForText(all.get(i - 1)) && areOneSentence(all.subList(i, end));
            if (!points) {
                continue;
            }
            boolean answered = end < all.size() && isAnswer(all.get(end));
            boolean signed =
                    all.subList(i, end).stream().anyMatch(cues -> cues.sign().isPresent());
            for (int at = i; at < end && !answered && !signed; at++) {
                found.add(at);
            }
        }
        return found;
    }

    /** "Tell him" over "- why they are harmless," and "- when he may come.": what stands behind each bullet but the last goes on. */
    private static boolean areOneSentence(List<Cues> bullets) {
        int last = bullets.size() - 1;
        return last > 0
                && bullets.get(last).text().endsWith(".")
                && bullets.subList(0, last).stream()
                        .allMatch(
                                cues -> cues.text().endsWith(",") || cues.text().endsWith(";"));
    }

    /** Not "Marking: one mark each", which answers no question with options. */
    private static boolean isAnswer(Cues cues) {
        return cues.lead().isPresent() && !Vocabulary.ALL.mentions(cues.words(), "model");
    }

    /** The line above ends in a colon or a full stop and asks, by itself or from the line before it on, for a text. */
    private static boolean asks(List<Cues> all, int above) {
        Cues cues = all.get(above);
        if (!SPEAKS_ON.matcher(cues.text()).matches()) {
            return false;
        }
        boolean before =
                above > 0 && cues.labels().isEmpty() && cues.is(Trait.SHORT) && asksForText(all.get(above - 1));
        return asksForText(cues) || before;
    }

    private static boolean asksForText(Cues cues) {
        return Vocabulary.ALL.mentions(cues.words(), "explain")
                && ASKS_FOR_TEXT.matcher(cues.text()).matches();
    }
}
