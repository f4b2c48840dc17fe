package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Cell;

/**
 * Tables of answers with a row for each part of the test: "II | 1 wax  2 comb", or the numbers of the questions above and the
 * parts before, "Section | 1 | 2" over "A | b | c".
 */
final class KeyTablesByPart {

    private static final Pattern PART = Vocabulary.pattern("(?:" + Vocabulary.ALL.either("section", "question")
            + ")\\.?\\s+(?:\\d{1,2}|[A-Z]|[IVX]{1,5})|(?-i:[IVX]{1,5}|[A-H])[.):]?");

    private static final Pattern PART_WORD = Vocabulary.pattern(Vocabulary.ALL.either("section"));

    /** Several answers in one cell. */
    private static final Pattern COUNTED =
            Pattern.compile("[(]?(?:1[.):]?\\s*\\S.*?[\\s,;]+[(]?2|a[.):]?\\s+\\S.*?[\\s,;]+[(]?b)[.):]?\\s*\\S.*");

    private KeyTablesByPart() {}

    /** What is said of one part: all in one text, or of one question of it where a number is given. */
    record Said(String part, String number, String text, int line) {}

    /** Row by row; empty where it is no such table. */
    static List<Said> answers(List<Cues> table) {
        Map<Integer, Map<Integer, KeyTables.Filled>> rows = new TreeMap<>();
        for (Cues cues : table) {
            Cell cell = cues.line().layout().cell().orElseThrow();
            // What stands behind letters in one line is cut apart: the line has it all.
            String text = cues.piece().first() ? cues.line().text().strip() : "";
            rows.computeIfAbsent(cell.row(), row -> new TreeMap<>())
                    .merge(cell.column(), new KeyTables.Filled(text, cues), KeyTablesByPart::joined);
        }
        List<Map<Integer, KeyTables.Filled>> all = List.copyOf(rows.values());
        List<Said> below = belowNumbers(all);
        return below.isEmpty() ? inOneCell(all) : below;
    }

    private static List<Said> inOneCell(List<Map<Integer, KeyTables.Filled>> rows) {
        List<Said> said = new ArrayList<>();
        int counted = 0;
        for (Map<Integer, KeyTables.Filled> row : rows) {
            String part = text(row, 0);
            boolean named = row.size() == 2 && PART.matcher(part).matches() && row.containsKey(1);
            if (named) {
                counted += COUNTED.matcher(text(row, 1)).matches() ? 1 : 0;
                said.add(new Said(
                        bare(part), "", text(row, 1), row.get(1).first().line().number()));
            } else if (!said.isEmpty()) {
                return List.of();
            }
        }
        return counted > 1 ? said : List.of();
    }

    private static List<Said> belowNumbers(List<Map<Integer, KeyTables.Filled>> rows) {
        Map<Integer, KeyTables.Filled> heads = rows.get(0);
        int numbers = 0;
        while (text(heads, numbers + 1).replaceAll("[.):]$", "").equals(String.valueOf(numbers + 1))) {
            numbers++;
        }
        if (numbers < 2
                || numbers
                        != heads.keySet().stream().filter(column -> column > 0).count()) {
            return List.of();
        }
        Optional<String> word = Optional.of(text(heads, 0))
                .filter(head -> PART_WORD.matcher(head).matches());
        List<Said> said = new ArrayList<>();
        for (Map<Integer, KeyTables.Filled> row : rows.subList(1, rows.size())) {
            String part = bare(text(row, 0));
            boolean named =
                    PART.matcher(part).matches() || word.isPresent() && part.matches("\\d{1,2}|[A-Z]|[IVX]{1,5}");
            if (!named) {
                return List.of();
            }
            String whole = word.isPresent() && part.matches("\\S+") ? word.get() + " " + part : part;
            row.forEach((column, cues) -> {
                if (column > 0) {
                    said.add(new Said(
                            whole,
                            String.valueOf(column),
                            cues.text(),
                            cues.first().line().number()));
                }
            });
        }
        return said;
    }

    private static KeyTables.Filled joined(KeyTables.Filled above, KeyTables.Filled below) {
        return new KeyTables.Filled((above.text() + " " + below.text()).strip(), above.first());
    }

    private static String bare(String part) {
        return part.replaceAll("[.):]$", "");
    }

    private static String text(Map<Integer, KeyTables.Filled> row, int column) {
        return row.containsKey(column) ? row.get(column).text().strip() : "";
    }
}
