package org.tidyleaf.reading.block;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.PrintedPairs;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Emphasis;

/**
 * Rows "1 | Wax melts. | ____", "2 | Bees sleep. | T | F", or with "True | False" above two columns to tick: numbers that count on,
 * statements, and beside them nothing but places to judge by. Each row is a question of its own.
 */
public final class JudgedColumns {

    private static final Pattern NUMBER = Pattern.compile("[(]?(\\d{1,3})[.):]?");

    private static final Pattern ROOM = Pattern.compile("[\\s_.\u2026\u2610\u25a1\\[\\]()]*");

    private static final Pattern TICKED =
            Pattern.compile("[xX\u2713\u2714\u2611\u2612\u2717\u2718]|\\[\\s?[xX]\\s?]|\\(\\s?[xX]\\s?\\)");

    private static final Pattern PAIR_IN_CELL =
            Pattern.compile("[^\\p{L}]*(\\p{L}[\\p{L} ]*?)[^\\p{L}]+(\\p{L}[\\p{L} ]*)[^\\p{L}]*");

    /** "A for YES or under B for NO", "A = true, B = false". */
    private static final Pattern EXPLAINED = Pattern.compile(
            "\\b(?<first>[A-Z])\\b[^\\p{L}]*(?:\\p{Ll}{1,5}[^\\p{L}]+){0,3}(?<affirmed>\\p{L}{2,})"
                    + "\\b.{1,40}?\\b(?<second>[A-Z])\\b[^\\p{L}]*(?:\\p{Ll}{1,5}[^\\p{L}]+){0,3}(?<denied>\\p{L}{2,})");

    private static final int FEWEST_WORDS = 3;
    private static final int FEWEST_ROWS = 2;

    private static final List<Emphasis> SIGNS =
            List.of(Emphasis.HIGHLIGHT, Emphasis.BOLD, Emphasis.COLOR, Emphasis.UNDERLINE);

    /** The line that says so, or what is to be written, stands so near above. */
    private static final int FARTHEST_LEAD = 3;

    private final List<Cues> all;
    private final Map<Integer, Columns.Use> heads;
    private final Map<Integer, Columns.Use> uses = new HashMap<>();
    private final Map<Integer, Columns.Judgement> judgements = new HashMap<>();

    /** The columns headed by the two words, in their order; empty where none are. */
    private List<Integer> ticked = List.of();

    private List<String> words = List.of();

    /** What the lines above the table say. */
    private String told = "";

    /** Rows that print both words by themselves. */
    private int paired;

    private JudgedColumns(List<Cues> all, Map<Integer, Columns.Use> heads) {
        this.all = all;
        this.heads = heads;
    }

    /**
     * What its cells are for.
     *
     * @param judgements how each statement is judged, by the place of the statement
     */
    public record Found(Map<Integer, Columns.Use> uses, Map<Integer, Columns.Judgement> judgements) {}

    /**
     * Both parts are empty where the table is no such one.
     *
     * @param rows rows and columns give the place of the first piece in each cell
     * @param known what a row of heads says of the columns, if that row has been found and taken away
     */
    public static Found find(
            List<Cues> all, Map<Integer, Map<Integer, Integer>> rows, Map<Integer, Columns.Use> known) {
        JudgedColumns judged = new JudgedColumns(all, known);
        int first = rows.values().stream()
                .flatMap(row -> row.values().stream())
                .mapToInt(Integer::intValue)
                .min()
                .orElse(0);
        while (first > 0 && inTable(all.get(first - 1), all.get(first))) {
            first--;
        }
        Map<Integer, Map<Integer, Integer>> statements = new TreeMap<>(rows);
        judged.told = all.subList(Math.max(0, first - FARTHEST_LEAD), first).stream()
                .map(Cues::text)
                .collect(Collectors.joining(" "));
        if (known.isEmpty() && judged.areHeads(rows.values().iterator().next())) {
            statements.remove(rows.keySet().iterator().next());
        }
        int from = judged.from(statements);
        Lead lead = Lead.above(all, first);
        boolean told = lead == Lead.JUDGES || !judged.ticked.isEmpty();
        boolean whole = statements.size() >= FEWEST_ROWS
                && from > 0
                // From 1 on they are rows of the numbered question above.
                && (from > 1 || lead != Lead.NUMBERED)
                && statements.values().stream().allMatch(judged::row)
                && (told || judged.paired == statements.size());
        return whole ? new Found(judged.uses, judged.judgements) : new Found(Map.of(), Map.of());
    }

