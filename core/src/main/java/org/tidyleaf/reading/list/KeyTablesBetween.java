package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.tidyleaf.reading.KeySource;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.KeyList;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Cell;

/**
 * "4 | 5 | 6" over "b | T | a" below the questions 4 to 6: small tables of numbers and answers, one after each part of a test
 * that goes on counting.
 */
final class KeyTablesBetween {

    private static final Pattern NUMBER = Pattern.compile("\\W*(\\d{1,3})\\W*");
    private static final Pattern LETTER = Pattern.compile("[(]?[A-Ha-h][).]?");
    private static final int FEWEST = 2;

    private KeyTablesBetween() {}

    static Optional<KeyList> find(List<Cues> all) {
        KeyListReader reader = new KeyListReader(all);
        Set<Integer> answered = new HashSet<>();
        for (List<Integer> table : tables(all)) {
            List<Integer> numbers = numbers(all, table);
            if (numbers.size() >= FEWEST
                    && areAsked(all.subList(0, table.get(0)), numbers)
                    && numbers.stream().allMatch(answered::add)) {
                reader.table(table);
            }
        }
        return reader.items.size() < FEWEST
                ? Optional.empty()
                : Optional.of(new KeyList(List.copyOf(reader.items), Set.copyOf(reader.taken), KeySource.ANSWER_LIST));
    }

    private static List<List<Integer>> tables(List<Cues> all) {
        Map<Integer, List<Integer>> tables = new TreeMap<>();
        for (int i = 0; i < all.size(); i++) {
            Optional<Cell> cell = all.get(i).line().layout().cell();
            if (cell.isPresent() && i > 0) {
                tables.computeIfAbsent(cell.get().table(), table -> new ArrayList<>())
                        .add(i);
            }
        }
        return List.copyOf(tables.values());
    }

    /** The numbers of the first row where the second, and last, has a letter or a word that judges below each of them; else none. */
    private static List<Integer> numbers(List<Cues> all, List<Integer> table) {
        List<Integer> numbers = new ArrayList<>();
        int answers = 0;
        for (int piece : table) {
            Cell cell = all.get(piece).line().layout().cell().orElseThrow();
            String text = all.get(piece).text().strip();
            boolean number = cell.row() == 0 && NUMBER.matcher(text).matches();
            boolean answer = cell.row() == 1
                    && (LETTER.matcher(text).matches()
                            || AnswerParser.judgement(text).isPresent());
            if (!number && !answer) {
                return List.of();
            }
            if (number) {
                numbers.add(Integer.parseInt(text.replaceAll("\\D", "")));
            }
            answers += answer ? 1 : 0;
        }
        return answers == numbers.size() ? numbers : List.of();
    }

    private static boolean areAsked(List<Cues> above, List<Integer> numbers) {
        Set<Integer> asked = new HashSet<>();
        above.stream()
                .filter(cues -> cues.line().layout().cell().isEmpty())
                .flatMap(cues -> cues.labels().stream())
                .filter(label -> label.kind() == Label.Kind.NUMBER)
                .forEach(label -> asked.add(label.ordinal()));
        return asked.containsAll(numbers);
    }
}
