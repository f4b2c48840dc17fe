package org.tidyleaf.exchange;

import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.Wording;

/** Where the words to put into gaps are printed: above what is asked, below its first line, or with the passage. */
final class PrintedBanks {

    private final Quiz quiz;

    PrintedBanks(Quiz quiz) {
        this.quiz = quiz;
    }

    /** A gapped text without an instruction of its own has its words above it, below what the section says. */
    static boolean isBankFirst(Question question) {
        return question instanceof GapMatch gaps
                && instructionEnd(gaps.particulars().stem()) < 0;
    }

    /** Where the line that says what to do with the words ends; -1 where the gaps begin with the first line. */
    static int instructionEnd(Prose stem) {
        int end = stem.typed().indexOf('\n');
        return end < 0 || stem.cut(0, end).gapCount() > 0 ? -1 : end;
    }

    boolean isBankInPassage(GapMatch gaps) {
        int stimulus = gaps.particulars().stimulus();
        return stimulus >= 0
                && Wording.lists(quiz.stimuli().get(stimulus).text().plain(), gaps.words());
    }

    /** Neighbours that share their words have them printed once. */
    boolean isBankPrinted(GapMatch gaps, int place) {
        return place > 0
                && quiz.questions().get(place - 1) instanceof GapMatch above
                && isBankFirst(above)
                && above.words().equals(gaps.words())
                && above.particulars().section() == gaps.particulars().section()
                && above.particulars().number().isEmpty()
                        == gaps.particulars().number().isEmpty();
    }

    /** Sentences are lettered below their text, for their own commas and stops would part them in a line. */
    static boolean areSentences(GapMatch gaps) {
        return gaps.words().stream().anyMatch(word -> word.matches(".*[.?!,;].*"));
    }
}
