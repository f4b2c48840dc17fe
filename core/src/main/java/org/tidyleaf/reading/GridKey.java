package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.question.Grid;

/** "3. F, V, V, F" or "a) true b) false" in a list of answers: a judgement for each row of a grid with two columns. */
final class GridKey {

    private static final Pattern BETWEEN = Pattern.compile("\\s*[,;/|\u2013-]\\s*|\\s+");

    /** "a)" and "2." before a judgement say which row it is for; they count on with the rows. */
    private static final Pattern LABEL = Pattern.compile("[(\\[]?(?:[a-z]|[ivx]{1,4}|\\d{1,2})[).:\\]]");

    private GridKey() {}

    /** The grid with the key; as it was where that is none for its rows. */
    static Grid lay(Grid grid, String said) {
        if (grid.isKeyed() || grid.columns().size() != 2) {
            return grid;
        }
        List<Set<Integer>> key = new ArrayList<>();
        for (String word : BETWEEN.split(LABEL.matcher(said).replaceAll(" ").strip())) {
            Optional<Integer> judged = place(word, grid);
            if (judged.isEmpty()) {
                return grid;
            }
            key.add(Set.of(judged.get()));
        }
        return key.size() == grid.rows().size() ? new Grid(grid.particulars(), grid.columns(), grid.rows(), key) : grid;
    }

    private static Optional<Integer> place(String word, Grid grid) {
        return JudgedBy.place(
                        word,
                        grid.columns().stream().map(column -> column.plain()).toList())
                .or(() -> AnswerParser.judgement(word));
    }
}
