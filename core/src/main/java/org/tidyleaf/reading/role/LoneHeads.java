package org.tidyleaf.reading.role;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/** Headings of groups that nothing stands below but what they ask: they are the questions themselves. */
final class LoneHeads {

    private static final Pattern EXPLAINS =
            Vocabulary.pattern("(?:.{0,12}[.):]\\s+)?" + Vocabulary.ALL.either("explain") + "\\b.*");

    private LoneHeads() {}

    /** "IV. Write an essay on … (6 points)": a head with nothing below it that asks something is the question itself. */
    static Set<Integer> find(List<Cues> all, Habits habits) {
        Set<Integer> lone = new HashSet<>();
        boolean empty = true;
        int below = all.size();
        for (int i = all.size() - 1; i >= 0; i--) {
            if (habits.chained().contains(i)) {
                empty = false;
            } else if (habits.headings().contains(i) && empty && i + 1 < below && asks(all.get(i + 1))) {
                // "Part 4: Writing" and below it nothing but "Write a letter …".
                lone.add(i + 1);
                below = i;
            } else if (habits.headings().contains(i)) {
                boolean asks = EXPLAINS.matcher(all.get(i).text()).matches()
                        && (all.get(i).is(Trait.ENDS_SENTENCE)
                                || PointsFinder.beside(all.get(i).text()).isPresent());
                asks &= i + 1 >= below || !isNumberedQuestion(all.get(i + 1));
                if (empty && (asks || hasRoom(all, i + 1, below))) {
                    lone.add(i);
                }
                empty = true;
                below = i;
            }
        }
        return lone;
    }

    /** "Exercise B. Tick what bees collect." with nothing below but boxes to tick, or rules to write on. */
    private static boolean hasRoom(List<Cues> all, int from, int to) {
        boolean room = false;
        if (Vocabulary.ALL.mentions(all.get(from - 1).words(), "match")) {
            return false;
        }
        for (int i = from; i < to; i++) {
            Cues cues = all.get(i);
            boolean box = cues.has(Label.Kind.BOX);
            boolean given = cues.line()
                            .layout()
                            .cell()
                            .filter(cell -> cell.columns() == 1)
                            .isPresent()
                    && cues.is(Trait.SHORT);
            box &= cues.line().layout().cell().isEmpty();
            if (!box && !cues.is(Trait.WRITING_LINE) && !given) {
                return false;
            }
            room |= !given;
        }
        return room;
    }

    private static boolean isNumberedQuestion(Cues cues) {
        return cues.has(Label.Kind.NUMBER) && (cues.text().indexOf('?') > 0 || asks(cues));
    }

    private static boolean asks(Cues cues) {
        return EXPLAINS.matcher(cues.text()).matches() && cues.is(Trait.ENDS_SENTENCE);
    }
}
