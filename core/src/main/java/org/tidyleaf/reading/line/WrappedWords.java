package org.tidyleaf.reading.line;

import java.util.List;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;

/**
 * What looks like something else where a sentence has wrapped right before it: "The pieces that hold the comb are called" and
 * on the next line "______." (no line to write on), "Mark all right" and "answers. [2]" (no word that announces an answer).
 */
public final class WrappedWords {

    private static final Pattern GAP_AT_END = Pattern.compile("\\s*_{3,60}\\s?[.!?,;]\\s*(?:[(\\[].{1,12}[)\\]]\\s*)?");

    /** A word or some in small letters that end their sentence; what announces an answer so has little behind it, a letter as a rule. */
    private static final Pattern WORD_AT_END = Pattern.compile(
            "(?:\\p{Ll}+\\s){0,3}\\p{Ll}{4,}\\.(?:\\s*$|\\s+(?:[(\\[/]|[-\u2013]\\s*\\d|\\d{1,2}\\s*\\p{L}+\\.?\\s*$|\\p{L}{4}))");

    /** "… two thousand eggs a" and below it "Tag. Wird es eng, …": nouns have capitals in German. */
    private static final Pattern NOUN_AT_END = Pattern.compile("\\p{Lu}\\p{Ll}+\\.\\s+\\p{L}");

    /** "… weight; max" and below it "6.": a number that ends its sentence. */
    private static final Pattern NUMBER_AT_END = Pattern.compile("\\d{1,4}[.]");

    /** What wraps fills its line. */
    private static final int FULL_LINE = 40;

    private WrappedWords() {}

    public static void mark(List<Cues> all) {
        for (int i = 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            if (cues.lead().isPresent() && WORD_AT_END.matcher(cues.text()).lookingAt() && isRestOfSentence(all, i)) {
                all.set(i, cues.withoutLead());
            }
            if (cues.announces(Cues.Announces.LABEL)
                    && NOUN_AT_END.matcher(cues.text()).lookingAt()
                    && cues.spaceBefore() == 0
                    && all.get(i - 1).is(Trait.FULL)
                    && isUnfinished(all.get(i - 1))) {
                all.set(i, cues.withoutLead());
            }
            if (NUMBER_AT_END.matcher(cues.text()).matches()
                    && cues.spaceBefore() == 0
                    && all.get(i - 1).is(Trait.FULL)
                    && isUnfinished(all.get(i - 1))) {
                all.set(i, cues.withLabels(List.of()));
            }
            if ((cues.is(Trait.WRITING_LINE) || cues.is(Trait.GAP))
                    && GAP_AT_END.matcher(cues.text()).matches()
                    && isUnfinished(all.get(i - 1))) {
                cues.traits().removeAll(List.of(Trait.WRITING_LINE, Trait.RULE));
                cues.traits().addAll(List.of(Trait.GAP, Trait.ENDS_SENTENCE));
            }
        }
    }

    /** "answers." in small letters right below a full line whose sentence has not ended. */
    public static boolean isRestOfSentence(List<Cues> all, int piece) {
        return piece > 0
                && all.get(piece).is(Trait.STARTS_LOWER)
                && all.get(piece).spaceBefore() == 0
                && isUnfinished(all.get(piece - 1));
    }

    private static boolean isUnfinished(Cues above) {
        return (above.text().length() > FULL_LINE || above.is(Trait.FULL))
                && !above.is(Trait.ENDS_SENTENCE)
                && !above.is(Trait.QUESTION_MARK)
                && !above.is(Trait.COLON);
    }
}
