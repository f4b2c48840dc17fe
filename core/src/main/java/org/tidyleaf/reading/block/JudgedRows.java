package org.tidyleaf.reading.block;

import java.util.ArrayList;
import java.util.Arrays;
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
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.PrintedPairs;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Segment;

/**
 * "3. True or false?" over rows "a | Wax melts. | T / F": in the last column the same pair again and again, to ring one of
 * the two, or room for one of the words, empty or filled in; the column before it has the statements, one before that at most
 * their letters or numbers.
 */
public final class JudgedRows {

    private static final Pattern WORDS =
            Pattern.compile("[^\\p{L}]*(\\p{L}[\\p{L} ]{0,14}?)[^\\p{L}]+(\\p{L}[\\p{L} ]{0,14})[^\\p{L}]*");
    private static final Pattern LETTER = Pattern.compile("[(]?(?:[A-Za-z]|\\d{1,3}|[ivx]{1,4})[.)]?");
    private static final int FEWEST = 2;

    private JudgedRows() {}

    /**
     * The two words of a row, in one cell or in two.
     *
     * @param statement the column of what is judged
     * @param marked which of the words is set apart, 0-based; empty where both look alike
     */
    private record Judgement(int statement, String first, String second, Optional<Integer> marked) {}

    /** Whether all rows of a table are such. */
    static boolean are(List<Cues> all, List<Integer> table) {
        List<TreeMap<Integer, Cues>> rows = rows(table.stream().map(all::get).toList());
        Set<String> pairs = new HashSet<>();
        boolean judged = rows.size() >= FEWEST;
        for (TreeMap<Integer, Cues> row : rows) {
            Optional<Judgement> found = ringed(row);
            boolean before = found.filter(judgement -> judgement.statement() == 0
                            || judgement.statement() == 1
                                    && LETTER.matcher(text(row, 0)).matches())
                    .isPresent();
            judged &= before;
            found.ifPresent(judgement -> pairs.add(judgement.first() + "/" + judgement.second()));
        }
        return judged && pairs.size() == 1;
    }

    /** The same with room in the last column, below a line that names the words. */
    static boolean areToJudge(List<Cues> all, List<Integer> table, Cues lead) {
        List<TreeMap<Integer, Cues>> rows = rows(table.stream().map(all::get).toList());
        return rows.size() >= FEWEST
                && JudgedBy.in(lead.text()).isPresent()
                && rows.stream().allMatch(row -> inRoom(row).isPresent());
    }

    /** Whether no row has a number of its own. */
    static boolean haveNoNumbers(List<Cues> all, List<Integer> table) {
        return table.stream().noneMatch(piece -> all.get(piece).text().strip().matches("[(]?\\d{1,3}[.):]?(?:\\s.*)?"));
    }

    private static String text(TreeMap<Integer, Cues> row, int column) {
        return row.get(column) == null ? "" : row.get(column).text().strip();
    }

    private static Optional<Judgement> judgement(TreeMap<Integer, Cues> row) {
        return ringed(row).or(() -> inRoom(row));
    }

    private static Optional<Judgement> ringed(TreeMap<Integer, Cues> row) {
        int last = row.lastKey();
        return inOneCell(row, last).or(() -> inTwoCells(row, last));
    }

    /** "1. | Wax melts. |" and "2. | Oil sinks. | F": the last column is for the word alone. */
    private static Optional<Judgement> inRoom(TreeMap<Integer, Cues> row) {
        int columns =
                row.firstEntry().getValue().line().layout().cell().orElseThrow().columns();
        int statement = columns - 2;
        String said = text(row, columns - 1);
        boolean room = said.codePoints().noneMatch(Character::isLetterOrDigit);
        Optional<Integer> judged = room ? Optional.empty() : AnswerParser.judgement(said);
        boolean lettered =
                statement == 0 || statement == 1 && LETTER.matcher(text(row, 0)).matches();
        boolean fits = lettered
                && (room || judged.isPresent())
                && row.containsKey(statement)
                && row.get(statement).is(Cues.Trait.ENDS_SENTENCE)
                && !row.get(statement).is(Cues.Trait.QUESTION_MARK)
                && !row.get(statement).is(Cues.Trait.GAP);
        return fits ? Optional.of(new Judgement(statement, "T", "F", judged)) : Optional.empty();
    }

    private static Optional<Judgement> inOneCell(TreeMap<Integer, Cues> row, int last) {
        Cues pair = row.get(last);
        Matcher words = WORDS.matcher(pair.line().text())
                .region(pair.piece().segment().from(), pair.piece().segment().to());
        boolean judged = row.containsKey(last - 1) && PrintedPairs.endsWithPair("x " + pair.text()) && words.matches();
        if (!judged) {
            return Optional.empty();
        }
        int marked = pair.line().standsOut(words.start(1), words.end(1), words.start(2), words.end(2));
        return Optional.of(new Judgement(
                last - 1, words.group(1), words.group(2), marked == 0 ? Optional.empty() : Optional.of(marked - 1)));
    }

    /** "Wax melts. | T | F". */
    private static Optional<Judgement> inTwoCells(TreeMap<Integer, Cues> row, int last) {
        boolean judged = row.containsKey(last - 2)
                && row.containsKey(last - 1)
                && PrintedPairs.endsWithPair("x " + text(row, last - 1) + " / " + text(row, last))
                && text(row, last - 2).indexOf(' ') > 0;
        if (!judged) {
            return Optional.empty();
        }
        Optional<Integer> marked = Arrays.stream(Emphasis.values())
                .filter(look ->
                        row.get(last - 1).isMostly(look) != row.get(last).isMostly(look))
                .findFirst()
                .map(look -> row.get(last - 1).isMostly(look) ? 0 : 1);
        return Optional.of(new Judgement(last - 2, text(row, last - 1), text(row, last), marked));
    }

    /** The statements against the two words; where only letters are printed, those named. */
    public static Optional<Grid> find(
            List<Cues> pieces, Particulars particulars, ProseMaker prose, List<String> named) {
        List<Prose> columns = new ArrayList<>();
        List<Prose> statements = new ArrayList<>();
        List<Set<Integer>> key = new ArrayList<>();
        for (TreeMap<Integer, Cues> row : rows(pieces)) {
            Optional<Judgement> judgement = judgement(row);
            if (judgement.isEmpty()) {
                return Optional.empty();
            }
            if (columns.isEmpty()) {
                heads(judgement.get(), named).forEach(word -> columns.add(Prose.of(word)));
            }
            Segment statement = row.get(judgement.get().statement()).piece().segment();
            statements.add(prose.text(List.of(statement)));
            key.add(judgement.get().marked().map(Set::of).orElse(Set.of()));
        }
        boolean keyed = key.stream().noneMatch(Set::isEmpty);
        return Optional.of(new Grid(particulars, columns, statements, keyed ? key : List.of()));
    }

    /** The words themselves; for letters those that the text above names. */
    private static List<String> heads(Judgement pair, List<String> named) {
        boolean letters = pair.first().length() == 1;
        return letters ? named : List.of(JudgedBy.capital(pair.first()), JudgedBy.capital(pair.second()));
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