    private static boolean inTable(Cues above, Cues cues) {
        Optional<Integer> table = cues.line().layout().cell().map(Cell::table);
        return table.isPresent() && table.equals(above.line().layout().cell().map(Cell::table));
    }

    /** What the lines right above a table are to it. */
    private enum Lead {
        NUMBERED,
        JUDGES,
        OTHER;

        static Lead above(List<Cues> all, int first) {
            for (int i = first - 1; i >= Math.max(0, first - FARTHEST_LEAD); i--) {
                Cues above = all.get(i);
                if (above.line().layout().cell().isPresent()) {
                    return OTHER;
                }
                boolean numbered = above.number().isPresent()
                        && !Label.isWorded(above.number().get().shape());
                if (JudgedBy.in(above.text()).isPresent()) {
                    return numbered ? NUMBERED : JUDGES;
                }
            }
            return OTHER;
        }
    }

    /** " |  | True | False": the two words above columns of their own, and points perhaps. */
    private boolean areHeads(Map<Integer, Integer> row) {
        List<Map.Entry<Integer, Integer>> cells = new ArrayList<>(new TreeMap<>(row).entrySet());
        for (int i = 0; i + 1 < cells.size(); i++) {
            int next = cells.get(i + 1).getValue();
            String head = text(cells.get(i).getValue());
            Optional<List<String>> pair = pair(head, text(next)).or(() -> explained(head, text(next)));
            if (pair.isPresent()) {
                words = pair.get();
                ticked = List.of(cells.get(i).getKey(), cells.get(i + 1).getKey());
                if (i + 2 < cells.size()) {
                    third(cells.get(i + 2));
                }
            }
        }
        if (ticked.isEmpty()
                || row.containsKey(0) && NUMBER.matcher(text(row.get(0))).matches()) {
            return false;
        }
        heads(row);
        return true;
    }

    /** "Not given" over a column of its own, or "NG" where the lines above say what that stands for. */
    private void third(Map.Entry<Integer, Integer> cell) {
        String head = text(cell.getValue());
        Optional<String> word = JudgedBy.isNeither(head)
                ? Optional.of(head)
                : JudgedBy.threeIn(told)
                        .filter(three -> JudgedBy.place(head, three).equals(Optional.of(2)))
                        .map(three -> three.get(2));
        if (word.isPresent()) {
            words = List.of(words.get(0), words.get(1), word.get());
            ticked = List.of(ticked.get(0), ticked.get(1), cell.getKey());
        }
    }

    private void heads(Map<Integer, Integer> row) {
        row.values().forEach(piece -> uses.put(piece, new Columns.Use(Columns.Kind.HEAD, "", false)));
    }

    /** Two cells that hold the words of a pair, or their letters, and no more. */
    private static Optional<List<String>> pair(String first, String second) {
        Optional<List<String>> pair = JudgedBy.in(first + " / " + second);
        boolean words = pair.filter(both ->
                        both.get(0).equalsIgnoreCase(first) && both.get(1).equalsIgnoreCase(second))
                .isPresent();
        boolean letters =
                first.length() == 1 && second.length() == 1 && PrintedPairs.endsWithPair("x " + first + " / " + second);
        return letters ? Optional.of(List.of("True", "False")) : pair.filter(both -> words);
    }

    /** What the lines above say that two letters stand for: "under A for YES or under B for NO". */
    private Optional<List<String>> explained(String first, String second) {
        Matcher meanings = EXPLAINED.matcher(told);
        boolean found = first.length() == 1
                && second.length() == 1
                && meanings.find()
                && meanings.group("first").equals(first)
                && meanings.group("second").equals(second);
        return found
                ? JudgedBy.in(meanings.group("affirmed") + " / " + meanings.group("denied"))
                        .filter(pair -> pair.get(0).equalsIgnoreCase(meanings.group("affirmed")))
                : Optional.empty();
    }

    /** The number of the first row, if all count on from there; else 0. */
    private int from(Map<Integer, Map<Integer, Integer>> rows) {
        int last = 0;
        int first = 0;
        for (Map<Integer, Integer> row : rows.values()) {
            Optional<Integer> number = numberCell(row).map(this::ordinal);
            if (number.isEmpty() || last > 0 && number.get() != last + 1) {
                return 0;
            }
            last = number.get();
            first = first == 0 ? last : first;
        }
        return first;
    }

    private Optional<Integer> numberCell(Map<Integer, Integer> row) {
        return row.values().stream()
                .filter(piece -> NUMBER.matcher(text(piece)).matches())
                .findFirst();
    }

