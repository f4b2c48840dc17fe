package org.tidyleaf.reading.cut;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/**
 * "A) a mite (correct – it lives on bees)", "B) a fungus (no: that is chalkbrood)": behind several options, in brackets, a
 * verdict and its reason. The verdict marks the option, the reason is its feedback.
 */
public final class VerdictsInBrackets {

    private static final Pattern VERDICT = Pattern.compile(
            "[(\\[]\\s*(?<word>\\p{L}{2,12}(?:\\s\\p{L}{2,12})?)\\s*[-\u2013\u2014:;,.!]\\s*(?=[^()\\[\\]]{3,300}[)\\]]\\s*$)");

    private static final Pattern OPTION = Pattern.compile("\\s*[(\\[]?[A-Ha-h][.)\\]:]\\s.*");

    /** One could be part of its option. */
    private static final int SEVERAL = 2;

    private VerdictsInBrackets() {}

    /** Where they begin. */
    static RepeatedCuts cuts(Source source) {
        return new RepeatedCuts(source, VerdictsInBrackets::start, SEVERAL);
    }

    private static int start(Line line) {
        String text = line.text().stripTrailing();
        boolean possible = (text.endsWith(")") || text.endsWith("]"))
                && text.length() > line.labelEnd()
                && (line.labelEnd() > 0 || OPTION.matcher(text).matches());
        int at = possible ? Math.max(text.lastIndexOf('('), text.lastIndexOf('[')) : 0;
        Matcher verdict = VERDICT.matcher(text).region(Math.max(0, at), text.length());
        return at > 0 && verdict.lookingAt() && isRight(verdict.group("word")).isPresent() ? at : 0;
    }

    private static Optional<Boolean> isRight(String word) {
        if (Vocabulary.ALL.has("correct", word) || Vocabulary.ALL.has("incorrect", word)) {
            return Optional.of(Vocabulary.ALL.has("correct", word));
        }
        return AnswerParser.judgement(word).map(place -> place == 0);
    }

    /** What was cut off there judges the option before it. */
    public static void mark(List<Cues> all) {
        for (int i = 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            Cues option = all.get(i - 1);
            int from = cues.piece().segment().from();
            int to = cues.piece().segment().to();
            Matcher verdict = VERDICT.matcher(cues.line().text()).region(from, to);
            boolean cut = !cues.piece().first()
                    && option.line().number() == cues.line().number()
                    && from == start(cues.line());
            if (cut && verdict.lookingAt()) {
                int end = option.piece().segment().to();
                Cues.Sign sign =
                        new Cues.Sign(end, end, isRight(verdict.group("word")).orElse(false));
                all.set(i - 1, option.withSign(sign).withLabels(option.labels()));
                all.set(i, cues.withLabels(List.of()).withLead(new Cues.Lead(Cues.Announces.FEEDBACK, verdict.end())));
            }
        }
    }
}
