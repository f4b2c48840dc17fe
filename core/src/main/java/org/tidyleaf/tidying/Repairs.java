package org.tidyleaf.tidying;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Section;
import org.tidyleaf.reading.Entry;
import org.tidyleaf.reading.Reading;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.Snag;
import org.tidyleaf.reading.Wording;

/** For each kind of snag whether it still holds after the edits, and the likely ways to settle it. */
final class Repairs {

    private static final Pattern PRINTED_TOTAL = Pattern.compile("/\\s*(\\d{1,4})\\s*$");
    private static final BigDecimal HALF = new BigDecimal("0.5");

    private Repairs() {}

    /** Whether what the reader said of a question is still so. */
    static boolean holds(Snag snag, Question question) {
        return switch (snag.kind()) {
            case "duplicate-option" ->
                question instanceof ChoiceQuestion choice && firstDouble(choice).isPresent();
            case "one-option" ->
                question instanceof ChoiceQuestion choice && choice.options().size() == 1;
            case "empty-stem" -> question.particulars().stem().isEmpty();
            case "figure-absent" -> question.particulars().stem().pictures().isEmpty();
            default -> true;
        };
    }

    static List<Tidied.Repair> of(Reading reading, Quiz quiz, Snag snag, String id) {
        List<Integer> line = List.of(snag.line());
        return switch (snag.kind()) {
            case "left-over" ->
                List.of(
                        new Tidied.Repair("It is a passage", new Decision.PinLines(line, Role.STIMULUS, false)),
                        new Tidied.Repair("It goes on from above", new Decision.PinLines(line, Role.STEM, true)));
            case "figure-nowhere" ->
                List.of(new Tidied.Repair(
                        "It belongs to the question above", new Decision.PinLines(line, Role.FIGURE, false)));
            case "empty-stem" -> List.of(new Tidied.Repair("Join it to the one above", new Decision.Merge(id)));
            case "one-option" ->
                List.of(
                        new Tidied.Repair("The answer is typed", new Decision.ChangeType(id, QuestionType.TEXT_ENTRY)),
                        new Tidied.Repair("Join it to the one above", new Decision.Merge(id)));
            case "duplicate-option" -> withoutDouble(quiz, id).map(List::of).orElse(List.of());
            case "points-total" -> total(reading, quiz, snag).map(List::of).orElse(List.of());
            default -> List.of();
        };
    }

    /** The 0-based place of the first option that says what one before it says. */
    private static Optional<Integer> firstDouble(ChoiceQuestion choice) {
        List<String> seen = new ArrayList<>();
        for (Option option : choice.options()) {
            String text = option.text().plain();
            if (!text.isEmpty() && seen.contains(text)) {
                return Optional.of(seen.size());
            }
            seen.add(text);
        }
        return Optional.empty();
    }

    private static Optional<Tidied.Repair> withoutDouble(Quiz quiz, String id) {
        return quiz.questions().stream()
                .filter(question -> question.id().equals(id))
                .filter(ChoiceQuestion.class::isInstance)
                .map(ChoiceQuestion.class::cast)
                .findFirst()
                .flatMap(choice -> firstDouble(choice).map(place -> {
                    List<Decision.SetOptions.Kept> kept = new ArrayList<>();
                    for (int i = 0; i < choice.options().size(); i++) {
                        if (i != place) {
                            kept.add(new Decision.SetOptions.Kept(
                                    i, choice.options().get(i).text().typed()));
                        }
                    }
                    return new Tidied.Repair("Leave the second out", new Decision.SetOptions(id, kept));
                }));
    }

    /** Whether the questions' points, as they are now, add up to the printed total that the snag speaks of. */
    static boolean totalFits(Reading reading, Quiz quiz, Snag snag) {
        Matcher printed =
                PRINTED_TOTAL.matcher(reading.ledger().get(snag.line() - 1).text());
        BigDecimal sum = quiz.questions().stream().map(Marker::most).reduce(BigDecimal.ZERO, BigDecimal::add);
        return printed.find() && new BigDecimal(printed.group(1)).compareTo(sum) == 0;
    }

    private static Optional<Tidied.Repair> total(Reading reading, Quiz quiz, Snag snag) {
        Matcher printed =
                PRINTED_TOTAL.matcher(reading.ledger().get(snag.line() - 1).text());
        if (!printed.find()) {
            return Optional.empty();
        }
        List<BigDecimal> shares = Spreading.shares(
                new BigDecimal(printed.group(1)), quiz.questions().size(), HALF);
        return shares.isEmpty()
                ? Optional.empty()
                : Optional.of(new Tidied.Repair(
                        "Share " + printed.group(1) + " points out evenly",
                        Spreading.decision(quiz.questions(), shares)));
    }

    /** "Underline the …" on a screen: said of the question as it is now, with the screen's own word offered. */
    static Optional<Tidied.OpenSnag> paperWording(Question question, int line) {
        String typed = question.particulars().stem().typed();
        return Wording.onPaper(typed).map(words -> {
            List<Tidied.Repair> repairs = Wording.onScreen(typed, question.type())
                    .map(text -> new Tidied.Repair(
                            "Say \u201c" + start(text) + "\u201d", new Decision.EditStem(question.id(), text)))
                    .map(List::of)
                    .orElse(List.of());
            String message = "\u201c" + words + "\u201d can only be done on paper. Say it for the screen.";
            return new Tidied.OpenSnag("paper-wording", question.id(), line, message, false, repairs);
        });
    }

    /** The same for the instructions of a section; its place is the line that they stand in. */
    static Optional<Tidied.OpenSnag> paperInstructions(Reading reading, Quiz quiz, int place) {
        Section section = quiz.sections().get(place);
        String typed = section.instructions().typed();
        QuestionType type = quiz.questions().stream()
                .filter(question -> question.particulars().section() == place)
                .map(Question::type)
                .findFirst()
                .orElse(QuestionType.SINGLE_CHOICE);
        return Wording.onPaper(typed).map(words -> {
            List<Tidied.Repair> repairs = Wording.onScreen(typed, type)
                    .map(text -> new Tidied.Repair(
                            "Say \u201c" + start(text) + "\u201d",
                            new Decision.EditSection(place, section.title(), text)))
                    .map(List::of)
                    .orElse(List.of());
            int line = reading.ledger().stream()
                    .filter(entry ->
                            entry.role() == Role.INSTRUCTION && entry.text().contains(words))
                    .map(Entry::line)
                    .findFirst()
                    .orElse(1);
            String message = "The instructions say \u201c" + words + "\u201d, which can only be done on paper.";
            return new Tidied.OpenSnag("paper-wording", "", line, message, false, repairs);
        });
    }

    private static String start(String text) {
        String[] words = text.split("\\s+");
        return String.join(" ", List.of(words).subList(0, Math.min(4, words.length))) + " \u2026";
    }
}
