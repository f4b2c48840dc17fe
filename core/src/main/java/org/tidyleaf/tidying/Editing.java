package org.tidyleaf.tidying;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Section;
import org.tidyleaf.question.Stimulus;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.reading.AnswerText;

/** Lays one decision over a quiz. Decisions about the source, and about questions that are not there, change nothing. */
final class Editing {

    private Editing() {}

    static Quiz apply(Quiz quiz, Decision decision) {
        if (decision instanceof Decision.Take take) {
            return take.quiz();
        }
        if (decision instanceof Decision.Rename rename) {
            return quiz.withTitle(rename.title());
        }
        if (decision instanceof Decision.EditSection edit) {
            return withSection(quiz, edit);
        }
        if (decision instanceof Decision.AddSection add) {
            List<Section> sections = new ArrayList<>(quiz.sections());
            sections.add(new Section(add.title(), Prose.EMPTY));
            Quiz wider = new Quiz(quiz.title(), sections, quiz.stimuli(), quiz.questions());
            for (String question : add.questions()) {
                wider = Arranging.assigned(wider, new Decision.Assign(question, sections.size() - 1));
            }
            return wider;
        }
        if (decision instanceof Decision.EditPassage edit) {
            return withPassage(quiz, edit);
        }
        if (decision instanceof Decision.Assign assign) {
            return Arranging.assigned(quiz, assign);
        }
        if (decision instanceof Decision.MovePicture move) {
            return Picturing.moved(quiz, move);
        }
        if (decision instanceof Decision.Delete delete) {
            return quiz.withQuestions(quiz.questions().stream()
                    .filter(question -> !question.id().equals(delete.question()))
                    .toList());
        }
        if (decision instanceof Decision.Add
                || decision instanceof Decision.Duplicate
                || decision instanceof Decision.Move
                || decision instanceof Decision.Merge) {
            return Arranging.apply(quiz, decision);
        }
        if (decision instanceof Decision.SetAllPoints all) {
            return quiz.withQuestions(quiz.questions().stream()
                    .map(question -> withPoints(question, all.points()))
                    .toList());
        }
        return one(quiz, decision);
    }

    private static Quiz withSection(Quiz quiz, Decision.EditSection edit) {
        if (edit.section() < 0 || edit.section() >= quiz.sections().size()) {
            return quiz;
        }
        List<Section> sections = new ArrayList<>(quiz.sections());
        Prose instructions = sections.get(edit.section()).instructions().edited(edit.instructions());
        sections.set(edit.section(), new Section(edit.title(), instructions));
        return new Quiz(quiz.title(), sections, quiz.stimuli(), quiz.questions());
    }

    private static Quiz withPassage(Quiz quiz, Decision.EditPassage edit) {
        if (edit.passage() < 0 || edit.passage() >= quiz.stimuli().size()) {
            return quiz;
        }
        List<Stimulus> stimuli = new ArrayList<>(quiz.stimuli());
        stimuli.set(
                edit.passage(), new Stimulus(stimuli.get(edit.passage()).text().edited(edit.text())));
        return new Quiz(quiz.title(), quiz.sections(), stimuli, quiz.questions());
    }

    private static Quiz one(Quiz quiz, Decision decision) {
        if (decision instanceof Decision.EditStem edit) {
            return change(quiz, edit.question(), question -> withStem(question, edit.text()));
        }
        if (decision instanceof Decision.EditOption edit) {
            return change(quiz, edit.question(), question -> withOption(question, edit));
        }
        if (decision instanceof Decision.SetOptions set) {
            return change(quiz, set.question(), question -> withOptions(question, set.options()));
        }
        if (decision instanceof Decision.SetKey set) {
            return change(quiz, set.question(), question -> withKey(question, set.key()));
        }
        if (decision instanceof Decision.SetAnswer set) {
            return change(quiz, set.question(), question -> question.match(new Answering(set.text())));
        }
        if (decision instanceof Decision.EditParts edit) {
            return change(quiz, edit.question(), question -> Parts.edited(question, edit.sides()));
        }
        if (decision instanceof Decision.ChangeType type) {
            return change(quiz, type.question(), question -> Retyping.to(question, type.type()));
        }
        if (decision instanceof Decision.SetUp set) {
            return change(
                    quiz,
                    set.question(),
                    question -> question.withParticulars(question.particulars().withSettings(set.settings())));
        }
        if (decision instanceof Decision.SetPicture set) {
            return change(quiz, set.question(), question -> Picturing.with(question, set));
        }
        if (decision instanceof Decision.SetPoints set) {
            return change(quiz, set.question(), question -> withPoints(question, set.points()));
        }
        return quiz;
    }

    private static Quiz change(Quiz quiz, String id, UnaryOperator<Question> edit) {
        return quiz.withQuestions(quiz.questions().stream()
                .map(question -> question.id().equals(id) ? edit.apply(question) : question)
                .toList());
    }

    private static Question withPoints(Question question, BigDecimal points) {
        return question.withParticulars(question.particulars().withPoints(Optional.of(points)));
    }

