package org.tidyleaf.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.AnswerText;

/**
 * A test as a sheet (RFC 4180), one question a row: number, section, type by its name in the standard, question, as many
 * option columns as the longest choice has, the right options' letters or the answer, points, feedback. Pairs, rows and
 * tables stand in the answer as a teacher types them.
 */
public final class Sheet {

    private Sheet() {}

    public static String write(Quiz quiz) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(text, CSVFormat.RFC4180)) {
            csv.printRecords(rows(quiz));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return text.toString();
    }

    /** The heads, then a row for each question. */
    static List<List<String>> rows(Quiz quiz) {
        int most = quiz.questions().stream()
                .filter(ChoiceQuestion.class::isInstance)
                .mapToInt(question -> ((ChoiceQuestion) question).options().size())
                .max()
                .orElse(0);
        List<List<String>> rows = new ArrayList<>();
        rows.add(head(most));
        for (int i = 0; i < quiz.questions().size(); i++) {
            rows.add(row(quiz, quiz.questions().get(i), i, most));
        }
        return rows;
    }

    private static List<String> head(int most) {
        List<String> head = new ArrayList<>(List.of("Number", "Section", "Type", "Question"));
        for (int i = 0; i < most; i++) {
            head.add("Option " + letter(i));
        }
        head.addAll(List.of("Answer", "Points", "Feedback"));
        return head;
    }

    private static char letter(int place) {
        return (char) ('A' + place % 26);
    }

    private static List<String> row(Quiz quiz, Question question, int place, int most) {
        Particulars particulars = question.particulars();
        List<String> row = new ArrayList<>();
        row.add(particulars.number().isEmpty() ? String.valueOf(place + 1) : particulars.number());
        row.add(
                particulars.section() < 0
                        ? ""
                        : quiz.sections().get(particulars.section()).title());
        row.add(question.type().label());
        row.add(harmless(particulars.stem().typed()));
        for (int i = 0; i < most; i++) {
            boolean has = question instanceof ChoiceQuestion choice
                    && i < choice.options().size();
            row.add(
                    has
                            ? harmless(((ChoiceQuestion) question)
                                    .options()
                                    .get(i)
                                    .text()
                                    .typed())
                            : "");
        }
        row.add(question instanceof ChoiceQuestion choice ? letters(choice) : harmless(AnswerText.of(question)));
        row.add(particulars
                .points()
                .map(points -> points.stripTrailingZeros().toPlainString())
                .orElse(""));
        row.add(harmless(particulars.feedback().plain()));
        return row;
    }

    private static String letters(ChoiceQuestion choice) {
        return String.join(
                ", ",
                choice.key().stream()
                        .sorted()
                        .map(place -> String.valueOf(letter(place)))
                        .toList());
    }

    /** A text must not run as a formula in the teacher's spreadsheet (OWASP, CSV injection); numbers stay numbers. */
    private static String harmless(String text) {
        boolean number = text.matches("[-+]?\\d+([.,]\\d+)?");
        return !number && text.matches("(?s)[=+\\-@\\t\\r].*") ? "'" + text : text;
    }
}
