package org.tidyleaf.exchange;

import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.question.NumberRange;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.TrueFalse;

/** The numbers and letters before questions and before the passages they share. */
final class PrintedLabels {

    private final Quiz quiz;
    private final PrintedSections sections;
    private final PrintedLeads leads;
    private final boolean renumbered;

    PrintedLabels(Quiz quiz, PrintedSections sections) {
        this.quiz = quiz;
        this.sections = sections;
        leads = new PrintedLeads(quiz);
        renumbered = hasCollision();
    }

    /** What stands above lettered parts has their number; other passages have none. */
    String label(int stimulus) {
        return renumbered ? "" : leads.label(stimulus);
    }

    /** A passage without what the one above it said already. */
    Prose text(int stimulus) {
        return renumbered ? quiz.stimuli().get(stimulus).text() : leads.text(stimulus);
    }

    /** "6. " or, below the lead of its number, "(a) ". */
    String label(Question question, int place) {
        String number = number(question, place);
        String numbered =
                question.particulars().section() < 0 ? sections.headedAs(number).orElse(number + ". ") : number + ". ";
        return renumbered ? numbered : leads.label(question).orElse(numbered);
    }

    private String number(Question question, int place) {
        String printed = question.particulars().number();
        return printed.isEmpty() || renumbered ? String.valueOf(place + 1) : printed;
    }

    /** Whether a question without a number would be given one that another has; then all are counted anew. */
    private boolean hasCollision() {
        Set<String> printed = quiz.questions().stream()
                .map(question -> question.particulars().number())
                .flatMap(number -> NumberRange.of(number).stream())
                .collect(Collectors.toSet());
        return IntStream.range(0, quiz.questions().size())
                .anyMatch(place ->
                        quiz.questions().get(place).particulars().number().isEmpty()
                                && printed.contains(String.valueOf(place + 1))
                                && !sections.isAskedByHeading(quiz.questions().get(place))
                                && !PrintedBanks.isBankFirst(quiz.questions().get(place)));
    }

    /** Below a lead the letters are those of the parts: what they are judged by stands behind them. */
    boolean isJudgedPart(Question question) {
        return !renumbered
                && question instanceof TrueFalse
                && leads.label(question).isPresent();
    }
}
