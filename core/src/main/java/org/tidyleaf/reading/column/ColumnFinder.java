package org.tidyleaf.reading.column;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.reading.block.JudgedColumns;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.source.Cell;

/** Finds tables with one question a row: their first row names what the columns hold ("No. | Question | Key | Marks"). */
public final class ColumnFinder {

    /** Heads stand in the first rows; a title or an empty row may come before. */
    private static final int LAST_HEAD_ROW = 3;

    private static final int FEWEST_WORDS = 3;

    private ColumnFinder() {}

    /** @param blocks tables of grades among them hold no questions */
    public static Columns find(List<Cues> all, Blocks blocks) {
        Map<Integer, Map<Integer, Map<Integer, Integer>>> tables = new TreeMap<>();
        for (int i = 0; i < all.size(); i++) {
            Optional<Cell> cell = all.get(i).line().layout().cell();
            if (cell.isPresent() && !blocks.at(i).equals(Optional.of(Blocks.Kind.SCALE))) {
                tables.computeIfAbsent(cell.get().table(), t -> new TreeMap<>())
                        .computeIfAbsent(cell.get().row(), r -> new TreeMap<>())
                        .putIfAbsent(cell.get().column(), i);
            }
        }
        Map<Integer, Columns.Use> uses = new HashMap<>();
        Map<Integer, Columns.Judgement> judgements = new HashMap<>();
        for (Map<Integer, Map<Integer, Integer>> rows : tables.values()) {
            Map<Integer, Columns.Use> options = isClaimed(rows, blocks) ? Map.of() : LetterCells.find(all, rows);
            uses.putAll(options);
            if (options.isEmpty()) {
                table(all, rows, isListed(rows, blocks), uses, judgements);
            }
        }
        goOn(all, uses);
        RangeRows.mark(all, tables.values(), uses);
        return new Columns(Map.copyOf(uses), RoomBeside.find(all, uses), Map.copyOf(judgements));
    }

    /** Where options have columns of their own in a table, every further line in a question's cell goes on with the question. */
    private static void goOn(List<Cues> all, Map<Integer, Columns.Use> uses) {
        Set<Integer> optionColumns = uses.entrySet().stream()
                .filter(use -> use.getValue().kind() == Columns.Kind.OPTION)
                .map(use -> cell(all, use.getKey()).orElseThrow().table())
                .collect(Collectors.toSet());
        for (int i = 1; !optionColumns.isEmpty() && i < all.size(); i++) {
            Columns.Use above = uses.get(i - 1);
            Optional<Cell> cell = cell(all, i);
            boolean goesOn =
                    cell.filter(own -> optionColumns.contains(own.table())).equals(cell(all, i - 1))
                            && cell.isPresent();
            boolean below = goesOn
                    && above != null
                    && (above.kind() == Columns.Kind.QUESTION || above.kind() == Columns.Kind.ROOM);
            if (below) {
                Columns.Kind kind = all.get(i).is(Cues.Trait.WRITING_LINE) ? Columns.Kind.ROOM : Columns.Kind.QUESTION;
                uses.put(i, new Columns.Use(kind, "", false));
            }
        }
    }

    private static Optional<Cell> cell(List<Cues> all, int piece) {
        return all.get(piece).line().layout().cell();
    }

    private static boolean isClaimed(Map<Integer, Map<Integer, Integer>> rows, Blocks blocks) {
        return rows.values().stream()
                .flatMap(row -> row.values().stream())
                .anyMatch(piece -> blocks.at(piece).isPresent());
    }

    /** Whether what stands above the table has claimed its cells as rows of one question. */
    private static boolean isListed(Map<Integer, Map<Integer, Integer>> rows, Blocks blocks) {
        return rows.values().stream()
                .flatMap(row -> row.values().stream())
                .allMatch(piece -> blocks.at(piece).equals(Optional.of(Blocks.Kind.ROW)));
    }

