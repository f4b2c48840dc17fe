package org.tidyleaf.web.sitting;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.SomeCases;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;

/**
 * What a later state of a leaf says about the questions of a sitting: other keys, other points. Only where what the
 * candidate was asked is still the same; a question that reads otherwise now is marked as it was.
 *
 * @param quiz the sitting's questions with the later keys and points
 * @param changes the numbers of the questions whose marking differs
 */
record Correction(Quiz quiz, List<String> changes) {

    /** What the candidate chooses or fills in, without what is right. */
    private static final SomeCases<Object> ASKED = new SomeCases<>() {
        @Override
        public Object choice(ChoiceQuestion question) {
            return question.options().stream()
                    .map(option -> option.text().plain())
                    .toList();
        }

        @Override
        public Object textEntry(TextEntry question) {
            return question.gaps().size();
        }

        @Override
        public Object match(Match question) {
            return List.of(question.lefts(), question.targets());
        }

        @Override
        public Object order(Order question) {
            return question.items();
        }

        @Override
        public Object grid(Grid question) {
            return List.of(question.columns(), question.rows());
        }

        @Override
        public Object gapMatch(GapMatch question) {
            return question.words();
        }

        @Override
        public Object tableEntry(TableEntry question) {
            return question.rows();
        }

        @Override
        public Object hottext(Hottext question) {
            return question.text();
        }

        @Override
        public Object pictureLabel(PictureLabel question) {
            return question.labels();
        }

        @Override
        public Object numericEntry(NumericEntry question) {
            return "number";
        }

        @Override
        public Object otherwise(Question question) {
            return "words";
        }
    };

    /** @param sat what the candidates answered; {@code later} the leaf as it is now */
    static Correction of(Quiz sat, Quiz later) {
        Map<String, Question> byId = new HashMap<>();
        later.questions().forEach(question -> byId.put(question.id(), question));
        List<Question> questions = new ArrayList<>();
        List<String> changes = new ArrayList<>();
        for (int i = 0; i < sat.questions().size(); i++) {
            Question before = sat.questions().get(i);
            Question now = Optional.ofNullable(byId.get(before.id()))
                    .filter(found -> isSameAsked(before, found))
                    .map(found -> found.withParticulars(
                            before.particulars().withPoints(found.particulars().points())))
                    .orElse(before);
            if (!now.equals(before)) {
                String printed = before.particulars().number();
                changes.add(printed.isEmpty() ? String.valueOf(i + 1) : printed);
            }
            questions.add(now);
        }
        return new Correction(sat.withQuestions(questions), changes);
    }

    private static boolean isSameAsked(Question before, Question now) {
        return before.type() == now.type()
                && now.isKeyed()
                && before.match(ASKED).equals(now.match(ASKED));
    }
}