    private static Question withStem(Question question, String text) {
        Prose stem = question.particulars().stem().edited(text);
        Question edited = question.withParticulars(question.particulars().withStem(stem));
        return edited instanceof TextEntry entry ? fitGaps(entry) : edited;
    }

    /** As many answers as the new text has gaps: the first ones stay, further ones wait for their answer. */
    private static TextEntry fitGaps(TextEntry entry) {
        int wanted = Math.max(1, entry.particulars().stem().gapCount());
        List<List<String>> gaps = new ArrayList<>(
                entry.gaps().subList(0, Math.min(wanted, entry.gaps().size())));
        while (gaps.size() < wanted) {
            gaps.add(List.of());
        }
        return new TextEntry(entry.particulars(), gaps);
    }

    private static Question withOption(Question question, Decision.EditOption edit) {
        if (question instanceof ChoiceQuestion choice
                && edit.option() < choice.options().size()) {
            List<Option> options = new ArrayList<>(choice.options());
            Option old = options.get(edit.option());
            options.set(edit.option(), old.withText(old.text().edited(edit.text())));
            return choice.withOptions(options);
        }
        return question;
    }

    private static Question withOptions(Question question, List<Decision.SetOptions.Kept> kept) {
        if (!(question instanceof ChoiceQuestion choice) || kept.isEmpty()) {
            return question;
        }
        List<Option> options = new ArrayList<>();
        Set<Integer> key = new HashSet<>();
        boolean lettered =
                choice.options().stream().noneMatch(option -> option.label().isEmpty());
        for (Decision.SetOptions.Kept one : kept) {
            boolean old = one.from() >= 0 && one.from() < choice.options().size();
            Option before = old ? choice.options().get(one.from()) : new Option("", Prose.EMPTY, Prose.EMPTY);
            String letter = lettered ? letter(choice.options().get(0).label(), options.size()) : "";
            if (old && choice.key().contains(one.from())) {
                key.add(options.size());
            }
            options.add(new Option(letter, before.text().edited(one.text()), before.feedback()));
        }
        return choice.withKey(Set.of()).withOptions(options).withKey(key);
    }

    /** The letter of a 0-based place, in the case of the first one. */
    private static String letter(String first, int place) {
        char start = Character.isLowerCase(first.charAt(0)) ? 'a' : 'A';
        return String.valueOf((char) (start + place % 26));
    }

    private static Question withKey(Question question, Set<Integer> key) {
        if (!(question instanceof ChoiceQuestion choice)
                || key.stream().anyMatch(i -> i < 0 || i >= choice.options().size())) {
            return question;
        }
        return choice.withKey(key);
    }

    /** A typed answer in the way each type understands it. */
    private record Answering(String text) implements Question.Cases<Question> {

        @Override
        public Question choice(ChoiceQuestion question) {
            return question;
        }

        @Override
        public Question textEntry(TextEntry question) {
            return new TextEntry(
                    question.particulars(),
                    AnswerText.gaps(text, question.gaps().size()));
        }

        @Override
        public Question numericEntry(NumericEntry question) {
            return new NumericEntry(question.particulars(), AnswerText.number(text));
        }

        @Override
        public Question extendedText(ExtendedText question) {
            return new ExtendedText(question.particulars(), Prose.written(text));
        }

        @Override
        public Question match(Match question) {
            List<Integer> key = AnsweredParts.pairs(text, question.lefts(), question.targets());
            return new Match(question.particulars(), question.lefts(), question.targets(), key);
        }

        @Override
        public Question order(Order question) {
            return new Order(question.particulars(), question.items(), AnsweredParts.order(text, question.items()));
        }

        @Override
        public Question grid(Grid question) {
            List<Set<Integer>> key = AnsweredParts.pairs(text, question.rows(), question.columns()).stream()
                    .map(Set::of)
                    .toList();
            return new Grid(question.particulars(), question.columns(), question.rows(), key);
        }

        @Override
        public Question gapMatch(GapMatch question) {
            List<String> words = text.lines()
                    .map(String::strip)
                    .filter(word -> !word.isEmpty())
                    .toList();
            boolean fits = words.size() == question.particulars().stem().gapCount();
            return new GapMatch(question.particulars(), question.words(), fits ? words : List.of());
        }

        @Override
        public Question tableEntry(TableEntry question) {
            List<List<String>> gaps = AnswerText.gaps(text, question.gaps().size());
            return new TableEntry(question.particulars(), question.rows(), gaps);
        }

        @Override
        public Question hottext(Hottext question) {
            List<String> spans = text.lines()
                    .map(String::strip)
                    .filter(span -> !span.isEmpty())
                    .toList();
            return new Hottext(question.particulars(), spans);
        }

        @Override
        public Question pictureLabel(PictureLabel question) {
            List<List<String>> gaps = AnswerText.gaps(text, question.labels().size());
            return new PictureLabel(question.particulars(), question.labels(), question.words(), gaps);
        }
    }
}
