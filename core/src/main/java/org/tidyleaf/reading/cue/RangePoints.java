package org.tidyleaf.reading.cue;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.wording.Vocabulary;

/** "Questions 1 to 3 carry 1 mark each; questions 4 and 5 carry 3 marks each": what the questions of some numbers are worth. */
public final class RangePoints {

    private static final Pattern RANGE = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("question")
            + "\\p{L}{0,3}\\.?\\s*(?:" + Vocabulary.ALL.either("column_number")
            + "\\.?\\s*)?(\\d{1,3})\\s*(?:-|\u2013|\u2014|"
            + Vocabulary.ALL.either("to") + ")\\s*(?:" + Vocabulary.ALL.either("question")
            + "\\p{L}{0,3}\\.?\\s*)?(\\d{1,3})\\b");

    private static final Pattern PASSAGE = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("passage") + "\\b");

    /** In signs: a longer line says something else. */
    private static final int LONGEST = 300;

    private RangePoints() {}

    /** The first and the last number of some questions, and what each of them is worth. */
    private record Worth(int first, int last, BigDecimal points) {}

    /** Gives the questions what lines among the instructions say of them, where they say nothing themselves. */
    public static void share(List<Assigned> roles, List<Draft> questions) {
        List<Worth> said = new ArrayList<>();
        for (Assigned assigned : roles) {
            Role role = assigned.step().role();
            boolean heard =
                    role == Role.INSTRUCTION || role == Role.ASIDE || role == Role.SECTION || role == Role.STIMULUS;
            if (heard) {
                said.addAll(in(assigned.cues().text()));
            }
        }
        for (Draft draft : questions) {
            if (!draft.pointed && draft.number.matches("\\d{1,3}")) {
                int number = Integer.parseInt(draft.number);
                said.stream()
                        .filter(worth -> worth.first() <= number && number <= worth.last())
                        .findFirst()
                        .ifPresent(worth -> draft.points = Optional.of(worth.points()));
            }
        }
    }

    /** Whether a line says of some numbers what their questions are worth, and of no text that it is for them. */
    static boolean says(String text) {
        return !in(text).isEmpty()
                && !PASSAGE.matcher(RANGE.matcher(text).replaceAll(" ")).find();
    }

    private static List<Worth> in(String text) {
        List<Worth> found = new ArrayList<>();
        if (text.length() > LONGEST) {
            return found;
        }
        List<MatchResult> ranges = RANGE.matcher(text).results().toList();
        for (int i = 0; i < ranges.size(); i++) {
            MatchResult range = ranges.get(i);
            int from = i == 0 ? 0 : range.start();
            int to = i + 1 < ranges.size() ? ranges.get(i + 1).start() : text.length();
            // The numbers of the questions are no points.
            String rest = text.substring(from, range.start()) + " " + text.substring(range.end(), to);
            int first = Integer.parseInt(range.group(1));
            int last = Integer.parseInt(range.group(2));
            PointsFinder.each(rest)
                    .filter(points -> first < last)
                    .ifPresent(points -> found.add(new Worth(first, last, points.points())));
        }
        return found;
    }
}
