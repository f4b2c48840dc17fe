package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/** "Question 2" on a line of its own and below it "C", or "the queen is old": an answer without a number of its own. */
final class AnswersBelowHeads {

    private static final Pattern HEAD =
            Vocabulary.pattern(Vocabulary.ALL.either("question") + "\\s+(\\d{1,3})\\s*[.:)\u2013-]?\\s*");

    /** A longer answer would have parts. */
    private static final int MOST_LINES = 3;

    private AnswersBelowHeads() {}

    /** The answer to a question, which may stand in several lines. */
    record Answer(String number, List<Integer> lines) {}

    /**
     * Such answers from a piece on, by the place of the head.
     *
     * @param start where the list of answers begins
     */
    static Map<Integer, Answer> find(List<Cues> all, int start) {
        Map<Integer, Answer> answers = new TreeMap<>();
        for (int i = start; i < all.size(); i++) {
            Optional<String> number = number(all.get(i));
            List<Integer> below = number.isPresent() ? below(all, i) : List.of();
            if (isAnswer(all, below) && !headsExercise(all, i, start)) {
                answers.put(i, new Answer(number.orElseThrow(), below));
            }
        }
        return answers;
    }

    private static Optional<String> number(Cues cues) {
        boolean possible = cues.line().layout().cell().isEmpty() && !cues.is(Trait.OFF_BODY);
        return possible ? number(cues.text()) : Optional.empty();
    }

    /** The number of "Question 2" and nothing else. */
    static Optional<String> number(String heading) {
        Matcher head = HEAD.matcher(heading);
        return head.matches() ? Optional.of(head.group(1)) : Optional.empty();
    }

    /** Down to the next head, and no further than an answer may reach. */
    private static List<Integer> below(List<Cues> all, int head) {
        List<Integer> below = new ArrayList<>();
        for (int i = head + 1; i < all.size() && below.size() <= MOST_LINES; i++) {
            if (number(all.get(i)).isPresent()) {
                return below;
            }
            below.add(i);
        }
        return below;
    }

    private static boolean isAnswer(List<Cues> all, List<Integer> below) {
        return !below.isEmpty()
                && below.size() <= MOST_LINES
                && below.stream()
                        .allMatch(piece -> all.get(piece).line().layout().cell().isEmpty())
                && below.stream().noneMatch(piece -> namesPart(all.get(piece)));
    }

    /** "(a) wax", "i. wax", "1. wax"; "B. wax" is an option with its words. */
    private static boolean namesPart(Cues cues) {
        return cues.is(Trait.OFF_BODY)
                || cues.labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.NUMBER
                                || label.kind() == Label.Kind.CODE
                                || !label.printed().isEmpty()
                                        && Character.isLowerCase(label.printed().charAt(0)));
    }

    /** Whether the test has an exercise of that name that counts what it asks. */
    private static boolean headsExercise(List<Cues> all, int head, int start) {
        String name = all.get(head).text();
        return all.subList(0, Math.min(start, all.size())).stream()
                .anyMatch(cues -> cues.is(Trait.EXERCISE_HEAD) && cues.text().startsWith(name));
    }
}
