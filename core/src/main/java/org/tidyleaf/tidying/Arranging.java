package org.tidyleaf.tidying;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.SingleChoice;

/** Adds, copies, moves and joins whole questions. */
final class Arranging {

    /** A new choice begins with so many empty options. */
    private static final int NEW_OPTIONS = 3;

    private Arranging() {}

    static Quiz apply(Quiz quiz, Decision decision) {
        List<Question> questions = new ArrayList<>(quiz.questions());
        if (decision instanceof Decision.Add add) {
            add(questions, add);
        } else if (decision instanceof Decision.Duplicate copy) {
            int at = place(questions, copy.question());
            if (at >= 0) {
                questions.add(at + 1, withId(questions.get(at), copy.id()));
            }
        } else if (decision instanceof Decision.Move move) {
            move(questions, move);
        } else if (decision instanceof Decision.Merge merge) {
            merge(questions, merge.question());
        }
        return quiz.withQuestions(questions);
    }

    private static int place(List<Question> questions, String id) {
        for (int i = 0; i < questions.size(); i++) {
            if (questions.get(i).id().equals(id)) {
                return i;
            }
        }
        return -1;
    }

    /** It joins the section and the passage of the question it stands behind. */
    private static void add(List<Question> questions, Decision.Add add) {
        int at = place(questions, add.after());
        Optional<Particulars> above =
                at < 0 ? Optional.empty() : Optional.of(questions.get(at).particulars());
        Particulars particulars = new Particulars(
                add.id(),
                "",
                Prose.EMPTY,
                Optional.empty(),
                above.map(Particulars::section).orElse(-1),
                above.map(Particulars::stimulus).orElse(-1),
                Prose.EMPTY,
                Prose.EMPTY);
        List<Option> options = new ArrayList<>();
        for (int i = 0; i < NEW_OPTIONS; i++) {
            options.add(new Option(String.valueOf((char) ('A' + i)), Prose.EMPTY, Prose.EMPTY));
        }
        Question question = new SingleChoice(particulars, options, Set.of());
        questions.add(at + 1, Retyping.to(question, add.type()));
    }

    static Quiz assigned(Quiz quiz, Decision.Assign assign) {
        List<Question> questions = new ArrayList<>(quiz.questions());
        int from = place(questions, assign.question());
        if (from < 0
                || assign.section() < 0
                || assign.section() >= quiz.sections().size()) {
            return quiz;
        }
        Question question = questions.get(from);
        if (question.particulars().section() == assign.section()) {
            return quiz;
        }
        questions.remove(from);
        int to = questions.size();
        while (to > 0 && questions.get(to - 1).particulars().section() > assign.section()) {
            to--;
        }
        questions.add(
                to,
                question.withParticulars(question.particulars()
                        .placed(assign.section(), question.particulars().stimulus())));
        return quiz.withQuestions(questions);
    }

    private static Question withId(Question question, String id) {
        return question.withParticulars(question.particulars().withId(id));
    }

    /** A question that passes into another section or passage belongs there. */
    private static void move(List<Question> questions, Decision.Move move) {
        int from = place(questions, move.question());
        int to = from + move.by();
        if (from < 0 || to < 0 || to >= questions.size()) {
            return;
        }
        Question moved = questions.remove(from);
        Particulars neighbour = questions.get(move.by() > 0 ? to - 1 : to).particulars();
        questions.add(to, moved.withParticulars(moved.particulars().placed(neighbour.section(), neighbour.stimulus())));
    }

    private static void merge(List<Question> questions, String id) {
        int at = place(questions, id);
        if (at < 1) {
            return;
        }
        Question upper = questions.get(at - 1);
        Question lower = questions.remove(at);
        List<Inline> behind = new ArrayList<>();
        boolean text = !lower.particulars().stem().isEmpty();
        if (text && !upper.particulars().stem().isEmpty()) {
            behind.add(new Inline.Break());
        }
        behind.addAll(lower.particulars().stem().parts());
        Question joined = upper.withParticulars(
                upper.particulars().withStem(upper.particulars().stem().plus(behind)));
        questions.set(at - 1, withOptions(joined, lower));
    }

    private static Question withOptions(Question upper, Question lower) {
        if (!(lower instanceof ChoiceQuestion from)) {
            return upper;
        }
        if (!(upper instanceof ChoiceQuestion to)) {
            return lower.withParticulars(upper.particulars());
        }
        List<Option> options = new ArrayList<>(to.options());
        options.addAll(from.options());
        return to.withOptions(options);
    }
}
