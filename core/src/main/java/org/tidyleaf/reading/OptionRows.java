package org.tidyleaf.reading;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * "1 | Which bee lays the eggs? | 2" over "  | A) the queen" and "  | B) a drone", or over "A | the queen": options in rows of
 * their own below the numbered question, in the columns of its number and its text.
 */
final class OptionRows {

    private static final int FEWEST_OPTIONS = 2;

    private static final Pattern NUMBER = Pattern.compile("[(]?(?:\\p{L}{1,8}\\s?)?(\\d{1,3})[.):]?");

    private static final Pattern LETTER = Pattern.compile("[(\\[]?([A-Ha-h])[.):\\]]?");

    private static final Pattern LETTER_BEFORE = Pattern.compile("[(\\[]?([A-Ha-h])[.):\\]]\\s*\\S.*");

    private final List<Cues> all;
    private final Map<Integer, Columns.Use> heads;
    private final Map<Integer, Columns.Use> uses = new HashMap<>();

    /** How many options the question has so far that is being gone through. */
    private int options;

    /** How many questions have as many options as one can choose from. */
    private int chosen;

    private OptionRows(List<Cues> all, Map<Integer, Columns.Use> heads) {
        this.all = all;
        this.heads = heads;
    }

    /**
     * What its cells are for; empty where the table is no such one.
     *
     * @param rows without the row of heads; rows and columns give the place of the first piece in each cell
     * @param heads what that row says of the columns, if there is one
     */
    static Map<Integer, Columns.Use> find(
            List<Cues> all, Map<Integer, Map<Integer, Integer>> rows, Map<Integer, Columns.Use> heads) {
        OptionRows found = new OptionRows(all, heads);
        int last = -1;
        for (Map<Integer, Integer> row : rows.values()) {
            Optional<Integer> number = found.number(row);
            if (number.isPresent() && (last < 0 || number.get() == last + 1)) {
                last = number.get();
                found.question(row);
            } else if (last < 0 || !found.option(row)) {
                return Map.of();
            }
        }
        return found.chosen > 0 ? found.uses : Map.of();
    }

    private Optional<Integer> number(Map<Integer, Integer> row) {
        return row.containsKey(0) && row.containsKey(1)
                ? Optional.of(NUMBER.matcher(text(row, 0)))
                        .filter(Matcher::matches)
                        .map(number -> Integer.parseInt(number.group(1)))
                : Optional.empty();
    }

    private void question(Map<Integer, Integer> row) {
        options = 0;
        row.forEach((column, piece) -> uses.put(piece, behind(column, piece)));
        uses.put(row.get(0), new Columns.Use(Columns.Kind.NUMBER, "", true));
        uses.put(row.get(1), new Columns.Use(Columns.Kind.QUESTION, "", false));
    }

    private Columns.Use behind(int column, int piece) {
        return heads.getOrDefault(column, OptionCells.behind(all.get(piece)));
    }

    /** Whether it is the next option of the question above, letter and text in two cells or in one. */
    private boolean option(Map<Integer, Integer> row) {
        String next = String.valueOf((char) ('a' + options));
        if (!row.containsKey(1)) {
            return false;
        }
        boolean apart = row.containsKey(0);
        Matcher letter = (apart ? LETTER : LETTER_BEFORE).matcher(text(row, apart ? 0 : 1));
        if (!letter.matches() || !letter.group(1).equalsIgnoreCase(next)) {
            return false;
        }
        row.forEach((column, piece) -> uses.put(piece, behind(column, piece)));
        if (apart) {
            uses.put(row.get(0), new Columns.Use(Columns.Kind.LABEL, "", false));
        }
        take(row.get(1), apart ? letter.group(1) : "");
        if (!apart) {
            // Where a page ends, the next row may have come into the same cell.
            OptionCells.cell(all, row.get(1)).stream()
                    .skip(1)
                    .filter(this::isNext)
                    .forEach(piece -> take(piece, ""));
        }
        return true;
    }

    private boolean isNext(int piece) {
        Matcher letter = LETTER_BEFORE.matcher(all.get(piece).text().strip());
        return letter.matches() && letter.group(1).equalsIgnoreCase(String.valueOf((char) ('a' + options)));
    }

    private void take(int piece, String letter) {
        options++;
        chosen += options == FEWEST_OPTIONS ? 1 : 0;
        uses.put(piece, new Columns.Use(Columns.Kind.OPTION, letter, false));
    }

    private String text(Map<Integer, Integer> row, int column) {
        return all.get(row.get(column)).text().strip();
    }
}
