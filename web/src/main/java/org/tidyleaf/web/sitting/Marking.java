package org.tidyleaf.web.sitting;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.tidyleaf.marking.Mark;
import org.tidyleaf.marking.MarkRules;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.AnswerText;

/** A sitting's scripts as a person marks them. */
record Marking(UUID sitting, UUID leaf, Quiz quiz, MarkRules rules, List<ResultTable.Answers> scripts) {

    /**
     * One question that a person marks.
     *
     * @param waiting how many answers wait for their points
     */
    public record Open(String id, String number, String stem, int waiting, int given) {}

    /**
     * One candidate's answer to it.
     *
     * @param points given so far, or empty
     */
    public record Given(UUID script, String candidate, String answer, String points, String note) {

        /** How many words it has, parted by blanks. */
        public int words() {
            return answer.isBlank() ? 0 : answer.strip().split("\\s+").length;
        }
    }

    /** The questions that a person marks, in order. */
    List<Open> open() {
        return quiz.questions().stream()
                .filter(ExtendedText.class::isInstance)
                .map(question -> {
                    List<Given> answers = answers(question);
                    int waiting = (int) answers.stream()
                            .filter(given -> given.points().isEmpty())
                            .count();
                    return new Open(
                            question.id(),
                            number(question),
                            question.particulars().stem().plain(),
                            waiting,
                            answers.size());
                })
                .toList();
    }

    Optional<Question> question(String id) {
        return quiz.questions().stream()
                .filter(question -> question.id().equals(id))
                .findFirst();
    }

    String number(Question question) {
        String printed = question.particulars().number();
        return printed.isEmpty() ? String.valueOf(quiz.questions().indexOf(question) + 1) : printed;
    }

    /** The answers handed in, empty ones left out: they earn nothing by themselves. */
    List<Given> answers(Question question) {
        return scripts.stream()
                .filter(ResultTable.Answers::handedIn)
                .filter(script -> !script.responses().of(question.id()).isEmpty())
                .map(script -> given(script, question))
                .toList();
    }

    private Given given(ResultTable.Answers script, Question question) {
        Optional<org.tidyleaf.marking.HandMark> hand =
                Optional.ofNullable(script.marks().get(question.id()));
        Mark mark = Marker.mark(question, script.responses().of(question.id()), hand, rules);
        return new Given(
                script.script(),
                script.candidate(),
                String.join("\n", script.responses().of(question.id()).entered()),
                mark.earned()
                        .map(points -> points.stripTrailingZeros().toPlainString())
                        .orElse(""),
                hand.map(org.tidyleaf.marking.HandMark::note).orElse(""));
    }

    String most(Question question) {
        return Marker.most(question).stripTrailingZeros().toPlainString();
    }

    String model(Question question) {
        return AnswerText.of(question);
    }

    Optional<ResultTable.Answers> script(UUID id) {
        return scripts.stream().filter(script -> script.script().equals(id)).findFirst();
    }
}
