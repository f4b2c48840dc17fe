package org.tidyleaf.reading.column;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;

/**
 * "Stem | Which unit …?" over "A | metre", "B | gram", "Correct answer | B", "Points | 2": a question in two columns, its fields
 * below one another with their names before them. A table holds one such question, or several that begin with the same field.
 */
final class FieldTables {

    /** So many of five fields have names that are known. */
    private static final int KNOWN_OF_FIVE = 3;

    private static final int FEWEST_FIELDS = 3;

    private static final int FEWEST_OPTIONS = 2;

    private FieldTables() {}

    /**
     * The uses of the cells of such a table; empty for another one.
     *
     * @param rows by row and column the place of the first piece in each cell
     */
    static Map<Integer, Columns.Use> find(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        boolean two =
                rows.values().stream().allMatch(row -> row.keySet().stream().allMatch(column -> column < 2))
                        && rows.values().stream().filter(row -> row.size() == 2).count() >= FEWEST_FIELDS;
        Map<Integer, Columns.Use> uses = new HashMap<>();
        for (Map<Integer, Map<Integer, Integer>> question :
                two ? questions(all, rows) : List.<Map<Integer, Map<Integer, Integer>>>of()) {
            Map<Integer, Integer> names = new TreeMap<>();
            question.forEach((row, cells) -> {
                if (cells.size() == 2) {
                    names.put(row, cells.get(0));
                }
            });
            Map<Integer, Columns.Use> heads = ColumnHeads.find(all, names);
            names.keySet().stream()
                    .findFirst()
                    .filter(first -> isNumber(all.get(names.get(first))))
                    .ifPresent(first -> heads.put(first, new Columns.Use(Columns.Kind.QUESTION, "", false)));
            if (!isQuestion(heads) || heads.size() * 5 < names.size() * KNOWN_OF_FIVE) {
                return Map.of();
            }
            mark(all, question, heads, uses);
        }
        return uses;
    }

    private static boolean isQuestion(Map<Integer, Columns.Use> heads) {
        long options = count(heads, Columns.Kind.OPTION);
        boolean answered = count(heads, Columns.Kind.ANSWER) + count(heads, Columns.Kind.RIGHT_OPTION) > 0;
        return count(heads, Columns.Kind.QUESTION) == 1 && (answered || options >= FEWEST_OPTIONS);
    }

    private static long count(Map<Integer, Columns.Use> heads, Columns.Kind kind) {
        return heads.values().stream().filter(use -> use.kind() == kind).count();
    }

    /** The rows of each question: the next begins where the first name comes again. */
    private static List<Map<Integer, Map<Integer, Integer>>> questions(
            List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        List<Map<Integer, Map<Integer, Integer>>> questions = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        String first = "";
        for (Map.Entry<Integer, Map<Integer, Integer>> row : rows.entrySet()) {
            String name =
                    row.getValue().containsKey(0) ? name(all.get(row.getValue().get(0))) : "";
            first = seen.isEmpty() ? name : first;
            if (questions.isEmpty() || !seen.add(name) && name.equals(first)) {
                questions.add(new TreeMap<>());
                seen.add(name);
            }
            questions.get(questions.size() - 1).put(row.getKey(), row.getValue());
        }
        return questions;
    }

    /** "Q1", "3." before what is asked. */
    private static boolean isNumber(Cues name) {
        return name.number()
                .filter(number -> name.line()
                        .text()
                        .substring(number.end(), name.piece().segment().to())
                        .isBlank())
                .isPresent();
    }

    /** "Item 3" over the table of its fields. */
    private static boolean isNumberAbove(Cues cues) {
        return cues.line().layout().cell().isEmpty() && !cues.is(Cues.Trait.OFF_BODY) && isNumber(cues);
    }

    /** What is the same for every question. */
    private static String name(Cues cues) {
        return isNumber(cues) ? "#" : cues.text().strip().replaceAll("\\s*\\d+$", "");
    }

    private static void mark(
            List<Cues> all,
            Map<Integer, Map<Integer, Integer>> question,
            Map<Integer, Columns.Use> heads,
            Map<Integer, Columns.Use> uses) {
        boolean begun = false;
        for (Map.Entry<Integer, Map<Integer, Integer>> row : question.entrySet()) {
            Map<Integer, Integer> cells = row.getValue();
            Columns.Use head = heads.get(row.getKey());
            boolean begins = head != null
                    && (head.kind() == Columns.Kind.NUMBER || head.kind() == Columns.Kind.QUESTION && !begun);
            Integer name = cells.get(0);
            Integer value = cells.get(1);
            boolean within = begins && name != null && isNumber(all.get(name));
            boolean above = begins && name != null && !within && name > 0 && isNumberAbove(all.get(name - 1));
            boolean numbered = within || above;
            if (above) {
                uses.put(name - 1, new Columns.Use(Columns.Kind.NUMBER, "", true));
            }
            if (within) {
                uses.put(name, new Columns.Use(Columns.Kind.NUMBER, "", true));
            } else if (name != null) {
                uses.put(name, new Columns.Use(begun && !begins ? Columns.Kind.LABEL : Columns.Kind.HEAD, "", false));
            }
            if (value != null) {
                String label = name == null ? "" : ColumnHeads.name(all.get(name));
                Columns.Use field = head == null ? new Columns.Use(Columns.Kind.LABEL, label, false) : head;
                uses.put(value, new Columns.Use(field.kind(), field.name(), begins && !numbered));
                if (field.kind() == Columns.Kind.OPTION && OptionCells.holdsOptions(all, value)) {
                    OptionCells.cell(all, value).forEach(piece -> uses.put(piece, field));
                }
            }
            begun |= begins;
        }
    }
}
