package org.tidyleaf.reading.column;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;

/**
 * "1 | A after | B for | C at": tables of nothing but numbers and lettered options, as they stand below a text with numbered
 * gaps. Each row is a question.
 */
final class NumberedOptionRows {

    private static final int FEWEST_ROWS = 2;
    private static final int FEWEST_OPTIONS = 2;
    private static final Pattern NUMBER = Pattern.compile("[(]?\\d{1,3}[.):]?");

    private NumberedOptionRows() {}

    /**
     * What the cells are for; empty where the table is no such one.
     *
     * @param rows rows and columns give the place of the first piece in each cell
     */
    static Map<Integer, Columns.Use> find(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        Map<Integer, Columns.Use> uses = new HashMap<>();
        int last = -1;
        for (Map<Integer, Integer> row : rows.values()) {
            String number = row.containsKey(0) ? all.get(row.get(0)).text().strip() : "";
            if (!NUMBER.matcher(number).matches() || row.size() <= FEWEST_OPTIONS) {
                return Map.of();
            }
            int value = Integer.parseInt(number.replaceAll("\\D", ""));
            if (last >= 0 && value != last + 1) {
                return Map.of();
            }
            last = value;
            int place = 0;
            for (Map.Entry<Integer, Integer> cell : row.entrySet()) {
                if (cell.getKey() > 0) {
                    String letter = String.valueOf((char) ('A' + place++));
                    String text = all.get(cell.getValue()).text().strip();
                    if (!text.matches("(?i)[(]?" + letter + "[.):]?\\s+\\S.*")) {
                        return Map.of();
                    }
                    uses.put(cell.getValue(), new Columns.Use(Columns.Kind.OPTION, "", false));
                }
            }
            uses.put(row.get(0), new Columns.Use(Columns.Kind.NUMBER, "", true));
        }
        return rows.size() >= FEWEST_ROWS ? uses : Map.of();
    }
}
