package org.tidyleaf.question;

import java.util.List;
import java.util.Set;
import org.tidyleaf.source.Sorted;

/** Any number of right answers among several. */
public record MultipleChoice(Particulars particulars, List<Option> options, Set<Integer> key)
        implements ChoiceQuestion {
    public MultipleChoice {
        options = List.copyOf(options);
        key = Sorted.copy(key);
        ChoiceQuestion.check(options, key);
    }

    @Override
    public QuestionType type() {
        return QuestionType.MULTIPLE_CHOICE;
    }

    @Override
    public MultipleChoice withParticulars(Particulars other) {
        return new MultipleChoice(other, options, key);
    }

    @Override
    public MultipleChoice withKey(Set<Integer> other) {
        return new MultipleChoice(particulars, options, other);
    }

    @Override
    public MultipleChoice withOptions(List<Option> other) {
        return new MultipleChoice(particulars, other, key);
    }
}
