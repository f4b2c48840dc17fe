package org.tidyleaf.reading;

import java.util.stream.Collectors;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;

/**
 * A reading as text that a person can check: sections with what they tell, passages, questions with their pictures, options or
 * answers and what is said of them, and snags.
 */
final class Shown {

    private Shown() {}

    static String reading(Reading reading) {
        StringBuilder text = new StringBuilder(reading.title()).append('\n').append(questions(reading, true));
        reading.snags()
                .forEach(snag -> text.append("! ")
                        .append(snag.kind())
                        .append(" line ")
                        .append(snag.line())
                        .append('\n'));
        return tidy(text.toString());
    }

    /** The sections, passages and questions alone, without pictures, feedback, hints and what sections tell. */
    static String questions(Reading reading) {
        return questions(reading, false);
    }

    private static String questions(Reading reading, boolean all) {
        StringBuilder text = new StringBuilder();
        int section = -1;
        int passage = -1;
        for (ReadQuestion read : reading.questions()) {
            var particulars = read.question().particulars();
            if (particulars.section() != section) {
                section = particulars.section();
                text.append("== ")
                        .append(
                                section < 0
                                        ? ""
                                        : reading.sections().get(section).title())
                        .append('\n');
                text.append(all && section >= 0 ? told(reading, section) : "");
            }
            if (particulars.stimulus() != passage) {
                passage = particulars.stimulus();
                String words =
                        passage < 0 ? "" : reading.stimuli().get(passage).text().plain();
                text.append("-- ")
                        .append(words, 0, Math.min(40, words.length()))
                        .append('\n');
            }
            text.append(question(read.question()))
                    .append(all ? beside(read.question()) : "")
                    .append('\n');
        }
        return text.toString();
    }

    private static String told(Reading reading, int section) {
        String told = reading.sections().get(section).instructions().plain();
        return told.isEmpty() ? "" : "   (" + told + ")\n";
    }

    /** The pictures of a question, its feedback and hint, and what is said of its options. */
    private static String beside(Question question) {
        var particulars = question.particulars();
        StringBuilder text = new StringBuilder();
        int pictures = particulars.stem().pictures().size();
        text.append(pictures == 0 ? "" : "\n    pictures: " + pictures);
        if (question instanceof ChoiceQuestion choice) {
            for (int i = 0; i < choice.options().size(); i++) {
                text.append(note("of option " + (i + 1), choice.options().get(i).feedback()));
            }
        }
        return text.append(note("feedback", particulars.feedback()))
                .append(note("hint", particulars.hint()))
                .toString();
    }

    private static String note(String name, Prose said) {
        return said.isEmpty() ? "" : "\n    " + name + ": " + said.plain();
    }

    static String tidy(String text) {
        return text.strip().lines().map(String::stripTrailing).collect(Collectors.joining("\n"));
    }

    private static String question(Question question) {
        var particulars = question.particulars();
        String head = particulars.number() + " " + question.type().label()
                + particulars
                        .points()
                        .map(points -> " " + points.toPlainString() + "p")
                        .orElse("") + " "
                + particulars.stem().plain();
        return head + (question instanceof ChoiceQuestion choice ? options(choice) : answer(question));
    }

    private static String options(ChoiceQuestion choice) {
        StringBuilder options = new StringBuilder();
        for (int i = 0; i < choice.options().size(); i++) {
            options.append("\n    ")
                    .append(choice.key().contains(i) ? "*" : "-")
                    .append(' ')
                    .append(option(choice.options().get(i).text()));
        }
        return options.toString();
    }

    /** An option's words; of one that is a picture that it has one. */
    private static String option(Prose text) {
        boolean picture = text.plain().isBlank() && !text.pictures().isEmpty();
        return picture ? "(picture)" : text.plain();
    }

    private static String answer(Question question) {
        String answer = AnswerText.of(question);
        return answer.isEmpty() ? "" : "\n    = " + answer.replace("\n", "\n    = ");
    }
}
