package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.Alternatives;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.KeyHeadings;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.PrintedPairs;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;

/** Lines that count exercises, by a word, numerals, capitals or numbers, and what each of them counts below it. */
final class CountedExercises {

    private static final Pattern COUNTED = Pattern.compile("(?:(?<word>\\p{Lu}\\p{L}{2,20})\\s(?<number>\\d{1,2})"
            + "|(?<numeral>[IVX]{1,4})|(?<letter>[A-H])|(?<bare>\\d{1,2}))"
            + "\\s?(?:(?<sign>[.:)\u2013\u2014-])(?<told>.*)|\\s*[(\\[].*|)");

    private static final List<String> NUMERALS = List.of("I", "II", "III", "IV", "V", "VI", "VII", "VIII", "IX", "X");

    private static final int LONGEST_HEAD = 200;

    /** Between a head and its list stand no more lines than an instruction, some words to use and an example. */
    private static final int FARTHEST = 3;

    private CountedExercises() {}

    /** What the heads of a series are counted with. */
    enum By {
        WORD,
        NUMERAL,
        LETTER,
        NUMBER
    }

    /**
     * One exercise.
     *
     * @param head the piece of its head
     * @param directs whether the head, or a line right below it, says what to do with each
     * @param items what it counts, in its order; empty where it counts nothing
     * @param ask whether most of that can be seen to ask
     */
    record Exercise(int head, boolean directs, List<Seen> items, boolean ask) {

        Label first() {
            return items.get(0).label();
        }

        boolean isLettered() {
            return !items.isEmpty() && first().kind() == Label.Kind.LETTER;
        }

        boolean isNumbered() {
            return !items.isEmpty() && first().kind() == Label.Kind.NUMBER;
        }
    }

    /** Exercises that are counted alike, from the first on. */
    record Series(By by, List<Exercise> exercises) {}

    private record Head(int piece, boolean directs) {}

    /** All series of at least two. */
    static List<Series> find(List<Cues> all) {
        Map<String, List<Head>> heads = new TreeMap<>();
        Map<String, By> kinds = new TreeMap<>();
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
            By by = by(counted);
            String key = by + " " + counted.group("word") + " " + counted.group("sign");
            List<Head> above = heads.computeIfAbsent(key, none -> new ArrayList<>());
            if (ordinal(counted) == above.size() + 1) {
                kinds.put(key, by);
                above.add(new Head(i, directs(all, i, counted)));
            }
        }
        List<Series> series = new ArrayList<>();
        heads.forEach((key, counted) -> {
            if (counted.size() > 1) {
                series.add(new Series(kinds.get(key), exercises(all, counted)));
            }
        });
        return series;
    }

    private static By by(Matcher counted) {
        if (counted.group("word") != null) {
            return By.WORD;
        }
        if (counted.group("bare") != null) {
            return By.NUMBER;
        }
        return counted.group("numeral") != null ? By.NUMERAL : By.LETTER;
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

    private static List<Exercise> exercises(List<Cues> all, List<Head> heads) {
        List<Exercise> exercises = new ArrayList<>();
        int end = end(all, heads.get(heads.size() - 1).piece());
        int last = 0;
        for (int i = 0; i < heads.size(); i++) {
            int from = heads.get(i).piece();
            int to = i + 1 < heads.size() ? heads.get(i + 1).piece() : end;
            List<Seen> items = items(all, from, to, last);
            boolean ask = items.size() > 1 && areQuestions(all, items, from, to);
            exercises.add(new Exercise(from, heads.get(i).directs(), items, ask));
            last = items.isEmpty() ? last : items.get(items.size() - 1).label().ordinal();
        }
        return exercises;
    }

    /** Where the last exercise ends: with the paper, or where its answers begin. */
    private static int end(List<Cues> all, int last) {
        for (int i = last + 1; i < all.size(); i++) {
            if (KeyHeadings.isHeading(all, i)) {
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
    private static List<Seen> items(List<Cues> all, int head, int to, int last) {
        if (head + 1 >= to
                || asksForPairsOrOrder(all.get(head))
                || all.get(head + 1).labels().isEmpty() && asksForPairsOrOrder(all.get(head + 1))) {
            return List.of();
        }
        for (int i = head + 1; i < Math.min(to, head + 1 + FARTHEST); i++) {
            Cues cues = all.get(i);
            Optional<Label> first = counter(cues, 1).or(() -> last > 0 ? goingOn(cues, last) : Optional.empty());
            if (first.isPresent()) {
                List<Seen> run = run(all, i, to, first.get());
                // A lone letter is an option, or a word.
                return run.size() > 1 || first.get().kind() == Label.Kind.NUMBER ? run : List.of();
            }
        }
        return List.of();
    }

    /** A number behind the last one, perhaps further on: pairs between may have the others. */
    private static Optional<Label> goingOn(Cues cues, int last) {
        return cues.number()
                .filter(label -> label.ordinal() > last)
                .flatMap(label -> counter(cues, label.ordinal()))
                .filter(label -> label.kind() == Label.Kind.NUMBER);
    }

    private static boolean asksForPairsOrOrder(Cues cues) {
        return Directions.asksForOrder(cues) || Directions.asksToMatch(cues);
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
                        .filter(label -> label.kind() == Label.Kind.NUMBER && !Label.isWorded(label.shape())
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
                || Directions.asksToExplain(said)
                || Alternatives.hasAlternatives(cues.text())
                || PrintedPairs.endsWithPair(cues.text())
                || PointsFinder.beside(cues.text()).isPresent();
    }
}
