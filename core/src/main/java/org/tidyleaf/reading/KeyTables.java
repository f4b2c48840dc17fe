package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.tidyleaf.source.Cell;

/** Tables of numbers and their answers: side by side, or numbers in one row and answers in the row below. */
final class KeyTables {

    /** Fewer rows below the heads may be anything. */
    private static final int SEVERAL = 3;

    private KeyTables() {}

    /** A number as printed, with the letter of its part if it has one, and the cell that answers it. */
    record Answer(String number, Cues said) {}

    /** What a table answers, in the order of its rows; empty where it is no such table. */
    static List<Answer> answers(List<Cues> table) {
        Map<Integer, Map<Integer, Cues>> rows = new TreeMap<>();
        for (Cues cues : table) {
            Cell cell = cues.line().layout().cell().orElseThrow();
            rows.computeIfAbsent(cell.row(), row -> new TreeMap<>()).put(cell.column(), cues);
        }
        boolean downwards = countDownwards(List.copyOf(rows.values()));
        List<Answer> answers = new ArrayList<>();
        Map<Integer, Cues> above = Map.of();
        for (Map<Integer, Cues> row : rows.values()) {
            if (!downwards) {
                acrossRow(above, row, answers);
            }
            alongRow(row, downwards, answers);
            above = row;
        }
        return answers;
    }

    /**
     * "Question | Answer | Marks" over "1 | 100 | 2", "2 | 1000 | 1": with heads above the first column alone counts, whatever
     * the others hold.
     */
    private static boolean countDownwards(List<Map<Integer, Cues>> rows) {
        List<Map<Integer, Cues>> below = rows.subList(Math.min(1, rows.size()), rows.size());
        int columns = below.stream().mapToInt(Map::size).max().orElse(0);
        boolean alone = IntStream.range(2, Math.max(2, columns)).noneMatch(column -> counts(below, column));
        return rows.size() > SEVERAL
                && rows.get(0).values().stream().noneMatch(KeyTables::isNumber)
                && counts(below, 0)
                && below.stream().allMatch(row -> row.containsKey(1))
                && alone;
    }

    private static boolean counts(List<Map<Integer, Cues>> rows, int column) {
        int last = 0;
        for (Map<Integer, Cues> row : rows) {
            boolean numbered = row.containsKey(column) && isNumber(row.get(column));
            int number = numbered ? Integer.parseInt(row.get(column).text().replaceAll("\\D", "")) : 0;
            if (number <= last) {
                return false;
            }
            last = number;
        }
        return last > 0;
    }

    private static void acrossRow(Map<Integer, Cues> numbers, Map<Integer, Cues> row, List<Answer> answers) {
        numbers.forEach((column, number) -> {
            Cues answer = row.get(column);
            if (answer != null && isNumber(number) && !isNumber(answer)) {
                answers.add(new Answer(bare(number), answer));
            }
        });
    }

    private static void alongRow(Map<Integer, Cues> row, boolean firstCounts, List<Answer> answers) {
        row.forEach((column, number) -> {
            Cues answer = row.get(column + 1);
            boolean said = answer != null && (!isNumber(answer) || firstCounts && column == 0);
            boolean counted = column == 0 || !firstCounts;
            if (said && counted && isNumber(number)) {
                answers.add(new Answer(bare(number), answer));
            }
        });
    }

    private static boolean isNumber(Cues cues) {
        return cues.text().matches("[(]?\\d{1,3}[a-h]?[.):]?");
    }

    private static String bare(Cues cues) {
        return cues.text().replaceAll("[^\\da-h]", "");
    }
}
