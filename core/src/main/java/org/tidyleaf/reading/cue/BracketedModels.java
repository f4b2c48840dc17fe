package org.tidyleaf.reading.cue;

import java.util.List;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/** "8 Why do bees cluster?" and below it "[They keep one another warm.]", over one line or several: the answer for the marker. */
final class BracketedModels {

    private static final int MOST_LINES = 6;
    private static final int FEWEST_WORDS = 3;
    private static final int LONGEST_SUM = 6;

    private BracketedModels() {}

    static void mark(List<Cues> all) {
        for (int i = 1; i < all.size(); i++) {
            int end = end(all, i);
            if (end > i
                    && !namesPicture(all.get(i))
                    && !sumsUp(all.get(i))
                    && asks(all.get(i - 1))
                    && words(all, i, end) >= FEWEST_WORDS) {
                for (int line = i; line < end; line++) {
                    int from = all.get(line).piece().segment().from() + (line == i ? 1 : 0);
                    all.set(
                            line,
                            all.get(line)
                                    .withLabels(List.of())
                                    .withLead(new Cues.Lead(Cues.Announces.MODEL, skipped(all.get(line), from))));
                }
            }
        }
    }

    /** "[Total: 5 marks]" sums up and answers nothing. */
    private static boolean sumsUp(Cues cues) {
        return Vocabulary.ALL.mentions(cues.words(), "total")
                && PointsFinder.isMentioned(cues)
                && cues.words().size() <= LONGEST_SUM;
    }

    /** "[picture of a steel rule]" stands for what is not there. */
    private static boolean namesPicture(Cues cues) {
        return Vocabulary.ALL.mentions(cues.words(), "caption") && cues.words().size() < FEWEST_WORDS * 3;
    }

    private static int skipped(Cues cues, int from) {
        int at = from;
        while (at < cues.piece().segment().to()
                && "[ \t".indexOf(cues.line().text().charAt(at)) >= 0) {
            at++;
        }
        return at;
    }

    /** Behind the line that closes the bracket; the first place where none does. */
    private static int end(List<Cues> all, int first) {
        if (!all.get(first).text().strip().startsWith("[") || !isFree(all.get(first))) {
            return first;
        }
        for (int i = first; i < Math.min(all.size(), first + MOST_LINES); i++) {
            String text = all.get(i).text().strip();
            boolean goesOn = i == first || isFree(all.get(i)) && all.get(i).spaceBefore() == 0;
            if (!goesOn || text.indexOf(']') >= 0 && !text.endsWith("]")) {
                return first;
            }
            if (text.endsWith("]")) {
                return i + 1;
            }
        }
        return first;
    }

    private static boolean isFree(Cues cues) {
        return cues.piece().first()
                && cues.lead().isEmpty()
                && cues.labels().stream().noneMatch(label -> label.kind() == Label.Kind.BOX)
                && !cues.is(Trait.POINTS_ONLY)
                && cues.line().layout().cell().isEmpty();
    }

    private static boolean asks(Cues above) {
        return above.has(Label.Kind.NUMBER) || above.has(Label.Kind.LETTER) || above.is(Trait.QUESTION_MARK);
    }

    private static int words(List<Cues> all, int from, int end) {
        return all.subList(from, end).stream()
                .mapToInt(cues -> cues.words().size())
                .sum();
    }
}
