package org.tidyleaf.tidying;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.MultipleChoice;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Order;
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

    private static final Pattern PAIR = Pattern.compile("\\s+[-\u2013\u2014=]\\s+|\\s*[\u2192\u21d2]\\s*");

    private Retyping() {}

    static Question to(Question question, QuestionType type) {
        Particulars particulars = question.particulars();
        List<Option> options = options(question);
        Set<Integer> key = key(question);
        String answer = AnswerText.of(question);
        return switch (type) {
            case SINGLE_CHOICE -> new SingleChoice(particulars, options, key.size() > 1 ? Set.of() : key);
            case MULTIPLE_CHOICE -> new MultipleChoice(particulars, options, key);
            case TRUE_FALSE -> trueFalse(particulars, options, key);
            case TEXT_ENTRY ->
                new TextEntry(
                        particulars,
                        AnswerText.gaps(
                                answer.isEmpty() ? keyed(options, key) : answer,
                                Math.max(1, particulars.stem().gapCount())));
            case NUMERIC_ENTRY ->
                new NumericEntry(particulars, AnswerText.number(answer.isEmpty() ? keyed(options, key) : answer));
            case EXTENDED_TEXT -> new ExtendedText(particulars, Prose.written(answer));
            case HOTTEXT ->
                new Hottext(
                        particulars,
                        answer.lines().filter(line -> !line.isBlank()).toList());
            case ORDER -> new Order(particulars, texts(options), List.of());
            case GRID -> grid(particulars, options, key);
            case GAP_MATCH -> gapMatch(particulars, options, question, key);
            case MATCH -> match(question, options);
            // A table and a picture with labels can't be made of another type's parts; their type is read, not chosen.
            case TABLE_ENTRY, PICTURE_LABEL -> question;
        };
    }

    private static List<Prose> texts(List<Option> options) {
        return options.stream().map(Option::text).toList();
    }

    /** What stands to choose from, whatever the type; two judgements where there is nothing. */
    private static List<Option> options(Question question) {
        if (question instanceof ChoiceQuestion choice) {
            return choice.options();
        }
        List<Prose> parts = parts(question);
        return parts.isEmpty()
                ? List.of(plain("True"), plain("False"))
                : IntStream.range(0, parts.size())
                        .mapToObj(i -> new Option(String.valueOf((char) ('A' + i % 26)), parts.get(i), Prose.EMPTY))
                        .toList();
    }

    private static List<Prose> parts(Question question) {
        if (question instanceof Order order) {
            return order.items();
        }
        if (question instanceof Grid grid) {
            return grid.rows();
        }
        if (question instanceof GapMatch bank) {
            return bank.words().stream().map(Prose::of).toList();
        }
        if (question instanceof Match match) {
            return match.targets();
        }
        if (question instanceof TextEntry entry) {
            return entry.gaps().stream().flatMap(List::stream).map(Prose::of).toList();
        }
        return List.of();
    }

    /** The places of what is right among the options above. */
    private static Set<Integer> key(Question question) {
        if (question instanceof ChoiceQuestion choice) {
            return choice.key();
        }
        if (question instanceof GapMatch bank && bank.key().size() == 1) {
            int place = bank.words().indexOf(bank.key().get(0));
            return place < 0 ? Set.of() : Set.of(place);
        }
        boolean oneSpelling = question instanceof TextEntry entry
                && entry.gaps().size() == 1
                && entry.gaps().get(0).size() == 1;
        return oneSpelling ? Set.of(0) : Set.of();
    }

    /** The right options' texts, a line each. */
    private static String keyed(List<Option> options, Set<Integer> key) {
        return key.stream()
                .sorted()
                .map(place -> options.get(place).text().plain())
                .collect(Collectors.joining("\n"));
    }

    /** Each option becomes a statement to judge. */
    private static Question grid(Particulars particulars, List<Option> options, Set<Integer> key) {
        List<Set<Integer>> judged = key.isEmpty()
                ? List.of()
                : IntStream.range(0, options.size())
                        .mapToObj(i -> Set.of(key.contains(i) ? 0 : 1))
                        .toList();
        return new Grid(particulars, List.of(Prose.of("True"), Prose.of("False")), texts(options), judged);
    }

    /** The options become the bank; a text without a gap gets one at its end. */
    private static Question gapMatch(
            Particulars particulars, List<Option> options, Question question, Set<Integer> key) {
        Prose stem = particulars.stem();
        Particulars gapped = stem.gapCount() > 0
                ? particulars
                : particulars.withStem(stem.plus(List.of(new Inline.Text(" ", Set.of()), new Inline.Gap(1))));
        List<String> words =
                options.stream().map(o -> o.text().plain()).distinct().toList();
        List<String> right = question instanceof TextEntry entry
                ? entry.gaps().stream()
                        .flatMap(spellings -> spellings.stream().limit(1))
                        .toList()
                : key.stream().sorted().map(i -> options.get(i).text().plain()).toList();
        boolean fits = right.size() == gapped.stem().gapCount();
        return new GapMatch(gapped, words, fits ? right : List.of());
    }

    /** Options that say two things joined by a dash or an arrow become pairs; others can't. */
    private static Question match(Question question, List<Option> options) {
        List<String[]> halves = options.stream()
                .map(option -> PAIR.split(option.text().plain(), 2))
                .toList();
        if (halves.stream().anyMatch(half -> half.length < 2)) {
            return question;
        }
        List<Prose> lefts =
                halves.stream().map(half -> Prose.of(half[0].strip())).toList();
        List<Prose> targets =
                halves.stream().map(half -> Prose.of(half[1].strip())).toList();
        List<Integer> key = IntStream.range(0, lefts.size()).boxed().toList();
        return new Match(question.particulars(), lefts, targets, key);
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