    private boolean row(Map<Integer, Integer> row) {
        int number = numberCell(row).orElseThrow();
        Optional<Integer> statement = row.values().stream()
                .filter(piece -> all.get(piece).words().size() >= FEWEST_WORDS)
                .findFirst();
        int columns = all.get(number).line().layout().cell().map(Cell::columns).orElse(0);
        if (statement.isEmpty() || row.size() < 2 || columns <= 2) {
            return false;
        }
        List<Integer> beside = row.values().stream()
                .filter(piece -> piece != number && !statement.get().equals(piece))
                .toList();
        List<Integer> pair = pairAmong(beside);
        for (Map.Entry<Integer, Integer> cell : row.entrySet()) {
            int piece = cell.getValue();
            if (beside.contains(piece)) {
                Columns.Kind kind = pair.contains(piece) ? Columns.Kind.HEAD : kind(cell.getKey(), piece);
                if (kind == Columns.Kind.LABEL) {
                    return false;
                }
                uses.put(piece, new Columns.Use(kind, "", false));
            }
        }
        uses.put(number, new Columns.Use(Columns.Kind.NUMBER, "", true));
        uses.put(statement.get(), new Columns.Use(Columns.Kind.QUESTION, "", false));
        judge(row, statement.get(), pair, beside);
        return true;
    }

    /** Two neighbours that hold a word of a pair each; empty where there are none. */
    private List<Integer> pairAmong(List<Integer> beside) {
        for (int i = 0; i + 1 < beside.size(); i++) {
            if (pair(text(beside.get(i)), text(beside.get(i + 1))).isPresent()) {
                return beside.subList(i, i + 2);
            }
        }
        return List.of();
    }

    /** The words of a row, from above its columns or from its own cells, and which of them is ticked or set apart. */
    private void judge(Map<Integer, Integer> row, int statement, List<Integer> pair, List<Integer> beside) {
        List<Integer> marks = new ArrayList<>();
        for (int i = 0; i < ticked.size(); i++) {
            Integer piece = row.get(ticked.get(i));
            if (piece != null && TICKED.matcher(text(piece)).matches()) {
                marks.add(i);
            }
        }
        for (int i = 0; i < pair.size(); i++) {
            if (isSetApart(all.get(pair.get(i)))) {
                marks.add(i);
            }
        }
        List<String> own = words;
        if (!pair.isEmpty()) {
            own = pair(text(pair.get(0)), text(pair.get(1))).orElseThrow();
        }
        for (int piece : pair.isEmpty() ? beside : List.<Integer>of()) {
            Matcher both = PAIR_IN_CELL.matcher(text(piece));
            own = both.matches() ? pair(both.group(1), both.group(2)).orElse(own) : own;
        }
        for (int piece : beside) {
            boolean alone = AnswerParser.judgement(text(piece)).isPresent() && !pair.contains(piece);
            if (alone && isSetApart(all.get(piece))) {
                uses.put(piece, new Columns.Use(Columns.Kind.ANSWER, "", false));
            }
        }
        if (!own.isEmpty()) {
            paired += words.isEmpty() ? 1 : 0;
            judgements.put(
                    statement,
                    new Columns.Judgement(own, marks.size() == 1 ? Optional.of(marks.get(0)) : Optional.empty()));
        }
    }

    /** What a cell beside a statement holds; a label where it is no place to judge by. */
    private Columns.Kind kind(int column, int piece) {
        Cues cues = all.get(piece);
        String text = text(piece);
        boolean tick = ticked.contains(column) && TICKED.matcher(text).matches();
        if (tick || isPlace(cues)) {
            Columns.Kind headed = heads.containsKey(column) ? heads.get(column).kind() : Columns.Kind.HEAD;
            return headed == Columns.Kind.ANSWER && !ROOM.matcher(text).matches() ? headed : Columns.Kind.HEAD;
        }
        boolean last = cues.line()
                .layout()
                .cell()
                .filter(cell -> cell.column() == cell.columns() - 1)
                .isPresent();
        return last && PointsFinder.bare(text).isPresent() ? Columns.Kind.POINTS : Columns.Kind.LABEL;
    }

    /** Room, or words to judge by; of both in one cell none is set apart. */
    private static boolean isPlace(Cues cues) {
        String text = cues.text().strip();
        return ROOM.matcher(text).matches()
                || AnswerParser.judgement(text).isPresent()
                || cues.line().spans().isEmpty() && PrintedPairs.endsWithPair("x " + text);
    }

    private static boolean isSetApart(Cues cues) {
        return SIGNS.stream().anyMatch(cues::isMostly);
    }

    private int ordinal(int piece) {
        return Integer.parseInt(text(piece).replaceAll("\\D", ""));
    }

    private String text(int piece) {
        return all.get(piece).text().strip();
    }
}
