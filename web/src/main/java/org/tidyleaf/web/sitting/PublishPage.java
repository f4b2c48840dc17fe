package org.tidyleaf.web.sitting;

import java.math.BigDecimal;
import java.util.List;
import java.util.UUID;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.tidying.Tidied;
import org.tidyleaf.web.leaf.OpenLeaf;

/**
 * What stands before publishing.
 *
 * @param blocking places to mend first, each with its question's number
 * @param lastEdition number of the last edition, 0 where there is none
 * @param instructions what the paper says above all sections, proposed as words before they begin
 * @param byHand questions that a person will have to mark
 */
record PublishPage(
        UUID leaf,
        String title,
        int questions,
        String points,
        int byHand,
        int lastEdition,
        List<Blocker> blocking,
        int advisory,
        String instructions) {

    /** A place to mend. */
    record Blocker(String number, String question, String message) {}

    public boolean isReady() {
        return blocking.isEmpty() && questions > 0;
    }

    static PublishPage of(OpenLeaf leaf, int lastEdition) {
        Quiz quiz = leaf.tidied().quiz();
        List<Blocker> blocking = leaf.tidied().blocking().stream()
                .map(snag -> new Blocker(number(quiz, snag), snag.question(), snag.message()))
                .toList();
        BigDecimal points = quiz.questions().stream().map(Marker::most).reduce(BigDecimal.ZERO, BigDecimal::add);
        return new PublishPage(
                leaf.id(),
                quiz.title(),
                quiz.questions().size(),
                points.stripTrailingZeros().toPlainString(),
                (int) quiz.questions().stream()
                        .filter(ExtendedText.class::isInstance)
                        .count(),
                lastEdition,
                blocking,
                leaf.tidied().snags().size() - blocking.size(),
                leaf.tidied().reading().preamble());
    }

    private static String number(Quiz quiz, Tidied.OpenSnag snag) {
        for (int i = 0; i < quiz.questions().size(); i++) {
            Question question = quiz.questions().get(i);
            if (question.id().equals(snag.question())) {
                String printed = question.particulars().number();
                return printed.isEmpty() ? String.valueOf(i + 1) : printed;
            }
        }
        return "";
    }
}
