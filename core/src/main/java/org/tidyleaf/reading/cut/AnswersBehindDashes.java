package org.tidyleaf.reading.cut;

import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/**
 * "3. Wax melts at 20 °C. — False", "4. How many legs has a bee? – &lt;b&gt;six&lt;/b&gt;": behind a numbered sentence and a dash a
 * verdict, or behind several of them what is set apart by its look, is the answer.
 */
public final class AnswersBehindDashes {

    private static final Pattern DASH =
            Pattern.compile("[.?!)\u201d\"]\\s{1,9}([-\u2013\u2014]{1,3})\\s{1,9}(\\S.{0,80})$");

    private static final Pattern NUMBER =
            Pattern.compile("\\s*[(]?(?:\\p{L}{1,10}\\.?\\s?)?\\d{1,3}[.):]\\s.*", Pattern.DOTALL);

    private static final List<Emphasis> SIGNS =
            List.of(Emphasis.BOLD, Emphasis.ITALIC, Emphasis.COLOR, Emphasis.HIGHLIGHT, Emphasis.UNDERLINE);

    private static final int LONGEST = 600;

    /** One that is only set apart may be stressed for another reason. */
    private static final int SEVERAL = 2;

    private AnswersBehindDashes() {}

    /** Where verdicts begin. */
    static RepeatedCuts verdicts(Source source) {
        return new RepeatedCuts(source, AnswersBehindDashes::verdict, 1);
    }

    /** Where other answers begin. */
    static RepeatedCuts setApart(Source source) {
        return new RepeatedCuts(source, AnswersBehindDashes::setApart, SEVERAL);
    }

    private static int verdict(Line line) {
        return behind(line)
                .filter(found -> AnswerParser.judgement(found.group(2).strip()).isPresent())
                .map(found -> found.start(1))
                .orElse(0);
    }

    private static int setApart(Line line) {
        int end = line.text().length();
        Optional<MatchResult> behind = line.spans().isEmpty() ? Optional.empty() : behind(line);
        return behind.filter(found -> SIGNS.stream()
                        .anyMatch(sign ->
                                line.isMostly(sign, found.start(2), end) && !line.isMostly(sign, 0, found.start(1))))
                .map(found -> found.start(1))
                .orElse(0);
    }

    /** The dash and what stands behind it. */
    private static Optional<MatchResult> behind(Line line) {
        String text = line.text();
        boolean possible = text.length() < LONGEST
                && (text.indexOf(" -") > 0 || text.indexOf('\u2013') > 0 || text.indexOf('\u2014') > 0)
                && (line.labelEnd() > 0 || NUMBER.matcher(text).matches());
        Matcher dash = DASH.matcher(possible ? text : "");
        boolean found = dash.find() && !PointsFinder.isPointsOnly(dash.group(2).strip());
        return found ? Optional.of(dash.toMatchResult()) : Optional.empty();
    }

    /** What was cut off there says the answer. */
    public static void mark(List<Cues> all) {
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            int from = cues.piece().segment().from();
            if (!cues.piece().first() && cues.lead().isEmpty()) {
                Optional<Integer> answer = behind(cues.line())
                        .filter(found -> found.start(1) == from)
                        .map(found -> found.start(2));
                if (answer.isPresent()) {
                    all.set(i, cues.withLabels(List.of()).withLead(new Cues.Lead(Cues.Announces.KEY, answer.get())));
                }
            }
        }
    }
}
