package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.source.Cell;

/** Tables of numbers and their answers: side by side, or numbers in one row and answers in the row below. */
final class KeyTables {

    /** Fewer rows below the heads may be anything. */
    private static final int SEVERAL = 3;

    /** Shorter answers end with their cell. */
    private static final int LONG = 20;

    private KeyTables() {}

    /** A number with the letter and numeral of its part if it has them, what answers it, and that cell's line and column. */
    record Answer(String number, String said, int line, int column) {

        static Answer of(Filled number, Filled said) {
            return new Answer(
                    KeyTableParts.plain(number.text()),
                    said.text(),
                    said.first().line().number(),
                    said.column());
        }
    }

    /** What stands in one cell, on one line or several. */
    record Filled(String text, Cues first) {

        Filled with(Cues next) {
            return new Filled(text + " " + next.text(), first);
        }

        int column() {
            return first.line().layout().cell().orElseThrow().column();
        }
    }

    /** What a table answers, in the order of its rows; empty where it is no such table. */
    static List<Answer> answers(List<Cues> table) {
        Map<Integer, Map<Integer, Filled>> rows = new TreeMap<>();
        for (Cues cues : table) {
            Cell cell = cues.line().layout().cell().orElseThrow();
            rows.computeIfAbsent(cell.row(), row -> new TreeMap<>())
                    .merge(cell.column(), new Filled(cues.text(), cues), (above, next) -> above.with(next.first()));
        }
        List<Map<Integer, Filled>> joined = KeyTableParts.joined(List.copyOf(rows.values()));
        boolean downwards = countDownwards(joined);
        List<Answer> answers = new ArrayList<>();
        Map<Integer, Filled> above = Map.of();
        for (Map<Integer, Filled> row : joined) {
            if (goesOnOverleaf(row, answers)) {
                continue;
            }
            if (!downwards) {
                acrossRow(above, row, answers);
            }
            alongRow(row, downwards, answers);
            above = row;
        }
        return answers;
    }

    /** A row without a number, in the middle of a sentence, is the rest of the answer above that a page's end has parted. */
    private static boolean goesOnOverleaf(Map<Integer, Filled> row, List<Answer> answers) {
        Answer last = answers.isEmpty() ? null : answers.get(answers.size() - 1);
        List<Filled> filled =
                row.values().stream().filter(cell -> !cell.text().isBlank()).toList();
        boolean rest = last != null
                && filled.size() == 1
                && filled.get(0).first().is(Cues.Trait.STARTS_LOWER)
                && filled.get(0).column() == last.column()
                && last.said().length() > LONG
                && !last.said().matches(".*[.!?]");
        if (rest) {
            String whole = last.said() + " " + filled.get(0).text();
            answers.set(answers.size() - 1, new Answer(last.number(), whole, last.line(), last.column()));
        }
        return rest;
    }

    /**
     * "Question | Answer | Marks" over "1 | 100 | 2", "2 | 1000 | 1": with heads above the first column alone counts, whatever
     * the others hold; so it does in a table of two columns without heads.
     */
    private static boolean countDownwards(List<Map<Integer, Filled>> rows) {
        List<Map<Integer, Filled>> below = rows.subList(Math.min(1, rows.size()), rows.size());
        int columns = below.stream().mapToInt(Map::size).max().orElse(0);
        boolean alone = IntStream.range(2, Math.max(2, columns)).noneMatch(column -> counts(below, column));
        boolean headed = !rows.isEmpty() && rows.get(0).values().stream().noneMatch(KeyTables::isNumber);
        // Two columns need no heads, unless the second counts as well: "1 | 2" over "B | C" does not count downwards.
        boolean two = rows.size() > 1 && columns == 2 && counts(rows, 0);
        return (headed && rows.size() > SEVERAL || two)
                && counts(below, 0)
                && below.stream().allMatch(row -> row.containsKey(1))
                && alone;
    }

    private static boolean counts(List<Map<Integer, Filled>> rows, int column) {
        int last = 0;
        for (Map<Integer, Filled> row : rows) {
            boolean numbered = row.containsKey(column) && isNumber(row.get(column));
            String label = numbered ? KeyTableParts.plain(row.get(column).text()) : "0";
            int number = Integer.parseInt(label.replaceAll("\\D", ""));
            // 17a, 17b: parts of one question.
            boolean part = numbered && number == last && label.matches("\\d+[a-h][ivx]*");
            if (number <= last && !part) {
                return false;
            }
            last = number;
        }
        return last > 0;
    }

    private static void acrossRow(Map<Integer, Filled> numbers, Map<Integer, Filled> row, List<Answer> answers) {
        numbers.forEach((column, number) -> {
            Filled answer = row.get(column);
            if (answer != null && isNumber(number) && !isNumber(answer)) {
                answers.add(Answer.of(number, answer));
            }
        });
    }

    private static void alongRow(Map<Integer, Filled> row, boolean firstCounts, List<Answer> answers) {
        row.forEach((column, number) -> {
            Filled answer = row.get(column + 1);
            boolean said = answer != null && (!isNumber(answer) || firstCounts && column == 0);
            boolean counted = column == 0 || !firstCounts;
            if (said && counted && isNumber(number)) {
                answers.add(Answer.of(number, answer));
            }
        });
    }

    private static boolean isNumber(Filled cell) {
        return KeyTableParts.isLabel(cell.text());
    }
}
