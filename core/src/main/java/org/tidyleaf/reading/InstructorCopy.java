package org.tidyleaf.reading;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.MultipleChoice;
import org.tidyleaf.question.Question;

/** A second file that is the same test with its answers: its questions are found again by their stems. */
final class InstructorCopy {

    private final Map<String, ReadQuestion> byStem = new HashMap<>();

    InstructorCopy(Reading copy) {
        copy.questions().stream()
                .filter(read -> read.question().isKeyed() && read.keySource() != KeySource.NONE)
                .forEach(read -> byStem.putIfAbsent(stem(read.question()), read));
    }

    /** Whether it holds an answer for at least half of the questions. */
    boolean fits(List<ReadQuestion> questions) {
        long known = questions.stream()
                .filter(read -> byStem.containsKey(stem(read.question())))
                .count();
        return known > 0 && known * 2 >= questions.size();
    }

    /** The question with the copy's key, where it lacks one of its own. */
    ReadQuestion keyed(ReadQuestion read) {
        ReadQuestion copy = byStem.get(stem(read.question()));
        if (copy == null || read.question().isKeyed() && read.keySource() != KeySource.NONE) {
            return read;
        }
        return merged(read.question(), copy.question())
                .map(question -> read.keyed(question, KeySource.SEPARATE, "the copy with the answers says so"))
                .orElse(read);
    }

    private static Optional<Question> merged(Question own, Question copy) {
        if (own instanceof ChoiceQuestion choice && copy instanceof ChoiceQuestion keyed) {
            Set<Integer> key = keyed.key();
            boolean same = choice.options().size() == keyed.options().size();
            return same
                    ? Optional.of(choice.takesSeveral() || key.size() == 1 ? choice.withKey(key) : several(choice, key))
                    : Optional.empty();
        }
        // Without options the copy knows better how the answer is given.
        return own instanceof ChoiceQuestion ? Optional.empty() : Optional.of(copy.withParticulars(own.particulars()));
    }

    private static Question several(ChoiceQuestion choice, Set<Integer> key) {
        return new MultipleChoice(choice.particulars(), choice.options(), key);
    }

    private static String stem(Question question) {
        return AnswerParser.bare(question.particulars().stem().plain());
    }
}
