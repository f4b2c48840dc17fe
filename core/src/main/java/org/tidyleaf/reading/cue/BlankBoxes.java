package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.Runs;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.GapSigns;

/** "___ four   _X_ six   ___ eight" below a number: short rules to put a cross on are boxes before options. */
final class BlankBoxes {

    private static final Pattern RULE =
            Pattern.compile("\\s*_+(?:([xX\u2713\u2714])_+|(?<=__))\\s*(?=\\p{L}|\\d|-\\d)");

    /** Two lines alone may be two gaps. */
    private static final int FEWEST = 3;

    private BlankBoxes() {}

    static void label(List<Cues> all) {
        for (Runs.Run run : Runs.find(all, BlankBoxes::isOption, FEWEST - 1)) {
            boolean crossed = run.in(all).stream().anyMatch(BlankBoxes::isCrossed);
            boolean below = run.from() > 0 && all.get(run.from() - 1).has(Label.Kind.NUMBER);
            if (below && (crossed || run.size() >= FEWEST)) {
                run.in(all).replaceAll(BlankBoxes::boxed);
            }
        }
    }

    private static boolean isCrossed(Cues cues) {
        Matcher rule = rule(cues);
        return rule.lookingAt() && rule.group(1) != null;
    }

    /** Statements to judge end like sentences, lefts of pairs have numbers of their own. */
    private static boolean isOption(Cues cues) {
        Matcher rule = rule(cues);
        return cues.labels().isEmpty()
                && cues.is(Cues.Trait.SHORT)
                && !cues.is(Cues.Trait.QUESTION_MARK)
                && rule.lookingAt()
                && GapSigns.count(cues.line().text().substring(rule.end())) == 0
                && !cues.line().text().substring(rule.end()).matches("\\d{1,2}[.)].*|.*[.]\\s*");
    }

    private static Matcher rule(Cues cues) {
        return RULE.matcher(cues.line().text())
                .region(cues.piece().segment().from(), cues.piece().segment().to());
    }

    private static Cues boxed(Cues cues) {
        Matcher rule = rule(cues);
        if (!rule.lookingAt()) {
            return cues;
        }
        int from = cues.piece().segment().from();
        cues.traits().removeAll(List.of(Cues.Trait.GAP, Cues.Trait.WRITING_LINE));
        Cues labelled =
                cues.withLabels(List.of(new Label(Label.Kind.BOX, 0, "", Label.Kind.BOX.name(), from, rule.end())));
        return rule.group(1) == null ? labelled : labelled.withSign(new Cues.Sign(from, rule.end(), true));
    }
}
