package org.tidyleaf.reading;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** "___ four   _X_ six   ___ eight" below a number: short rules to put a cross on are boxes before options. */
final class BlankBoxes {

    private static final Pattern RULE =
            Pattern.compile("\\s*_+(?:([xX\u2713\u2714])_+|(?<=__))\\s*(?=\\p{L}|\\d|-\\d)");

    /** Two lines alone may be two gaps. */
    private static final int FEWEST = 3;

    private BlankBoxes() {}

    static void label(List<Cues> all) {
        int from = 0;
        while (from < all.size()) {
            int to = from;
            boolean crossed = false;
            while (to < all.size() && isOption(all.get(to))) {
                Matcher rule = rule(all.get(to));
                crossed |= rule.lookingAt() && rule.group(1) != null;
                to++;
            }
            boolean below = from > 0 && isNumbered(all.get(from - 1));
            for (int i = from; i < to && to - from >= (crossed ? FEWEST - 1 : FEWEST) && below; i++) {
                all.set(i, boxed(all.get(i)));
            }
            from = Math.max(to, from + 1);
        }
    }

    private static boolean isNumbered(Cues cues) {
        return cues.labels().stream().anyMatch(label -> label.kind() == Label.Kind.NUMBER);
    }

    /** Statements to judge end like sentences, lefts of pairs have numbers of their own. */
    private static boolean isOption(Cues cues) {
        Matcher rule = rule(cues);
        return cues.labels().isEmpty()
                && cues.is(Cues.Trait.SHORT)
                && !cues.is(Cues.Trait.QUESTION_MARK)
                && rule.lookingAt()
                && ProseMaker.gapsIn(cues.line().text().substring(rule.end())) == 0
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
