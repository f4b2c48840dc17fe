package org.tidyleaf.reading.cue;

import java.util.List;
import org.tidyleaf.reading.cue.CountedExercises.By;
import org.tidyleaf.reading.cue.CountedExercises.Exercise;
import org.tidyleaf.reading.cue.CountedExercises.Series;
import org.tidyleaf.reading.line.KeyHeadings;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;

/**
 * "Exercise 1: Choose …" over "1) …  2) …", "Exercise 2: Complete …" over "a. …  b. …": each exercise counts what it asks in a way
 * of its own. What is counted below all of them are questions alike, or parts where the exercises are questions themselves.
 */
public final class Exercises {

    /** What all questions below such heads have for a shape. */
    private static final String SHAPE = "9each";

    /** What all parts of numbered questions have for one. */
    public static final String SHAPE_OF_PARTS = "a each";

    private Exercises() {}

    static void label(List<Cues> all) {
        CountedExercises.find(all).stream()
                .filter(Exercises::areInEarnest)
                .filter(series -> areParts(all, series) || countForThemselves(series))
                .findFirst()
                .ifPresent(series -> mark(all, series));
    }

    /** Whether what most of them count asks, and enough of them say what to do with it. */
    private static boolean areInEarnest(Series series) {
        int heads = series.exercises().size();
        long asking = series.exercises().stream().filter(Exercise::ask).count();
        long directing = series.exercises().stream().filter(Exercise::directs).count();
        boolean sure = asking == heads || directing > 0 && asking * 3 >= heads * 2 || directing * 2 >= heads;
        return asking > 1 && asking * 2 >= heads && sure;
    }

    /** Letters below numbers, "2 Complete. a) … b) …", or below words that number questions among others. */
    private static boolean areParts(List<Cues> all, Series series) {
        List<Exercise> exercises = series.exercises();
        long lettered = exercises.stream().filter(Exercise::isLettered).count();
        long numbered = exercises.stream().filter(Exercise::isNumbered).count();
        boolean worded = series.by() == By.WORD
                && exercises.stream()
                        .allMatch(exercise -> all.get(exercise.head()).number().isPresent());
        return series.by() == By.NUMBER && numbered == 0 || worded && lettered >= numbered;
    }

    /** Numerals and capitals head whatever is below them; words do so where no single way of counting does for all. */
    private static boolean countForThemselves(Series series) {
        return switch (series.by()) {
            case NUMERAL, LETTER -> true;
            case NUMBER -> false;
            case WORD -> isMixed(series) && series.exercises().stream().anyMatch(Exercise::isNumbered);
        };
    }

    private static boolean isMixed(Series series) {
        return series.exercises().stream()
                        .filter(exercise -> !exercise.items().isEmpty())
                        .map(exercise -> exercise.first().shape())
                        .distinct()
                        .count()
                > 1;
    }

    private static void mark(List<Cues> all, Series series) {
        List<Exercise> exercises = series.exercises();
        if (areParts(all, series)) {
            exercises.stream()
                    .filter(exercise -> exercise.isLettered() && exercise.ask())
                    .forEach(exercise -> relabel(all, exercise, Label.Kind.LETTER, SHAPE_OF_PARTS));
            return;
        }
        boolean alike = !isMixed(series) && exercises.stream().noneMatch(Exercise::isLettered);
        for (Exercise exercise : exercises) {
            if (!alike) {
                relabel(all, exercise, Label.Kind.NUMBER, SHAPE);
            }
            markHead(all, exercise);
        }
    }

    private static void relabel(List<Cues> all, Exercise exercise, Label.Kind kind, String shape) {
        for (Seen seen : exercise.items()) {
            Label label = seen.label();
            relabel(
                    all,
                    seen.piece(),
                    new Label(kind, label.ordinal(), label.printed(), shape, label.from(), label.end()));
        }
    }

    /** Gives a piece a label instead of all that it may have had. */
    static void relabel(List<Cues> all, int piece, Label label) {
        Cues question = all.get(piece).withLabels(List.of(label));
        String said = question.line().text().substring(label.end());
        if (!said.isEmpty() && !Character.isLowerCase(said.charAt(0))) {
            // The letter before it is no word.
            question.traits().remove(Trait.STARTS_LOWER);
        }
        all.set(piece, question);
    }

    private static void markHead(List<Cues> all, Exercise exercise) {
        int piece = exercise.head();
        Cues head = all.get(piece);
        head.traits().add(Trait.EXERCISE_HEAD);
        if (isOverText(all, piece)) {
            head.traits().add(Trait.SECTION_WORD);
        }
        if (!exercise.items().isEmpty()) {
            head.traits().remove(Trait.QUESTION_MARK);
            // "Exercise 4: Match …" may number a question beside those that head lists.
            all.set(
                    piece,
                    head.withLabels(head.labels().stream()
                            .filter(label -> Label.isWorded(label.shape()))
                            .toList()));
        }
    }

    /** Whether there is more below a head than the answers of the whole paper. */
    private static boolean isOverText(List<Cues> all, int head) {
        return head + 1 < all.size() && all.get(head + 1).lead().isEmpty() && !KeyHeadings.isHeading(all, head + 1);
    }
}
