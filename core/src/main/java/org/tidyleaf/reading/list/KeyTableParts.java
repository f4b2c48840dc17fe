package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.list.KeyTables.Filled;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * Parts of questions in a table of answers: "1(b)(ii)" as one label, or "1" and "(b)" in columns of their own, the number
 * perhaps only in the first row of its parts.
 */
final class KeyTableParts {

    /** "Q1", "Question 1": the word for it before the number. */
    private static final String WORD = "(?:" + Vocabulary.ALL.either("question") + "\\.?\\s?)?";

    private static final Pattern LABEL =
            Vocabulary.pattern(WORD + "[(]?(\\d{1,3})[.)]?\\s?[(]?([a-h])?[.)]?\\s?[(]?([ivx]{1,4})?[.):]?");
    private static final Pattern NUMBER = Vocabulary.pattern(WORD + "[(]?\\d{1,3}[.):]?");
    private static final Pattern LETTER = Pattern.compile("[(]?([a-h])[.):]?");

    private KeyTableParts() {}

    /** "1 (b) (ii)" as questions print it, "1bii"; what is no label stays as it is. */
    static String plain(String label) {
        Matcher matcher = LABEL.matcher(label.strip());
        return matcher.matches() ? matcher.group(1) + orEmpty(matcher.group(2)) + orEmpty(matcher.group(3)) : label;
    }

    static boolean isLabel(String text) {
        return LABEL.matcher(text.strip()).matches();
    }

    /**
     * The rows with the letters of parts moved behind their numbers; the same rows where letters do not count from "a" below each
     * number.
     *
     * @param rows what stands in each column, by row
     */
    static List<Map<Integer, Filled>> joined(List<Map<Integer, Filled>> rows) {
        for (int letters = 0; letters <= 1; letters++) {
            List<Map<Integer, Filled>> joined = joined(rows, letters);
            if (!joined.isEmpty()) {
                return joined;
            }
        }
        return rows;
    }

    private static List<Map<Integer, Filled>> joined(List<Map<Integer, Filled>> rows, int letters) {
        List<Map<Integer, Filled>> joined = new ArrayList<>();
        String number = "";
        int counted = 0;
        int parts = 0;
        for (Map<Integer, Filled> row : rows) {
            String first = text(row, 0);
            boolean numbered = NUMBER.matcher(first).matches();
            counted = numbered ? 0 : counted;
            number = numbered ? first.replaceAll("\\D", "") : number;
            Matcher letter = LETTER.matcher(text(row, letters));
            boolean part = !number.isEmpty() && letter.matches() && (numbered || letters == 0 || first.isEmpty());
            boolean counts = part
                    && letter.group(1).charAt(0) - 'a' == counted
                    && !text(row, letters + 1).isEmpty();
            boolean other = numbered && letters == 1 && !text(row, 1).isEmpty();
            if (part && !counts || !part && other) {
                return List.of();
            }
            counted += part ? 1 : 0;
            parts += part ? 1 : 0;
            String label = number + (part ? letter.group(1) : "");
            joined.add(part || numbered ? labelled(row, label, letters) : row);
        }
        return parts > 1 ? joined : List.of();
    }

    /** The row with its label in the first column and the answer in the next. */
    private static Map<Integer, Filled> labelled(Map<Integer, Filled> row, String label, int letters) {
        Map<Integer, Filled> copy = new TreeMap<>();
        row.forEach((column, cell) -> {
            if (column > letters) {
                copy.put(column - letters, cell);
            }
        });
        Filled first = row.values().iterator().next();
        copy.put(0, new Filled(label, first.first()));
        return copy;
    }

    private static String text(Map<Integer, Filled> row, int column) {
        return row.containsKey(column) ? row.get(column).text().strip() : "";
    }

    private static String orEmpty(String group) {
        return group == null ? "" : group;
    }
}
