package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.Cues.Trait;

/**
 * "Exercise 1: Choose …" over "1) …  2) …", "Exercise 2: Complete …" over "a. …  b. …": each exercise counts what it asks in a way
 * of its own. What is counted below all of them are questions alike.
 */
final class Exercises {

    /** What all questions below such heads have for a shape. */
    private static final String SHAPE = "9each";

    /** What all parts of numbered questions have for one. */
    static final String SHAPE_OF_PARTS = "a each";

    private static final String BY_NUMBER = "number";

    private static final Pattern COUNTED = Pattern.compile(
            "(?:(?<word>\\p{Lu}\\p{L}{2,20})\\s(?<number>\\d{1,2})|(?<numeral>[IVX]{1,4})|(?<letter>[A-H])|(?<bare>\\d{1,2}))\\s?(?:(?<sign>[.:)\u2013\u2014-])(?<told>.*)|\\s*[(\\[].*|)");

    private static final List<String> NUMERALS = List.of("I", "II", "III", "IV", "V", "VI", "VII", "VIII", "IX", "X");

    private static final int LONGEST_HEAD = 200;

    /** Between a head and its list stand no more lines than an instruction, some words to use and an example. */
    private static final int FARTHEST = 3;

    private Exercises() {}

    private record Head(int piece, int ordinal, boolean directs) {}

    /**
     * What one exercise counts, in its order.
     *
     * @param ask whether most of it can be seen to ask
     */
    private record Items(int head, List<Seen> questions, boolean ask) {

        Label first() {
            return questions.get(0).label();
        }
    }

    static void label(List<Cues> all) {
        for (Map.Entry<String, List<Head>> counted : series(all).entrySet()) {
            List<Head> heads = counted.getValue();
            long directing = heads.stream().filter(Head::directs).count();
            if (heads.size() < 2) {
                continue;
            }
            List<Items> lists = lists(all, heads);
            long asking = lists.stream().filter(Items::ask).count();
            boolean sure = asking == heads.size()
                    || directing > 0 && asking * 3 >= heads.size() * 2
                    || directing * 2 >= heads.size();
            if (asking > 1 && asking * 2 >= heads.size() && sure && differ(counted.getKey(), lists)) {
                boolean parts = counted.getKey().startsWith(BY_NUMBER);
                if (parts || isMixed(lists) || areLetters(lists)) {
                    lists.stream().filter(items -> !parts || items.ask()).forEach(items -> mark(all, items, parts));
                }
                if (!parts) {
                    heads.forEach(head -> all.get(head.piece()).traits().add(Trait.EXERCISE_HEAD));
                    heads.stream()
                            .filter(head -> isOverText(all, head.piece()))
                            .forEach(head -> all.get(head.piece()).traits().add(Trait.SECTION_WORD));
                    lists.forEach(items -> markHead(all, items.head()));
                }
                return;
            }
        }
    }

    /** Whether there is more below a head than the answers of the whole paper. */
    private static boolean isOverText(List<Cues> all, int head) {
        return head + 1 < all.size() && all.get(head + 1).lead().isEmpty() && !KeyListFinder.isHeading(all, head + 1);
    }

    /** Whether no single way of counting does for all; where all are letters they are parts of what a word or a number counts. */
    private static boolean differ(String counted, List<Items> lists) {
        if (counted.startsWith(BY_NUMBER)) {
            return areLetters(lists);
        }
        return counted.startsWith("letter") || counted.startsWith("numeral") || isMixed(lists) && !areLetters(lists);
    }

    private static boolean areLetters(List<Items> lists) {
        return lists.stream().allMatch(items -> items.first().kind() == Label.Kind.LETTER);
    }

    private static boolean isMixed(List<Items> lists) {
        return lists.stream()
                .anyMatch(items ->
                        !items.first().shape().equals(lists.get(0).first().shape()));
    }

    private static void mark(List<Cues> all, Items items, boolean parts) {
        for (Seen seen : items.questions()) {
            Label label = seen.label();
            Label alike = new Label(
                    parts ? Label.Kind.LETTER : Label.Kind.NUMBER,
                    label.ordinal(),
                    label.printed(),
                    parts ? SHAPE_OF_PARTS : SHAPE,
                    label.from(),
                    label.end());
            Cues question = all.get(seen.piece()).withLabels(List.of(alike));
            String said = question.line().text().substring(label.end());
            if (!said.isEmpty() && !Character.isLowerCase(said.charAt(0))) {
                // The letter before it is no word.
                question.traits().remove(Trait.STARTS_LOWER);
            }
            all.set(seen.piece(), question);
        }
    }

