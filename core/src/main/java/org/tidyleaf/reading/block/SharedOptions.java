package org.tidyleaf.reading.block;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.regex.Matcher;
import org.tidyleaf.reading.cue.TraitFinder;
import org.tidyleaf.reading.line.LetteredLists;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Questions 14–17. Choose who says so, A–C." with a lettered list of people, and below it numbered statements without options
 * of their own: each statement is a question, and what is listed are the options of all of them.
 */
public final class SharedOptions {

    private static final int FEWEST = 3;

    /** Two statements that share a list are no coincidence. */
    private static final int FEWEST_ASKED = 2;

    /** The instruction may have a few lines, and the list a title. */
    private static final int FARTHEST_ABOVE = 5;

    private static final int MOST_TOLD = 3;

    /** Stands for the last number where none is named. */
    private static final int OPEN = Integer.MAX_VALUE;

    private SharedOptions() {}

    /**
     * Where lists of options stand.
     *
     * @param offered the pieces of the lists, in order
     * @param asked the pieces that the statements below them begin with
     */
    record Found(List<Integer> offered, List<Integer> asked) {}

    static Found find(List<Cues> all) {
        List<Integer> offered = new ArrayList<>();
        List<Integer> asked = new ArrayList<>();
        for (int i = 1; i < all.size(); i++) {
            List<Integer> list = LetteredLists.list(all, i, false);
            if (list.isEmpty()) {
                continue;
            }
            int below = i + list.size();
            // "For each case below choose one cause." may stand between.
            below += told(all, below);
            int last = below < all.size() ? announced(all, i, number(all.get(below))) : 0;
            boolean open = last == 0 && isForEach(all, i);
            List<Integer> statements = last > 0 || open ? statements(all, below, open ? OPEN : last) : List.of();
            if (statements.size() >= (open ? FEWEST : FEWEST_ASKED)) {
                offered.addAll(list);
                asked.addAll(statements);
            }
            i = below - 1;
        }
        return new Found(offered, asked);
    }

    /** How many lines of directions stand there, up to the end of a sentence; they may wrap. */
    private static int told(List<Cues> all, int from) {
        int end = from;
        while (end < all.size()
                && end - from < MOST_TOLD
                && all.get(end).labels().isEmpty()
                && !all.get(end).is(Trait.QUESTION_MARK)) {
            end++;
        }
        return end > from && all.get(end - 1).is(Trait.ENDS_SENTENCE) ? end - from : 0;
    }

    /** Numbers that count on to the last, with nothing lettered below any of them. */
    private static List<Integer> statements(List<Cues> all, int from, int last) {
        TreeMap<Integer, Integer> statements = new TreeMap<>();
        int more = 0;
        for (int i = from; i < all.size(); i++) {
            Cues cues = all.get(i);
            int number = number(cues);
            boolean next = number > 0 && number <= last && (statements.isEmpty() || number == statements.lastKey() + 1);
            boolean room = cues.is(Trait.WRITING_LINE) || cues.is(Trait.OFF_BODY);
            if (next) {
                statements.put(number, i);
                more = 0;
            } else if (!statements.isEmpty() && LetteredLists.entry(cues).isPresent() && statements.lastKey() < last) {
                if (last < OPEN) {
                    return List.of();
                }
                // The first question with options of its own; those above it have none.
                statements.pollLastEntry();
                break;
            } else if (!room && (statements.isEmpty() || !goesOn(cues) || ++more > MOST_TOLD)) {
                break;
            }
        }
        return List.copyOf(statements.values());
    }

    /** "Each question has an assertion and a reason. Choose the right code." above the list, and no number between. */
    private static boolean isForEach(List<Cues> all, int list) {
        for (int i = list - 1; i >= 0 && i >= list - MOST_TOLD; i--) {
            Cues cues = all.get(i);
            if (number(cues) > 0 || cues.is(Trait.GAP) || Vocabulary.ALL.mentions(cues.words(), "match")) {
                return false;
            }
            if (cues.is(Trait.INSTRUCTION_WORD) && Vocabulary.ALL.mentions(cues.words(), "each")) {
                return true;
            }
        }
        return false;
    }

    /** "5. Assertion: …" and below it "Reason: …". */
    private static boolean goesOn(Cues cues) {
        return cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && LetteredLists.entry(cues).isEmpty()
                && !cues.is(Trait.SECTION_WORD)
                && !cues.is(Trait.HEADING);
    }

    private static int number(Cues cues) {
        return cues.labels().stream()
                .filter(label -> label.kind() == Label.Kind.NUMBER)
                .map(Label::ordinal)
                .findFirst()
                .orElse(0);
    }

    /** The last number of "Questions 14–17" above it, which names the first, with no number between; 0 where nothing announces it. */
    private static int announced(List<Cues> all, int list, int first) {
        for (int i = list - 1; i >= 0 && i >= list - FARTHEST_ABOVE; i--) {
            if (number(all.get(i)) > 0) {
                return 0;
            }
            Matcher range = TraitFinder.RANGE.matcher(all.get(i).text());
            if (range.matches() && Integer.parseInt(range.group(1)) == first) {
                return Integer.parseInt(range.group(2));
            }
        }
        return 0;
    }
}
