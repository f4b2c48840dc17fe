package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Line;

/** "A is wrong because …", "Option C: incorrect, …", "Rationale B: …" below the answer: what is said of single options. */
public final class OptionRemarks {

    private static final String VERDICT = Vocabulary.ALL.either("correct", "incorrect");

    private static final Pattern REMARK = Vocabulary.pattern("(?:" + Vocabulary.ALL.either("option", "answer")
            + "\\s+)?(?-i:([A-H]))\\)?(?:\\s?[:\u2013-]\\s*|\\s+(?-i:(?:\\p{Ll}{1,5}\\s+){1,2}))" + VERDICT
            + "(?![\\p{L}-]).*");

    /** "Rationale A:", "Feedback for option (b) \u2013": behind the word for it the letter of the option it is for. */
    private static final Pattern NAMED = Vocabulary.pattern(
            Vocabulary.ALL.either("feedback") + "(?:\\s\\p{L}{2,6})?(?:\\s" + Vocabulary.ALL.either("option", "answer")
                    + ")?\\s[(\\[]?([A-Ha-h])[)\\]]?\\s?(?:[:\u2013=]|-(?=\\s))\\s*");

    private OptionRemarks() {}

    /** Such a word with a letter from a place of a line on. */
    static Optional<Cues.Lead> lead(Line line, int from, int to, Words words) {
        Matcher named = NAMED.matcher(line.text()).region(from, to);
        return Vocabulary.ALL.mentions(words, "feedback") && named.lookingAt() && named.end() < to
                ? Optional.of(new Cues.Lead(Cues.Announces.FEEDBACK, named.end()))
                : Optional.empty();
    }

    /** The letter that a line says something of; empty where it is no such remark. */
    public static Optional<String> letter(Cues cues) {
        Matcher named = NAMED.matcher(cues.text());
        if (cues.announces(Cues.Announces.FEEDBACK) && named.lookingAt()) {
            return Optional.of(named.group(1));
        }
        boolean possible = cues.announces(Cues.Announces.FEEDBACK)
                && Vocabulary.ALL.mentions(cues.words(), "correct", "incorrect");
        return possible ? said(cues) : Optional.empty();
    }

    private static Optional<String> said(Cues cues) {
        Matcher remark = REMARK.matcher(cues.text());
        return remark.matches() ? Optional.of(remark.group(1)) : Optional.empty();
    }

    /** Below an answer, or what explains it, such lines are feedback. */
    static void mark(List<Cues> all) {
        boolean answered = false;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            if (cues.lead().isPresent()) {
                answered = !cues.announces(Cues.Announces.LABEL);
                continue;
            }
            boolean remark = answered
                    && cues.piece().first()
                    && Vocabulary.ALL.mentions(cues.words(), "correct", "incorrect")
                    && said(cues).isPresent();
            if (remark) {
                int from = cues.piece().segment().from();
                all.set(i, cues.withLabels(List.of()).withLead(new Cues.Lead(Cues.Announces.FEEDBACK, from)));
            } else if (cues.has(Label.Kind.NUMBER)) {
                answered = false;
            }
        }
    }
}
