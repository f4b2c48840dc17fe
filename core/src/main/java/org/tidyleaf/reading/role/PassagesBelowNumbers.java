package org.tidyleaf.reading.role;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.Label;

/** "1. Read the text and answer." over a text, and below it "a) …": the text belongs to the first question, however far from it. */
final class PassagesBelowNumbers {

    private static final int LONGEST_ANNOUNCING = 140;
    private static final int SHORTEST_TEXT = 60;

    private PassagesBelowNumbers() {}

    /** The lines of such texts. */
    static Set<Integer> find(List<Cues> all, Habits habits) {
        Set<Integer> found = new HashSet<>();
        for (int head : habits.chained()) {
            int end = head + 1;
            int length = 0;
            while (end < all.size() && isText(all.get(end))) {
                length += all.get(end).text().length();
                end++;
            }
            boolean lettered = end < all.size() && isFirst(all.get(end));
            if (lettered && length >= SHORTEST_TEXT && (announces(all.get(head)) || announcesBelow(all, head, end))) {
                for (int i = head + 1; i < end; i++) {
                    found.add(i);
                }
            }
        }
        return found;
    }

    /** "Task 3 (5 points)" and nothing else, and below it "Read the text and answer the questions." */
    private static boolean announcesBelow(List<Cues> all, int head, int end) {
        Cues cues = all.get(head);
        String behind = cues.number()
                .map(number -> cues.line()
                        .text()
                        .substring(number.end(), cues.piece().segment().to()))
                .orElse("-");
        return (behind.isBlank() || PointsFinder.isPointsOnly(behind.strip()))
                && end > head + 2
                && announces(all.get(head + 1));
    }

    private static boolean announces(Cues cues) {
        return cues.is(Trait.PASSAGE_WORD)
                && (cues.is(Trait.INSTRUCTION_WORD) || cues.is(Trait.COLON))
                && !cues.is(Trait.QUESTION_MARK)
                && cues.text().length() < LONGEST_ANNOUNCING;
    }

    private static boolean isText(Cues cues) {
        return cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && cues.sign().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && !cues.is(Trait.GAP)
                && !cues.is(Trait.WRITING_LINE)
                && !cues.is(Trait.HEADING)
                && !cues.is(Trait.SECTION_WORD)
                && !cues.is(Trait.OFF_BODY);
    }

    private static boolean isFirst(Cues cues) {
        return cues.labels().stream().anyMatch(label -> label.kind() == Label.Kind.LETTER && label.ordinal() == 1);
    }
}
