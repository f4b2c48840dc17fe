package org.tidyleaf.reading.column;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;

/**
 * What the columns of a table of questions hold, told by what stands in them: in one column questions, in the next ones what
 * may answer them, and in one behind those, in every row, the letter, the number or the words of one of them.
 */
final class ColumnContents {

    private static final int FEWEST_ROWS = 3;

    /** Text with fewer words than that asks nothing. */
    private static final int QUESTION_WORDS = 3;

    private final List<Cues> all;
    private final Map<Integer, Map<Integer, Integer>> rows;

    private ColumnContents(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        this.all = all;
        this.rows = rows;
    }

    /** The columns of a table that heads name nothing of; empty unless it holds questions, options and their key. */
    static Map<Integer, Columns.Use> find(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        return rows.size() < FEWEST_ROWS ? Map.of() : new ColumnContents(all, rows).find();
    }

    /**
     * The column that holds the keys, where heads named question and options but it was called something else.
     *
     * @param rows without the row of heads
     */
    static Optional<Integer> key(
            List<Cues> all, Map<Integer, Map<Integer, Integer>> rows, Map<Integer, Columns.Use> heads) {
        ColumnContents contents = new ColumnContents(all, rows);
        List<Integer> options = heads.entrySet().stream()
                .filter(e -> e.getValue().kind() == Columns.Kind.OPTION)
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
        return contents.columns().stream()
                .filter(column ->
                        !heads.containsKey(column) || heads.get(column).kind() == Columns.Kind.LABEL)
                .filter(column -> options.size() > 1 && contents.isKey(column, options))
                .findFirst();
    }

    private TreeSet<Integer> columns() {
        TreeSet<Integer> columns = new TreeSet<>();
        rows.values().forEach(row -> columns.addAll(row.keySet()));
        return columns;
    }

    private Map<Integer, Columns.Use> find() {
        TreeSet<Integer> columns = columns();
        Optional<Integer> question = columns.stream().filter(this::asks).findFirst();
        if (question.isEmpty()) {
            return Map.of();
        }
        Map<Integer, Columns.Use> best = Map.of();
        int clearest = 0;
        for (int key : columns.tailSet(question.get(), false).descendingSet()) {
            List<Integer> options = columns.subSet(question.get(), false, key, false).stream()
                    .filter(column -> !isNumeric(column) || column == question.get() + 1)
                    .toList();
            int clear = options.size() > 1 ? clearness(key, options) : 0;
            if (clear > clearest) {
                clearest = clear;
                best = uses(question.get(), options, key);
            }
        }
        return best.isEmpty() ? signed(question.get()) : best;
    }

    /** "What do slugs avoid? | copper* | lettuce | wet soil": in most rows a sign stands beside one of the options. */
    private Map<Integer, Columns.Use> signed(int question) {
        List<Integer> behind = List.copyOf(columns().tailSet(question, false));
        int last = behind.size() - 1;
        // What each row is worth stands behind its options.
        boolean worth = last > 1 && isNumeric(behind.get(last)) && !isNumeric(behind.get(last - 1));
        List<Integer> options = worth ? behind.subList(0, last) : behind;
        long signed = rows.values().stream()
                .filter(row -> options.stream()
                        .anyMatch(column -> row.containsKey(column)
                                && all.get(row.get(column)).sign().isPresent()))
                .count();
        if (options.size() < 2 || signed * 3 < rows.size() * 2) {
            return Map.of();
        }
        Map<Integer, Columns.Use> uses = new HashMap<>();
        uses.put(question, new Columns.Use(Columns.Kind.QUESTION, "", false));
        options.forEach(column -> uses.put(
                column,
                new Columns.Use(Columns.Kind.OPTION, String.valueOf((char) ('A' + options.indexOf(column))), false)));
        if (worth) {
            uses.put(behind.get(last), new Columns.Use(Columns.Kind.POINTS, "", false));
        }
        columns().headSet(question).stream()
                .filter(this::isNumeric)
                .findFirst()
                .ifPresent(column -> uses.put(column, new Columns.Use(Columns.Kind.NUMBER, "", false)));
        return uses;
    }

    private Map<Integer, Columns.Use> uses(int question, List<Integer> options, int key) {
        Map<Integer, Columns.Use> uses = new HashMap<>();
        uses.put(question, new Columns.Use(Columns.Kind.QUESTION, "", false));
        for (int i = 0; i < options.size(); i++) {
            uses.put(options.get(i), new Columns.Use(Columns.Kind.OPTION, String.valueOf((char) ('A' + i)), false));
        }
        uses.put(key, new Columns.Use(Columns.Kind.ANSWER, "", false));
        columns().headSet(question).stream()
                .filter(this::isNumeric)
                .findFirst()
                .ifPresent(column -> uses.put(column, new Columns.Use(Columns.Kind.NUMBER, "", false)));
        columns().tailSet(key, false).stream()
                .filter(this::isNumeric)
                .findFirst()
                .ifPresent(column -> uses.put(column, new Columns.Use(Columns.Kind.POINTS, "", false)));
        return uses;
    }

    /** Most cells ask or state something in several words. */
    private boolean asks(int column) {
        List<String> texts = texts(column);
        long asking = texts.stream()
                .filter(text -> text.split("\\s+").length >= QUESTION_WORDS
                        && (text.matches("(?s).*[?.:!\u2026]") || text.contains("__")))
                .count();
        return texts.size() == rows.size() && asking * 3 >= texts.size() * 2;
    }

    private boolean isNumeric(int column) {
        List<String> texts = texts(column);
        return !texts.isEmpty() && texts.stream().allMatch(text -> text.matches("\\d{1,3}(?:[.,]\\d)?[.)]?"));
    }

    private boolean isKey(int column, List<Integer> options) {
        return clearness(column, options) > 0;
    }

    /** Whether each cell names some of the options in its row: 3 by their words, 2 by letters, 1 by places, 0 not at all. */
    private int clearness(int column, List<Integer> options) {
        int named = 0;
        int clearness = 3;
        for (Map<Integer, Integer> row : rows.values()) {
            List<String> labels = new ArrayList<>();
            List<String> texts = new ArrayList<>();
            for (int i = 0; i < options.size(); i++) {
                Integer option = row.get(options.get(i));
                if (option != null) {
                    labels.add(String.valueOf((char) ('A' + i)));
                    texts.add(all.get(option).text());
                }
            }
            if (row.containsKey(column) && !texts.isEmpty()) {
                clearness =
                        Math.min(clearness, clearness(all.get(row.get(column)).text(), labels, texts));
                named++;
            }
        }
        return named * 2 > rows.size() ? clearness : 0;
    }

    private static int clearness(String said, List<String> labels, List<String> texts) {
        if (texts.contains(said)) {
            // Boxes to tick are all alike.
            return texts.stream().distinct().count() > 1 ? 3 : 0;
        }
        if (said.matches("[1-9](?:\\s*[,;]\\s*[1-9])*")) {
            return said.chars().filter(Character::isDigit).allMatch(digit -> digit - '0' <= texts.size()) ? 1 : 0;
        }
        return AnswerParser.options(said, labels, texts).isEmpty() ? 0 : 2;
    }

    private List<String> texts(int column) {
        return rows.values().stream()
                .filter(row -> row.containsKey(column))
                .map(row -> all.get(row.get(column)).text())
                .toList();
    }
}
