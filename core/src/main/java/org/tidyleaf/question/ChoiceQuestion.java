package org.tidyleaf.question;

import java.util.List;
import java.util.Set;

/** A question answered by choosing among printed options. */
public sealed interface ChoiceQuestion extends Question permits SingleChoice, MultipleChoice, TrueFalse {

    /** In printed order, at least one. */
    List<Option> options();

    /** The 0-based places of the right options; empty where nobody has said. */
    Set<Integer> key();

    ChoiceQuestion withKey(Set<Integer> key);

    ChoiceQuestion withOptions(List<Option> options);

    /** Whether more than one option may be chosen. */
    default boolean takesSeveral() {
        return type() == QuestionType.MULTIPLE_CHOICE;
    }

    @Override
    default boolean isKeyed() {
        return !key().isEmpty();
    }

    @Override
    default <R> R match(Cases<R> cases) {
        return cases.choice(this);
    }

    /** Throws if a key names an option that is not there. */
    static void check(List<Option> options, Set<Integer> key) {
        for (int place : key) {
            if (place < 0 || place >= options.size()) {
                throw new IllegalArgumentException("no option " + place + " among " + options.size());
            }
        }
    }
}
