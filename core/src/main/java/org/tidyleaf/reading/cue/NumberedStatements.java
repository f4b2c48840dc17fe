package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;

/**
 * "2. Are these sentences true or false?" over "1) Drones have a sting.", "2) …", and then "3. Name two …": statements that one
 * question of several counts from 1 are rows to tick in, and no questions of the paper.
 */
final class NumberedStatements {

    private static final Pattern NUMBER =
            Pattern.compile("\\s*[(\\[]?(\\d{1,2})(?:[.):\\]]|(?=\\s+[\\p{Lu}\"\u201c\u201e\u00ab\u00bf]))\\s+(?=\\S)");

    private static final int FEWEST = 2;
    private static final int FEWEST_WORDS = 3;

    private NumberedStatements() {}

    static void label(List<Cues> all) {
        List<List<Label>> found = new ArrayList<>();
        List<Integer> places = new ArrayList<>();
        for (int i = 0; i + FEWEST < all.size(); i++) {
            List<Label> statements = judges(all.get(i)) ? statements(all, i) : List.of();
            if (statements.size() >= FEWEST && isOneOfSeveral(all, i, statements.size())) {
                found.add(statements);
                places.add(i + 1);
            }
        }
        for (int i = 0; i < found.size(); i++) {
            for (int place = 0; place < found.get(i).size(); place++) {
                Exercises.relabel(all, places.get(i) + place, found.get(i).get(place));
            }
        }
    }

    private static boolean judges(Cues cues) {
        return cues.number().filter(number -> !Label.isWorded(number.shape())).isPresent()
                && cues.line().layout().cell().isEmpty()
                && JudgedBy.in(cues.text()).isPresent();
    }

    /** The labels of the lines right below that count from 1, each a statement. */
    private static List<Label> statements(List<Cues> all, int head) {
        List<Label> labels = new ArrayList<>();
        for (int i = head + 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            int from = cues.piece().segment().from();
            Matcher number = NUMBER.matcher(cues.line().text())
                    .region(from, cues.piece().segment().to());
            boolean next = cues.piece().first()
                    && cues.line().layout().cell().isEmpty()
                    && number.lookingAt()
                    && !isNextQuestion(all, head, i)
                    && Integer.parseInt(number.group(1)) == labels.size() + 1
                    && cues.words().size() > FEWEST_WORDS
                    && !cues.is(Trait.QUESTION_MARK)
                    && !cues.is(Trait.OFF_BODY);
            if (!next) {
                break;
            }
            labels.add(new Label(Label.Kind.BOX, 0, "[ ]", Label.Kind.BOX.name(), from, number.end()));
        }
        return labels;
    }

    /** Whether it goes on from the question itself, and no later line does: "4. …" below "3. True or false?" and three statements. */
    private static boolean isNextQuestion(List<Cues> all, int head, int piece) {
        Label own = all.get(head).number().orElseThrow();
        return isNext(all.get(piece), own)
                && all.subList(piece + 1, all.size()).stream().noneMatch(later -> isNext(later, own));
    }

    private static boolean isNext(Cues cues, Label own) {
        return cues.number().filter(label -> isNext(label, own)).isPresent();
    }

    private static boolean isNext(Label label, Label above) {
        return label.shape().equals(above.shape()) && label.ordinal() == above.ordinal() + 1;
    }

    /** Whether the question goes on from one above, or the next number below its statements goes on from it. */
    private static boolean isOneOfSeveral(List<Cues> all, int head, int statements) {
        Label own = all.get(head).number().orElseThrow();
        boolean inner = all.get(head + 1)
                .number()
                .filter(label -> label.shape().equals(own.shape()))
                .isPresent();
        Optional<Label> below = all.subList(head + statements + 1, all.size()).stream()
                .flatMap(cues -> cues.number().stream())
                .findFirst();
        boolean goesOn = below.filter(next -> isNext(next, own)).isPresent();
        boolean follows = all.subList(0, head).stream()
                .flatMap(cues -> cues.number().stream())
                .reduce((first, second) -> second)
                .filter(last -> isNext(own, last))
                .isPresent();
        // Exercises count from 1 again and again.
        boolean once = all.get(head + 1)
                .number()
                .filter(label -> begun(all, label.shape()) > (inner ? 2 : 1))
                .isEmpty();
        return inner && !once ? goesOn && follows : once && (goesOn || follows && below.isEmpty());
    }

    private static long begun(List<Cues> all, String shape) {
        return all.stream()
                .flatMap(cues -> cues.number().stream())
                .filter(label -> label.shape().equals(shape) && label.ordinal() == 1)
                .count();
    }
}
