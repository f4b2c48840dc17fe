package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Segment;

/**
 * "3. True or false?" over rows "a | Wax melts. | T / F": in the last column the same pair again and again, to ring one of
 * the two; the column before it has the statements, one before that at most their letters.
 */
final class JudgedRows {

    private static final Pattern WORDS =
            Pattern.compile("[^\\p{L}]*(\\p{L}[\\p{L} ]{0,14}?)[^\\p{L}]+(\\p{L}[\\p{L} ]{0,14})[^\\p{L}]*");
    private static final Pattern LETTER = Pattern.compile("[(]?(?:[A-Za-z]|[ivx]{1,4})[.)]?");
    private static final int FEWEST = 2;

    private JudgedRows() {}

    /** Whether all rows of a table are such. */
    static boolean are(List<Cues> all, List<Integer> table) {
        List<TreeMap<Integer, Cues>> rows = rows(table.stream().map(all::get).toList());
        Set<String> pairs = new HashSet<>();
        boolean judged = rows.size() >= FEWEST;
        for (TreeMap<Integer, Cues> row : rows) {
            int last = row.lastKey();
            boolean lettered = last == 2
                    && LETTER.matcher(
                                    row.get(0) == null ? "" : row.get(0).text().strip())
                            .matches();
            judged &= (last == 1 || lettered)
                    && row.containsKey(last - 1)
                    && PrintedPairs.endsWithPair("x " + row.get(last).text());
            pairs.add(row.get(last).text().replaceAll("\\s+", ""));
        }
        return judged && pairs.size() == 1;
    }

    /** The statements against the two words. */
    static Optional<Grid> find(
            List<Cues> pieces, Particulars particulars, ProseMaker prose, Optional<List<String>> named) {
        List<Prose> columns = new ArrayList<>();
        List<Prose> statements = new ArrayList<>();
        List<Set<Integer>> key = new ArrayList<>();
        for (TreeMap<Integer, Cues> row : rows(pieces)) {
            int last = row.lastKey();
            Cues pair = row.get(last);
            Matcher words = WORDS.matcher(pair.line().text())
                    .region(
                            pair.piece().segment().from(),
                            pair.piece().segment().to());
            if (last == 0 || !row.containsKey(last - 1) || !words.matches()) {
                return Optional.empty();
            }
            if (columns.isEmpty()) {
                heads(words, named).forEach(word -> columns.add(Prose.of(word)));
            }
            Segment statement = row.get(last - 1).piece().segment();
            statements.add(prose.text(List.of(statement)));
            int marked = pair.line().standsOut(words.start(1), words.end(1), words.start(2), words.end(2));
            key.add(marked == 0 ? Set.of() : Set.of(marked - 1));
        }
        boolean keyed = key.stream().noneMatch(Set::isEmpty);
        return Optional.of(new Grid(particulars, columns, statements, keyed ? key : List.of()));
    }

    /** The words themselves; for letters those that the text above names. */
    private static List<String> heads(Matcher pair, Optional<List<String>> named) {
        boolean letters = pair.group(1).length() == 1;
        return letters
                ? named.orElse(List.of("True", "False"))
                : List.of(JudgedBy.capital(pair.group(1)), JudgedBy.capital(pair.group(2)));
    }

    private static List<TreeMap<Integer, Cues>> rows(List<Cues> pieces) {
        Map<Integer, TreeMap<Integer, Cues>> rows = new TreeMap<>();
        for (Cues cues : pieces) {
            Cell cell = cues.line().layout().cell().orElseThrow();
            rows.computeIfAbsent(cell.row(), row -> new TreeMap<>()).putIfAbsent(cell.column(), cues);
        }
        return List.copyOf(rows.values());
    }
}
