package org.tidyleaf.question;

import java.util.List;
import java.util.Set;
import org.tidyleaf.source.Sorted;

/** One right answer among several. */
public record SingleChoice(Particulars particulars, List<Option> options, Set<Integer> key) implements ChoiceQuestion {
    public SingleChoice {
        options = List.copyOf(options);
        key = Sorted.copy(key);
        ChoiceQuestion.check(options, key);
    }

    @Override
    public QuestionType type() {
        return QuestionType.SINGLE_CHOICE;
    }

    @Override
    public SingleChoice withParticulars(Particulars other) {
        return new SingleChoice(other, options, key);
    }

    @Override
    public SingleChoice withKey(Set<Integer> other) {
        return new SingleChoice(particulars, options, other);
    }

    @Override
    public SingleChoice withOptions(List<Option> other) {
        return new SingleChoice(particulars, other, key);
    }
}
