package org.tidyleaf.web.review;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.tidyleaf.question.OptionOrder;
import org.tidyleaf.question.PartialMarks;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.Settings;
import org.tidyleaf.question.WordLimits;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.tidying.Spreading;

/** What can be changed for many questions at once. A value that makes no sense changes nothing. */
enum ManyChange {
    POINTS("points each"),
    TOTAL("points in all, shared out"),
    TYPE("answered by"),
    SECTION("section"),
    NEW_SECTION("a new section called"),
    TOPIC("topic"),
    LABEL("a note for you"),
    REQUIRED("must be answered"),
    ORDER("order of the options"),
    PARTIAL("marks for part of it"),
    WORDS("words to write"),
    DELETE("delete them");

    private static final BigDecimal HALF = new BigDecimal("0.5");

    private final String words;

    ManyChange(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    List<Decision> decisions(List<Question> questions, String value) {
        return switch (this) {
            case POINTS ->
                points(value)
                        .map(points -> each(questions, question -> new Decision.SetPoints(question.id(), points)))
                        .orElse(List.of());
            case TOTAL ->
                points(value)
                        .map(total -> Spreading.shares(total, questions.size(), HALF))
                        .filter(shares -> !shares.isEmpty())
                        .map(shares -> List.of(Spreading.decision(questions, shares)))
                        .orElse(List.of());
            case TYPE ->
                QuestionType.labelled(value)
                        .map(type -> each(questions, question -> new Decision.ChangeType(question.id(), type)))
                        .orElse(List.of());
            case SECTION ->
                value.matches("\\d{1,4}")
                        ? each(questions, question -> new Decision.Assign(question.id(), Integer.parseInt(value)))
                        : List.of();
            case NEW_SECTION ->
                value.isBlank()
                        ? List.of()
                        : List.of(new Decision.AddSection(
                                value, questions.stream().map(Question::id).toList()));
            case TOPIC -> settings(questions, old -> old.withTopic(value));
            case LABEL -> settings(questions, old -> old.withLabels(withMore(old.labels(), value)));
            case REQUIRED -> settings(questions, old -> old.withRequired(value.equals("true")));
            case ORDER ->
                named(OptionOrder.values(), value)
                        .map(order -> settings(questions, old -> old.withOrder(order)))
                        .orElse(List.of());
            case PARTIAL -> settings(questions, old -> old.withPartial(named(PartialMarks.values(), value)));
            case WORDS ->
                WordLimits.typed(value)
                        .map(limits -> settings(questions, old -> old.withWords(limits)))
                        .orElse(List.of());
            case DELETE -> each(questions, question -> new Decision.Delete(question.id()));
        };
    }

    private static Optional<BigDecimal> points(String value) {
        return value.matches("\\d{1,3}([.,]\\d{1,2})?")
                ? Optional.of(new BigDecimal(value.replace(',', '.')))
                : Optional.empty();
    }

    private static List<Decision> each(List<Question> questions, Function<Question, Decision> decision) {
        return questions.stream().map(decision).toList();
    }

    private static List<Decision> settings(List<Question> questions, Function<Settings, Settings> change) {
        return each(
                questions,
                question -> new Decision.SetUp(
                        question.id(), change.apply(question.particulars().settings())));
    }

    /** No note twice; an empty one takes all away. */
    private static List<String> withMore(List<String> labels, String label) {
        if (label.isEmpty()) {
            return List.of();
        }
        List<String> all = new ArrayList<>(labels);
        if (!all.contains(label)) {
            all.add(label);
        }
        return all;
    }

    private static <E extends Enum<E>> Optional<E> named(E[] all, String name) {
        return List.of(all).stream().filter(one -> one.name().equals(name)).findFirst();
    }
}
