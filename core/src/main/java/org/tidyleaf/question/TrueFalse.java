package org.tidyleaf.question;

import java.util.List;
import java.util.Set;
import org.tidyleaf.source.Sorted;

/** A statement that holds or does not; two options in the words the document prints. */
public record TrueFalse(Particulars particulars, List<Option> options, Set<Integer> key) implements ChoiceQuestion {
    public TrueFalse {
        options = List.copyOf(options);
        key = Sorted.copy(key);
        ChoiceQuestion.check(options, key);
    }

    @Override
    public QuestionType type() {
        return QuestionType.TRUE_FALSE;
    }

    @Override
    public TrueFalse withParticulars(Particulars other) {
        return new TrueFalse(other, options, key);
    }

    @Override
    public TrueFalse withKey(Set<Integer> other) {
        return new TrueFalse(particulars, options, other);
    }

    @Override
    public TrueFalse withOptions(List<Option> other) {
        return new TrueFalse(particulars, other, key);
    }
}
