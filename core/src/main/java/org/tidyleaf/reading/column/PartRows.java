package org.tidyleaf.reading.column;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;

/**
 * "3 | (a) | Define … | 2" over " | (b) | State … | 2": a table without heads, with a part of a question a row, its number told but
 * once, and perhaps what it is worth in the last column.
 */
final class PartRows {

    private static final Pattern NUMBER = Pattern.compile("[(]?(\\d{1,3})[.)]?");

    private static final Pattern LETTER = Pattern.compile("[(]?([a-h])[.)]?");

    private static final Pattern WORTH = Pattern.compile("[(\\[]?\\d{1,2}(?:[.,]5)?[)\\]]?");

    private static final int FEWEST_LETTERS = 2;

    private PartRows() {}

    /**
     * The uses of the cells of such a table; empty for another one.
     *
     * @param rows by row and column the place of the first piece in each cell
     */
    static Map<Integer, Columns.Use> find(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        Map<Integer, Columns.Use> uses = new HashMap<>();
        String number = "";
        int letters = 0;
        int next = 1;
        for (Map<Integer, Integer> row : rows.values()) {
            if (!row.containsKey(2) || row.keySet().stream().anyMatch(column -> column > 3)) {
                return Map.of();
            }
            Optional<String> numbered = match(all, row.get(0), NUMBER);
            Optional<String> lettered = match(all, row.get(1), LETTER);
            boolean strange = row.containsKey(0) && numbered.isEmpty()
                    || row.containsKey(1) && lettered.isEmpty()
                    || row.containsKey(3) && match(all, row.get(3), WORTH).isEmpty();
            if (strange) {
                return Map.of();
            }
            if (numbered.isEmpty() && lettered.isEmpty()) {
                // "OR" between two of them.
                uses.put(row.get(2), new Columns.Use(Columns.Kind.HEAD, "", false));
                continue;
            }
            number = numbered.orElse(number);
            next = numbered.isPresent() ? 1 : next;
            if (lettered.isPresent() && lettered.get().charAt(0) - 'a' + 1 != next || number.isEmpty()) {
                return Map.of();
            }
            next += lettered.isPresent() ? 1 : 0;
            letters += lettered.isPresent() ? 1 : 0;
            numbered.filter(n -> lettered.isPresent())
                    .ifPresent(n -> uses.put(row.get(0), new Columns.Use(Columns.Kind.HEAD, "", false)));
            Integer place = lettered.isPresent() ? row.get(1) : row.get(0);
            uses.put(place, new Columns.Use(Columns.Kind.NUMBER, number + lettered.orElse(""), true));
            uses.put(row.get(2), new Columns.Use(Columns.Kind.QUESTION, "", false));
            if (row.containsKey(3)) {
                uses.put(row.get(3), new Columns.Use(Columns.Kind.POINTS, "", false));
            }
        }
        return letters >= FEWEST_LETTERS ? uses : Map.of();
    }

    private static Optional<String> match(List<Cues> all, Integer piece, Pattern pattern) {
        if (piece == null) {
            return Optional.empty();
        }
        Matcher matcher = pattern.matcher(all.get(piece).text().strip());
        return matcher.matches()
                ? Optional.of(matcher.groupCount() > 0 ? matcher.group(1) : matcher.group())
                : Optional.empty();
    }
}
