package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "[B]", "[T]", "[varroa]", "__B__" alone on the line below a question or its options, again and again: what stands in the brackets, or
 * on the rule, is the answer.
 */
final class BracketedKeys {

    private static final Pattern ALONE = Pattern.compile(
            "\\s*\\[\\s*(?<said>[^\\[\\]]{1,40}?)\\s*]\\s*|\\s*_{2,}\\s*(?<written>[A-Ha-h])\\s*_{2,}\\s*");
    private static final Pattern LETTERS = Pattern.compile("[A-H](?:\\s*[,&+]?\\s*[A-H])*");

    /** One may be anything. */
    private static final int FEWEST = 2;

    private static final int MOST_WORDS = 4;

    private BracketedKeys() {}

    static void mark(List<Cues> all) {
        List<Integer> found = IntStream.range(1, all.size())
                .filter(i -> isAlone(all.get(i)) && isBelowQuestion(all.get(i - 1)))
                .boxed()
                .toList();
        long sure = found.stream().filter(place -> isSure(all.get(place))).count();
        if (found.size() < FEWEST || sure * 2 < found.size()) {
            return;
        }
        for (int place : found) {
            Cues cues = all.get(place);
            int from = cues.piece().segment().from();
            cues.traits().remove(Trait.WRITING_LINE);
            cues.traits().remove(Trait.RULE);
            all.set(place, cues.withLabels(List.of()).withLead(new Cues.Lead(Cues.Announces.KEY, from)));
        }
    }

    private static boolean isAlone(Cues cues) {
        return cues.piece().first()
                && cues.lead().isEmpty()
                && !cues.has(Label.Kind.BOX)
                && !cues.is(Trait.POINTS_ONLY)
                && !cues.is(Trait.OFF_BODY)
                && cues.line().layout().cell().isEmpty()
                && cues.words().size() <= MOST_WORDS
                && ALONE.matcher(cues.text()).matches()
                && cues.text().codePoints().anyMatch(Character::isLetter)
                && !Vocabulary.ALL.mentions(cues.words(), "points", "caption");
    }

    private static boolean isBelowQuestion(Cues above) {
        return !above.labels().isEmpty() || above.is(Trait.QUESTION_MARK) || above.is(Trait.WRITING_LINE);
    }

    private static boolean isSure(Cues cues) {
        Matcher alone = ALONE.matcher(cues.text());
        return alone.matches()
                && (alone.group("written") != null
                        || LETTERS.matcher(alone.group("said")).matches()
                        || AnswerParser.judgement(alone.group("said")).isPresent());
    }
}