    /**
     * Rows and columns give the place of the first piece in each cell.
     *
     * @param listed whether only heads could tell that the rows are questions of their own
     */
    private static void table(
            List<Cues> all,
            Map<Integer, Map<Integer, Integer>> rows,
            boolean listed,
            Map<Integer, Columns.Use> uses,
            Map<Integer, Columns.Judgement> judgements) {
        Map<Integer, Columns.Use> withoutHeads = QuestionRows.find(all, rows, Map.of());
        if (!withoutHeads.isEmpty()) {
            uses.putAll(withoutHeads);
            return;
        }
        Map<Integer, Columns.Use> fields = new HashMap<>(FieldTables.find(all, rows));
        fields.putAll(PartRows.find(all, rows));
        if (!fields.isEmpty()) {
            uses.putAll(fields);
            return;
        }
        Map<Integer, Columns.Use> lettered = LetteredColumns.find(all, rows);
        if (!lettered.isEmpty()) {
            mark(all, rows.keySet().iterator().next(), lettered, rows, uses);
            return;
        }
        for (Map.Entry<Integer, Map<Integer, Integer>> row : rows.entrySet()) {
            Map<Integer, Columns.Use> heads = new HashMap<>(TextColumns.told(
                    all, row.getValue(), below(rows, row.getKey()), ColumnHeads.find(all, row.getValue())));
            if (has(heads, Columns.Kind.QUESTION)) {
                Map<Integer, Map<Integer, Integer>> below = below(rows, row.getKey());
                Map<Integer, Columns.Use> questionRows = QuestionRows.find(all, below, heads);
                if (isHeadRow(all, below, heads) || !questionRows.isEmpty()) {
                    headed(all, row.getKey(), heads, rows, uses);
                    uses.putAll(questionRows);
                    JudgedColumns.Found judged = JudgedColumns.find(all, below, heads);
                    uses.putAll(judged.uses());
                    judgements.putAll(judged.judgements());
                    return;
                }
            }
            if (row.getKey() > LAST_HEAD_ROW) {
                break;
            }
        }
        if (listed) {
            return;
        }
        JudgedColumns.Found judged = JudgedColumns.find(all, rows, Map.of());
        if (!judged.uses().isEmpty()) {
            uses.putAll(judged.uses());
            judgements.putAll(judged.judgements());
            return;
        }
        Map<Integer, Columns.Use> merged = new HashMap<>(MergedRows.find(all, rows));
        merged.putAll(NumberedOptionRows.find(all, rows));
        merged.putAll(OptionCells.find(all, rows));
        uses.putAll(merged);
        if (merged.isEmpty()) {
            uses.putAll(NumberedRows.find(all, rows));
        }
        if (uses.isEmpty()) {
            withoutHeads(all, rows, uses);
        }
    }

    /** Whether a row that heads questions heads what else a table of questions has, or stands above numbers that count on. */
    private static boolean isHeadRow(
            List<Cues> all, Map<Integer, Map<Integer, Integer>> below, Map<Integer, Columns.Use> heads) {
        boolean pointed =
                has(heads, Columns.Kind.POINTS) && (has(heads, Columns.Kind.NUMBER) || askBelow(all, below, heads));
        boolean counted = numbersBelow(all, below)
                        .filter(column -> !has(heads, column, Columns.Kind.QUESTION))
                        .isPresent()
                && askBelow(all, below, heads);
        return has(heads, Columns.Kind.ANSWER)
                || has(heads, Columns.Kind.RIGHT_OPTION)
                || has(heads, Columns.Kind.OPTION)
                || pointed
                || counted;
    }

    /** Gives the columns below a row of heads their uses, also those of numbers and keys that it calls nothing. */
    private static void headed(
            List<Cues> all,
            int headRow,
            Map<Integer, Columns.Use> heads,
            Map<Integer, Map<Integer, Integer>> rows,
            Map<Integer, Columns.Use> uses) {
        Map<Integer, Map<Integer, Integer>> below = below(rows, headRow);
        if (!has(heads, Columns.Kind.NUMBER)) {
            numbersBelow(all, below)
                    .filter(column -> !heads.containsKey(column))
                    .ifPresent(column -> heads.put(column, new Columns.Use(Columns.Kind.NUMBER, "", false)));
        }
        if (!has(heads, Columns.Kind.ANSWER) && !has(heads, Columns.Kind.RIGHT_OPTION)) {
            ColumnContents.key(all, below, heads)
                    .ifPresent(column -> heads.put(column, new Columns.Use(Columns.Kind.ANSWER, "", false)));
        }
        mark(all, headRow, heads, rows, uses);
    }

