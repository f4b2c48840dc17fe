package org.tidyleaf.reading.block;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.reading.line.BankWords;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.line.WordBanks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;

/**
 * "Write these words in the correct column.", the words, and a table with nothing but its heads filled: each word is a row of a
 * grid, each head a column.
 */
public final class SortingTables {

    private static final int MOST_COLUMNS = 6;

    private SortingTables() {}

    /** Whether a table holds nothing but heads, over room for words. */
    static boolean isOne(List<Cues> all, List<Integer> table) {
        return table.size() > 1
                && table.size() <= MOST_COLUMNS
                && table.stream()
                        .map(piece -> all.get(piece).line().layout().cell().orElseThrow())
                        .allMatch(cell -> cell.row() == 0 && cell.columns() == table.size())
                && table.stream().noneMatch(piece -> all.get(piece).is(Cues.Trait.GAP));
    }

    /** The grid of a draft's words and the heads below them; empty where it has no such. */
    public static Optional<Grid> find(Draft draft, Particulars particulars, ProseMaker prose, String said) {
        boolean heads = draft.rows.stream()
                .allMatch(cues -> cues.line()
                        .layout()
                        .cell()
                        .filter(cell -> cell.row() == 0)
                        .isPresent());
        // "Sort these words: litre, metre" names them behind its colon.
        List<String> words =
                draft.words.isEmpty() ? WordBanks.behindColon(particulars.stem().plain()) : BankWords.of(draft.words);
        if (words.isEmpty() || !heads) {
            return Optional.empty();
        }
        List<Prose> columns = draft.rows.stream()
                .map(cues -> prose.text(List.of(cues.piece().segment())))
                .toList();
        List<Prose> rows = words.stream().map(Prose::of).toList();
        return Optional.of(new Grid(particulars, columns, rows, key(columns, words, said)));
    }

    /** "Tools: rule, gauge; Hive: wax": the words behind each head; empty unless every word stands behind one. */
    private static List<Set<Integer>> key(List<Prose> columns, List<String> words, String said) {
        String text = said.toLowerCase(Locale.ROOT);
        TreeMap<Integer, Integer> places = new TreeMap<>();
        for (int column = 0; column < columns.size(); column++) {
            int at = text.indexOf(columns.get(column).plain().toLowerCase(Locale.ROOT) + ":");
            if (at >= 0) {
                places.put(at, column);
            }
        }
        List<Set<Integer>> key = new ArrayList<>();
        for (String word : words) {
            int at = text.indexOf(word.toLowerCase(Locale.ROOT));
            Set<Integer> of = at < 0 || places.floorEntry(at) == null
                    ? new HashSet<>()
                    : new HashSet<>(Set.of(places.floorEntry(at).getValue()));
            key.add(of);
        }
        return key.stream().noneMatch(Set::isEmpty) ? key : List.of();
    }
}
