package org.tidyleaf.tidying;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.MultipleChoice;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.SingleChoice;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.question.TrueFalse;
import org.tidyleaf.reading.AnswerText;

/** Changes a question's type and keeps what the new type can hold: options and key among choices, the answer's words else. */
final class Retyping {

    private Retyping() {}

    static Question to(Question question, QuestionType type) {
        Particulars particulars = question.particulars();
        List<Option> options = options(question);
        Set<Integer> key = question instanceof ChoiceQuestion choice ? choice.key() : Set.of();
        String answer = AnswerText.of(question);
        return switch (type) {
            case SINGLE_CHOICE -> new SingleChoice(particulars, options, key.size() > 1 ? Set.of() : key);
            case MULTIPLE_CHOICE -> new MultipleChoice(particulars, options, key);
            case TRUE_FALSE -> trueFalse(particulars, options, key);
            case TEXT_ENTRY ->
                new TextEntry(
                        particulars,
                        AnswerText.gaps(answer, Math.max(1, particulars.stem().gapCount())));
            case NUMERIC_ENTRY -> new NumericEntry(particulars, AnswerText.number(answer));
            case EXTENDED_TEXT -> new ExtendedText(particulars, Prose.written(answer));
            case HOTTEXT ->
                new Hottext(
                        particulars,
                        answer.lines().filter(line -> !line.isBlank()).toList());
            // Pairs, rows and banks can't be made of another type's parts; their type is read, not chosen.
            case MATCH, ORDER, GRID, GAP_MATCH, TABLE_ENTRY, PICTURE_LABEL -> question;
        };
    }

    private static List<Option> options(Question question) {
        if (question instanceof ChoiceQuestion choice) {
            return choice.options();
        }
        return List.of(plain("True"), plain("False"));
    }

    private static Question trueFalse(Particulars particulars, List<Option> options, Set<Integer> key) {
        boolean two = options.size() == 2;
        Optional<Integer> kept = key.stream().filter(i -> i < 2).findFirst();
        return new TrueFalse(
                particulars,
                two ? options : List.of(plain("True"), plain("False")),
                two && key.size() == 1 ? kept.map(Set::of).orElse(Set.of()) : Set.of());
    }

    private static Option plain(String word) {
        return new Option("", Prose.of(word), Prose.EMPTY);
    }
}
