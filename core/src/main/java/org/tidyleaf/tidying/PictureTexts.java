package org.tidyleaf.tidying;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.SomeCases;

/**
 * The texts of a question that may hold pictures, in the order in which they are shown: its own text, then its options, the
 * two sides of its pairs, its steps, or its statements and columns. Decisions name them by their 0-based places here.
 */
public final class PictureTexts {

    private PictureTexts() {}

    /** @param name as a teacher would call it: "option B" */
    public record Text(String name, Prose prose) {}

    public static List<Text> of(Question question) {
        List<Text> texts = new ArrayList<>();
        texts.add(new Text("the question", question.particulars().stem()));
        question.match(new Named(texts));
        return texts;
    }

    /** The question with one of its texts changed; itself where it has none of that place. */
    static Question with(Question question, int part, UnaryOperator<Prose> change) {
        if (part == 0) {
            return question.withParticulars(question.particulars()
                    .withStem(change.apply(question.particulars().stem())));
        }
        return question.match(new Changed(part - 1, change));
    }

    private record Named(List<Text> texts) implements SomeCases<Void> {

        private Void add(String name, List<Prose> proses) {
            for (int i = 0; i < proses.size(); i++) {
                texts.add(new Text(name + " " + (i + 1), proses.get(i)));
            }
            return null;
        }

        @Override
        public Void choice(ChoiceQuestion question) {
            for (int i = 0; i < question.options().size(); i++) {
                Option option = question.options().get(i);
                texts.add(new Text("option " + option.letter(i), option.text()));
            }
            return null;
        }

        @Override
        public Void match(Match question) {
            add("left side,", question.lefts());
            return add("right side,", question.targets());
        }

        @Override
        public Void order(Order question) {
            return add("step", question.items());
        }

        @Override
        public Void grid(Grid question) {
            add("statement", question.rows());
            return add("column", question.columns());
        }

        @Override
        public Void otherwise(Question question) {
            return null;
        }
    }

    /** @param place 0-based, behind the question's own text */
    private record Changed(int place, UnaryOperator<Prose> change) implements SomeCases<Question> {

        private List<Prose> in(List<Prose> proses, int at) {
            List<Prose> changed = new ArrayList<>(proses);
            if (at >= 0 && at < changed.size()) {
                changed.set(at, change.apply(changed.get(at)));
            }
            return changed;
        }

        @Override
        public Question choice(ChoiceQuestion question) {
            List<Option> options = new ArrayList<>(question.options());
            if (place < 0 || place >= options.size()) {
                return question;
            }
            Option option = options.get(place);
            options.set(place, option.withText(change.apply(option.text())));
            return question.withOptions(options);
        }

        @Override
        public Question match(Match question) {
            return new Match(
                    question.particulars(),
                    in(question.lefts(), place),
                    in(question.targets(), place - question.lefts().size()),
                    question.key());
        }

        @Override
        public Question order(Order question) {
            return new Order(question.particulars(), in(question.items(), place), question.key());
        }

        @Override
        public Question grid(Grid question) {
            return new Grid(
                    question.particulars(),
                    in(question.columns(), place - question.rows().size()),
                    in(question.rows(), place),
                    question.key());
        }

        @Override
        public Question otherwise(Question question) {
            return question;
        }
    }
}
