package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Grid;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.JudgedBy;

/**
 * "3. F, V, V, F" or "a) true b) false" in a list of answers: a judgement for each row of a grid; "queen, worker, queen" and
 * "lays eggs - queen; builds comb - worker": the head of the right column for each row.
 */
final class GridKey {

    private static final Pattern BETWEEN = Pattern.compile("\\s*[,;/|\u2013-]\\s*|\\s+");

    private static final Pattern BETWEEN_ROWS = Pattern.compile("\\s*[,;|\n]\\s*");

    private static final Pattern BEHIND_ROW = Pattern.compile(".*\\S\\s*(?:[:=\u2192]|\\s[\u2013-]\\s|->)\\s*(\\S.*)");

    /** "a)" and "2." before a judgement say which row it is for; they count on with the rows. */
    private static final Pattern LABEL = Pattern.compile("[(\\[]?(?:[a-z]|[ivx]{1,4}|\\d{1,2})[).:\\]]");

    private GridKey() {}

    /** The grid with the key; as it was where that is none for its rows. */
    static Grid lay(Grid grid, String said) {
        if (grid.isKeyed()) {
            return grid;
        }
        String bare = LABEL.matcher(said).replaceAll(" ").strip();
        return lay(grid, BETWEEN.split(bare))
                .or(() -> lay(grid, BETWEEN_ROWS.split(bare)))
                .orElse(grid);
    }

    /** The grid with a column for each row; empty where one of the words names none, or they are more or fewer than the rows. */
    private static Optional<Grid> lay(Grid grid, String[] said) {
        List<Set<Integer>> key = new ArrayList<>();
        for (String one : said) {
            place(one, grid).or(() -> behindRow(one, grid)).ifPresent(column -> key.add(Set.of(column)));
        }
        boolean all = key.size() == said.length && key.size() == grid.rows().size();
        return all ? Optional.of(new Grid(grid.particulars(), grid.columns(), grid.rows(), key)) : Optional.empty();
    }

    /** "lays eggs - queen". */
    private static Optional<Integer> behindRow(String said, Grid grid) {
        Matcher row = BEHIND_ROW.matcher(said);
        return row.matches() ? place(row.group(1), grid) : Optional.empty();
    }

    /** The column that a word names, in full or by its first letter where no other column begins so. */
    private static Optional<Integer> place(String word, Grid grid) {
        boolean first = word.strip().length() == 1;
        long alike = grid.columns().stream()
                .filter(column -> column.plain().regionMatches(true, 0, word.strip(), 0, 1))
                .count();
        if (first && alike > 1) {
            return Optional.empty();
        }
        return JudgedBy.place(
                        word,
                        grid.columns().stream().map(column -> column.plain()).toList())
                .or(() -> grid.columns().size() == 2 ? AnswerParser.judgement(word) : Optional.empty());
    }
}
