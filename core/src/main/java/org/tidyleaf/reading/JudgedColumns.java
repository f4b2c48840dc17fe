package org.tidyleaf.reading;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.tidyleaf.source.Emphasis;

/**
 * "True or false?" over rows "1 | Wax melts. | ____", "2 | Bees sleep. | T | F": numbers that count on, statements, and beside them
 * nothing but room or the words to judge by. Each row is a question of its own.
 */
final class JudgedColumns {

    private static final Pattern NUMBER = Pattern.compile("[(]?(\\d{1,3})[.):]?");

    private static final Pattern ROOM = Pattern.compile("[\\s_.\u2026\u2610\u25a1\\[\\]()]*");

    private static final int FEWEST_WORDS = 3;
    private static final int FEWEST_ROWS = 2;

    /** A number, a statement and a place to judge it. */
    private static final int FEWEST_CELLS = 3;

    private static final List<Emphasis> SIGNS =
            List.of(Emphasis.HIGHLIGHT, Emphasis.BOLD, Emphasis.COLOR, Emphasis.UNDERLINE);

    /** The line that says so, or what is to be written, stands so near above. */
    private static final int FARTHEST_LEAD = 3;

    private JudgedColumns() {}

    /** Rows and columns give the place of the first piece in each cell; empty where the table is no such one. */
    static Map<Integer, Columns.Use> find(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        int first = rows.values().iterator().next().values().stream()
                .mapToInt(Integer::intValue)
                .min()
                .orElse(0);
        if (rows.size() < FEWEST_ROWS || !isJudged(all, first)) {
            return Map.of();
        }
        Map<Integer, Columns.Use> uses = new HashMap<>();
        int last = 0;
        for (Map<Integer, Integer> row : rows.values()) {
            Optional<Integer> number = row.values().stream()
                    .filter(piece -> NUMBER.matcher(text(all, piece)).matches())
                    .findFirst();
            Optional<Integer> statement = row.values().stream()
                    .filter(piece -> all.get(piece).words().size() >= FEWEST_WORDS)
                    .findFirst();
            boolean counts = number.isPresent() && ordinal(all, number.get()) == last + 1;
            boolean others = row.values().stream()
                    .filter(piece -> !Optional.of(piece).equals(number)
                            && !Optional.of(piece).equals(statement))
                    .allMatch(piece -> isPlace(all.get(piece)));
            if (!counts || statement.isEmpty() || !others || row.size() < FEWEST_CELLS) {
                return Map.of();
            }
            last++;
            row.values().forEach(piece -> uses.put(piece, new Columns.Use(Columns.Kind.HEAD, "", false)));
            List<Integer> chosen = row.values().stream()
                    .filter(piece -> isChosen(all.get(piece)))
                    .toList();
            if (chosen.size() == 1) {
                uses.put(chosen.get(0), new Columns.Use(Columns.Kind.ANSWER, "", false));
            }
            uses.put(number.get(), new Columns.Use(Columns.Kind.NUMBER, "", true));
            uses.put(statement.get(), new Columns.Use(Columns.Kind.QUESTION, "", false));
        }
        return uses;
    }

    /** Room, or words to judge by; of both in one cell none is set apart. */
    private static boolean isPlace(Cues cues) {
        String text = cues.text().strip();
        return ROOM.matcher(text).matches()
                || AnswerParser.judgement(text).isPresent()
                || cues.line().spans().isEmpty() && PrintedPairs.endsWithPair("x " + text);
    }

    /** A word to judge by that the author set apart, in a cell of its own. */
    private static boolean isChosen(Cues cues) {
        return AnswerParser.judgement(cues.text().strip()).isPresent()
                && SIGNS.stream().anyMatch(cues::isMostly);
    }

    private static boolean isJudged(List<Cues> all, int first) {
        for (int i = first - 1; i >= Math.max(0, first - FARTHEST_LEAD); i--) {
            Cues above = all.get(i);
            if (above.line().layout().cell().isPresent()) {
                return false;
            }
            if (JudgedBy.in(above.text()).isPresent()) {
                // Below a number it is that question's grid.
                return above.number().isEmpty()
                        || HabitFinder.isWorded(above.number().get().shape());
            }
        }
        return false;
    }

    private static int ordinal(List<Cues> all, int piece) {
        return Integer.parseInt(text(all, piece).replaceAll("\\D", ""));
    }

    private static String text(List<Cues> all, int piece) {
        return all.get(piece).text().strip();
    }
}