    /** Whether most cells below the head of the questions are long enough to ask something. */
    private static boolean askBelow(
            List<Cues> all, Map<Integer, Map<Integer, Integer>> rows, Map<Integer, Columns.Use> heads) {
        int column = heads.entrySet().stream()
                .filter(head -> head.getValue().kind() == Columns.Kind.QUESTION)
                .mapToInt(Map.Entry::getKey)
                .findFirst()
                .orElseThrow();
        long asking = rows.values().stream()
                .filter(row -> row.containsKey(column)
                        && all.get(row.get(column)).words().size() >= FEWEST_WORDS)
                .count();
        return rows.size() > 1 && asking * 3 >= rows.size() * 2;
    }

    /** The column that nobody named and that holds nothing but numbers that count on. */
    private static Optional<Integer> numbersBelow(List<Cues> all, Map<Integer, Map<Integer, Integer>> rows) {
        List<Integer> numbers = rows.values().stream()
                .filter(row -> row.containsKey(0))
                .map(row -> all.get(row.get(0)).text().strip().replaceAll("[.)]$", ""))
                .filter(text -> text.matches("\\d{1,3}"))
                .map(Integer::parseInt)
                .toList();
        boolean countOn = numbers.size() == rows.size()
                && IntStream.range(1, numbers.size()).allMatch(i -> numbers.get(i) == numbers.get(i - 1) + 1);
        return countOn && !numbers.isEmpty() ? Optional.of(0) : Optional.empty();
    }

    private static Map<Integer, Map<Integer, Integer>> below(Map<Integer, Map<Integer, Integer>> rows, int row) {
        return new TreeMap<>(new TreeMap<>(rows).tailMap(row, false));
    }

    /** A table whose first row names nothing we know, or is a question itself. */
    private static void withoutHeads(
            List<Cues> all, Map<Integer, Map<Integer, Integer>> rows, Map<Integer, Columns.Use> uses) {
        int first = rows.keySet().iterator().next();
        Map<Integer, Columns.Use> whole = ColumnContents.find(all, rows);
        Map<Integer, Columns.Use> rest = whole.isEmpty() ? ColumnContents.find(all, below(rows, first)) : Map.of();
        if (!whole.isEmpty()) {
            mark(all, first - 1, whole, rows, uses);
        } else if (!rest.isEmpty()) {
            mark(all, first, rest, rows, uses);
        }
    }

    private static boolean has(Map<Integer, Columns.Use> heads, Columns.Kind kind) {
        return heads.values().stream().anyMatch(use -> use.kind() == kind);
    }

    private static boolean has(Map<Integer, Columns.Use> heads, int column, Columns.Kind kind) {
        return heads.containsKey(column) && heads.get(column).kind() == kind;
    }

    private static void mark(
            List<Cues> all,
            int headRow,
            Map<Integer, Columns.Use> heads,
            Map<Integer, Map<Integer, Integer>> rows,
            Map<Integer, Columns.Use> uses) {
        rows.getOrDefault(headRow, Map.of())
                .values()
                .forEach(piece -> uses.put(piece, new Columns.Use(Columns.Kind.HEAD, "", false)));
        Map<Integer, String> names = new HashMap<>();
        rows.getOrDefault(headRow, Map.of())
                .forEach((column, piece) -> names.put(column, ColumnHeads.name(all.get(piece))));
        for (Map.Entry<Integer, Map<Integer, Integer>> row : rows.entrySet()) {
            // "Total | 20" below the questions is none of them.
            boolean sum = row.getValue().values().stream()
                    .findFirst()
                    .filter(piece -> all.get(piece).is(Cues.Trait.END_WORD))
                    .isPresent();
            if (row.getKey() > headRow && sum) {
                row.getValue()
                        .values()
                        .forEach(piece -> uses.put(piece, new Columns.Use(Columns.Kind.HEAD, "", false)));
            } else if (row.getKey() > headRow) {
                boolean first = true;
                for (Map.Entry<Integer, Integer> cell : row.getValue().entrySet()) {
                    Columns.Use head = heads.getOrDefault(
                            cell.getKey(),
                            new Columns.Use(Columns.Kind.LABEL, names.getOrDefault(cell.getKey(), ""), false));
                    uses.put(cell.getValue(), new Columns.Use(head.kind(), head.name(), first));
                    first = first && head.kind() == Columns.Kind.LABEL;
                }
            }
        }
    }
}
