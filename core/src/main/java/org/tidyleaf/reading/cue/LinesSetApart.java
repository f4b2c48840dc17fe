package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Emphasis;

/**
 * "8. Explain how smoke works." and below it a line in red, or in bold where right options are bold: lines set apart below questions
 * without options are their answers.
 */
final class LinesSetApart {

    private static final int FEWEST = 2;

    private final List<Cues> all;
    private final Emphasis sign;

    private LinesSetApart(List<Cues> all, Emphasis sign) {
        this.all = all;
        this.sign = sign;
    }

    static void mark(List<Cues> all) {
        for (Emphasis sign : List.of(Emphasis.BOLD, Emphasis.COLOR, Emphasis.HIGHLIGHT)) {
            LinesSetApart lines = new LinesSetApart(all, sign);
            if (sign != Emphasis.BOLD || lines.areOptionsMarked()) {
                lines.mark();
            }
        }
    }

    private void mark() {
        List<Integer> answers = new ArrayList<>();
        int asked = 0;
        for (int i = 1; i < all.size(); i++) {
            boolean goesOn = sign != Emphasis.BOLD && !answers.isEmpty() && answers.get(answers.size() - 1) == i - 1;
            if (isAnswer(all.get(i)) && (goesOn || isAsked(i - 1)) && endsQuestion(i)) {
                answers.add(i);
                asked += goesOn ? 0 : 1;
            }
        }
        boolean enough = asked >= FEWEST || asked > 0 && sign != Emphasis.BOLD && areSomeOptionsMarked();
        for (int place : enough ? answers : List.<Integer>of()) {
            all.set(place, all.get(place).asAnswer());
        }
    }

    /** Some lettered or bulleted lines are in the same colour and others are not: one such answer will do. */
    private boolean areSomeOptionsMarked() {
        List<Cues> listed = all.stream()
                .filter(cues -> cues.has(Label.Kind.LETTER) || cues.has(Label.Kind.BULLET) || cues.has(Label.Kind.BOX))
                .toList();
        long marked = listed.stream().filter(cues -> cues.isMostly(sign)).count();
        return marked >= FEWEST && marked < listed.size();
    }

    /** Some of the lettered lines are set apart, most are not. */
    private boolean areOptionsMarked() {
        List<Cues> lettered =
                all.stream().filter(cues -> cues.has(Label.Kind.LETTER)).toList();
        long marked = lettered.stream().filter(cues -> cues.isMostly(sign)).count();
        return marked >= FEWEST && marked * 2 < lettered.size();
    }

    private boolean isAnswer(Cues cues) {
        return cues.isMostly(sign)
                && cues.piece().first()
                && cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && !cues.is(Trait.HEADING)
                && !cues.is(Trait.SECTION_WORD)
                && !cues.is(Trait.TYPE_HEAD)
                && !cues.is(Trait.GROUP_HEAD)
                && !cues.is(Trait.INSTRUCTION_WORD)
                && !cues.is(Trait.POINTS_EACH)
                && !cues.is(Trait.FILL_IN)
                && !cues.is(Trait.GAP)
                && !cues.is(Trait.OFF_BODY)
                && !cues.is(Trait.QUESTION_MARK)
                && !cues.is(Trait.COLON);
    }

    /** A question in ordinary type, or the last cell of what it is about. */
    private boolean isAsked(int above) {
        Cues cues = all.get(above);
        boolean part = sign != Emphasis.BOLD && cues.has(Label.Kind.LETTER) && Directions.asks(told(cues));
        return !cues.isMostly(sign)
                && (cues.has(Label.Kind.NUMBER)
                        || part
                        || cues.line().layout().cell().isPresent());
    }

    private static String told(Cues cues) {
        int from = cues.labels().get(0).end();
        return cues.line().text().substring(from, cues.piece().segment().to());
    }

    /** Nothing more of the question stands below: colours go on, or a number, a letter or a head follows. */
    private boolean endsQuestion(int answer) {
        int below = answer + 1;
        if (below == all.size() || all.get(below).has(Label.Kind.NUMBER)) {
            return true;
        }
        Cues cues = all.get(below);
        boolean part = cues.has(Label.Kind.LETTER) && Directions.asks(told(cues));
        boolean head = cues.is(Trait.SECTION_WORD) || cues.is(Trait.HEADING) || cues.is(Trait.GROUP_HEAD);
        return sign != Emphasis.BOLD && (part || head || isAnswer(cues));
    }
}