    private static void markHead(List<Cues> all, int piece) {
        Cues head = all.get(piece);
        // "Exercise 4: Match …" may number a question beside those that head lists.
        all.set(
                piece,
                head.withLabels(head.labels().stream()
                        .filter(label -> HabitFinder.isWorded(label.shape()))
                        .toList()));
        all.get(piece).traits().add(Trait.SECTION_WORD);
        all.get(piece).traits().remove(Trait.QUESTION_MARK);
    }

    /** Heads by what counts them: a word, numerals, capitals. */
    private static Map<String, List<Head>> series(List<Cues> all) {
        Map<String, List<Head>> series = new TreeMap<>();
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            Matcher counted = COUNTED.matcher(cues.line().text().strip());
            boolean possible = cues.piece().first()
                    && !cues.is(Trait.OFF_BODY)
                    && cues.line().text().length() < LONGEST_HEAD
                    && cues.line().layout().cell().isEmpty()
                    && counted.matches();
            if (!possible || isAmongOptions(all, i)) {
                continue;
            }
            String key = counted.group("word") != null
                    ? counted.group("word")
                    : counted.group("numeral") != null
                            ? "numeral"
                            : counted.group("letter") != null ? "letter" : BY_NUMBER;
            key += Optional.ofNullable(counted.group("sign")).orElse("");
            int ordinal = ordinal(counted);
            List<Head> above = series.computeIfAbsent(key, none -> new ArrayList<>());
            if (ordinal == above.size() + 1) {
                above.add(new Head(i, ordinal, directs(all, i, counted)));
            }
        }
        return series;
    }

    /** Whether the letter before or behind it stands right above or below, and no list begins there. */
    private static boolean isAmongOptions(List<Cues> all, int piece) {
        Optional<Label> letter = capital(all.get(piece));
        boolean overList =
                piece + 1 < all.size() && counter(all.get(piece + 1), 1).isPresent();
        return letter.isPresent()
                && !overList
                && (isBeside(all, piece - 1, letter.get(), -1) || isBeside(all, piece + 1, letter.get(), 1));
    }

    private static boolean isBeside(List<Cues> all, int piece, Label letter, int step) {
        return piece >= 0
                && piece < all.size()
                && capital(all.get(piece))
                        .filter(other -> other.ordinal() == letter.ordinal() + step)
                        .filter(other -> other.shape().equals(letter.shape()))
                        .isPresent();
    }

    private static Optional<Label> capital(Cues cues) {
        return cues.labels().stream()
                .filter(label ->
                        label.kind() == Label.Kind.LETTER && !label.printed().isEmpty())
                .filter(label -> Character.isUpperCase(label.printed().charAt(0)))
                .findFirst();
    }

    private static int ordinal(Matcher counted) {
        String digits = counted.group("number") != null ? counted.group("number") : counted.group("bare");
        if (digits != null) {
            return Integer.parseInt(digits);
        }
        return counted.group("numeral") != null
                ? NUMERALS.indexOf(counted.group("numeral")) + 1
                : counted.group("letter").charAt(0) - 'A' + 1;
    }

    private static boolean directs(List<Cues> all, int piece, Matcher counted) {
        String told = Optional.ofNullable(counted.group("told")).orElse("").strip();
        Cues cues = all.get(piece);
        boolean word = counted.group("word") != null;
        // "Exercise 2" heads what is below it, "Question 2" asks, if it does not tell what to do with each below.
        boolean named = word && cues.is(Trait.SECTION_WORD) && cues.labels().isEmpty();
        boolean apart = !word
                && counted.group("bare") == null
                && (cues.is(Trait.BOLD) || cues.is(Trait.HEADING))
                && !cues.is(Trait.QUESTION_MARK);
        return named
                || apart
                || ExerciseHeads.directs(told)
                || JudgedBy.in(told).isPresent()
                || ExerciseHeads.directsBelow(all, piece)
                || told.isEmpty()
                        && piece + 1 < all.size()
                        && JudgedBy.in(all.get(piece + 1).text()).isPresent();
    }

    private static List<Items> lists(List<Cues> all, List<Head> heads) {
        List<Items> lists = new ArrayList<>();
        int end = end(all, heads.get(heads.size() - 1).piece());
        for (int i = 0; i < heads.size(); i++) {
            int from = heads.get(i).piece();
            int to = i + 1 < heads.size() ? heads.get(i + 1).piece() : end;
            int last = lists.isEmpty()
                    ? 0
                    : lists.get(lists.size() - 1).questions().stream()
                            .mapToInt(seen -> seen.label().ordinal())
                            .max()
                            .orElse(0);
            items(all, from, to, last).ifPresent(lists::add);
        }
        return lists;
    }

    /** Where the last exercise ends: with the paper, or where its answers begin. */
    private static int end(List<Cues> all, int last) {
        for (int i = last + 1; i < all.size(); i++) {
            if (KeyListFinder.isHeading(all, i)) {
                return i;
            }
        }
        return all.size();
    }

    /**
     * What counts on from 1 below a head, or from where the exercise before it ended.
     *
     * @param last the last number of the exercise before
     */
    private static Optional<Items> items(List<Cues> all, int head, int to, int last) {
        if (head + 1 >= to
                || asksForPairsOrOrder(all.get(head))
                || all.get(head + 1).labels().isEmpty() && asksForPairsOrOrder(all.get(head + 1))) {
            return Optional.empty();
        }
        for (int i = head + 1; i < Math.min(to, head + 1 + FARTHEST); i++) {
            Cues cues = all.get(i);
            Optional<Label> first = counter(cues, 1).or(() -> last > 0 ? goingOn(cues, last) : Optional.empty());
            if (first.isPresent()) {
                List<Seen> questions = run(all, i, to, first.get());
                boolean several = questions.size() > 1;
                // A lone letter is an option, or a word.
                return several || !questions.isEmpty() && first.get().kind() == Label.Kind.NUMBER
                        ? Optional.of(new Items(head, questions, several && areQuestions(all, questions, head, to)))
                        : Optional.empty();
            }
        }
        return Optional.empty();
    }

    /** A number behind the last one, perhaps further on: pairs between may have the others. */
    private static Optional<Label> goingOn(Cues cues, int last) {
        return cues.number()
                .filter(label -> label.ordinal() > last)
                .flatMap(label -> counter(cues, label.ordinal()))
                .filter(label -> label.kind() == Label.Kind.NUMBER);
    }

    private static boolean asksForPairsOrOrder(Cues cues) {
        return HabitFinder.asksForOrder(cues) || BlockFinder.asksToMatch(cues);
    }

    private static Optional<Label> counter(Cues cues, int ordinal) {
        boolean possible = cues.piece().first() && cues.line().layout().cell().isEmpty() && !cues.is(Trait.OFF_BODY);
        return possible
                ? cues.labels().stream()
                        .filter(label ->
                                label.ordinal() == ordinal && !label.printed().isEmpty())
                        // "Day: (6) ______": the number of a gap.
                        .filter(label -> cues.line()
                                .text()
                                .substring(cues.piece().segment().from(), label.from())
                                .isBlank())
                        .filter(label -> label.kind() == Label.Kind.NUMBER && !HabitFinder.isWorded(label.shape())
                                || label.kind() == Label.Kind.LETTER
                                        && Character.isLowerCase(label.printed().charAt(0)))
                        .findFirst()
                : Optional.empty();
    }

    private static List<Seen> run(List<Cues> all, int from, int to, Label first) {
        List<Seen> run = new ArrayList<>(List.of(new Seen(from, first)));
        for (int i = from + 1; i < to; i++) {
            Optional<Label> again = counter(all.get(i), first.ordinal());
            if (again.filter(label -> label.shape().equals(first.shape())).isPresent()) {
                // Options look like that too.
                return List.of();
            }
            int piece = i;
            counter(all.get(i), run.get(run.size() - 1).label().ordinal() + 1)
                    .filter(label -> label.shape().equals(first.shape()) && label.kind() == first.kind())
                    .ifPresent(label -> run.add(new Seen(piece, label)));
        }
        return run;
    }

    /** Most ask by themselves, or have their own place to answer, or answers to choose from. */
    private static boolean areQuestions(List<Cues> all, List<Seen> questions, int head, int to) {
        boolean judged = JudgedBy.in(all.get(head).text()).isPresent()
                || JudgedBy.in(all.get(head + 1).text()).isPresent();
        int asking = 0;
        for (int i = 0; i < questions.size(); i++) {
            int from = questions.get(i).piece();
            int end = i + 1 < questions.size() ? questions.get(i + 1).piece() : to;
            asking += asks(all, questions.get(i), end, judged) ? 1 : 0;
        }
        return asking * 3 >= questions.size() * 2;
    }

    private static boolean asks(List<Cues> all, Seen question, int end, boolean judged) {
        Cues cues = all.get(question.piece());
        String said = cues.line().text().substring(question.label().end());
        boolean below = question.piece() + 1 < end
                && (all.get(question.piece() + 1).is(Trait.WRITING_LINE)
                        || all.get(question.piece() + 1).labels().stream()
                                .anyMatch(label -> label.kind() != Label.Kind.NUMBER));
        return below
                || cues.is(Trait.GAP)
                || cues.is(Trait.QUESTION_MARK)
                || cues.text().contains("?")
                || judged && cues.words().size() > 2
                || ExerciseHeads.directs(said)
                || OpenMaker.asksToExplain(said)
                || AlternativesMaker.hasAlternatives(cues.text())
                || PrintedPairs.endsWithPair(cues.text())
                || PointsFinder.beside(cues.text()).isPresent();
    }
}
