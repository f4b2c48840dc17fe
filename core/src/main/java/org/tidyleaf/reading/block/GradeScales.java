package org.tidyleaf.reading.block;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Cell;

/**
 * "Points | 0-8 | 9-12" over "Grade | 4 | 3", "Task | 1 | 2 | Total" over "Points | / 4 | / 6": a table of how many points
 * earn which grade, or where they are filled in, says nothing that is asked.
 */
final class GradeScales {

    /** A number, a range of them, a share, a grade's letter, or room for one. */
    private static final Pattern VALUE = Pattern.compile(
            "(?:from |up to |<|>|\u2264|\u2265|/)?\\s*\\d{1,3}(?:[.,]\\d)?\\s*%?(?:\\s*(?:[\u2013\u2014-]|to|bis|a|\u00e0)\\s*\\d{1,3}(?:[.,]\\d)?\\s*%?)?|[A-F][+-]?|[\\s_.\u2026/]*");

    /** How many points a column stands for. */
    private static final Pattern LEVEL = Pattern.compile("\\d");

    private static final int FEWEST_LEVELS = 3;
    private static final int FEWEST_VALUES = 4;
    private static final int MOST_HEADS = 4;
    private static final int LONGEST_NAME = 3;

    private GradeScales() {}

    /** The pieces of all such tables. */
    static Set<Integer> find(List<Cues> all) {
        Map<Integer, List<Integer>> tables = new LinkedHashMap<>();
        for (int i = 0; i < all.size(); i++) {
            Optional<Cell> cell = all.get(i).line().layout().cell();
            if (cell.isPresent()) {
                tables.computeIfAbsent(cell.get().table(), table -> new ArrayList<>())
                        .add(i);
            }
        }
        Set<Integer> found = new HashSet<>();
        for (List<Integer> table : tables.values()) {
            if (isOne(all, table) || isRubric(all, table) || isLevels(all, table)) {
                found.addAll(table);
                int above = table.get(0) - 1;
                if (above >= 0 && isNameOfRubric(all.get(above))) {
                    found.add(above);
                }
            }
        }
        return found;
    }

    /** "Rubric", "Marking criteria:" and nothing else. */
    private static boolean isNameOfRubric(Cues cues) {
        return cues.labels().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && cues.words().size() <= LONGEST_NAME
                && Vocabulary.ALL.mentions(cues.words(), "rubric");
    }

    private static boolean isOne(List<Cues> all, List<Integer> table) {
        int heads = 0;
        int values = 0;
        boolean points = false;
        boolean others = false;
        for (int piece : table) {
            Cues cues = all.get(piece);
            boolean named = Vocabulary.ALL.mentions(cues.words(), "points");
            boolean other = Vocabulary.ALL.mentions(cues.words(), "grade", "question", "total");
            if (VALUE.matcher(cues.text()).matches()) {
                values++;
            } else if ((named || other) && cues.words().size() <= 2) {
                heads++;
                points |= named;
                others |= other;
            } else {
                return false;
            }
        }
        return points && others && heads <= MOST_HEADS && values >= FEWEST_VALUES;
    }

    /** "Points | What is expected" over "8-10 | …" and "4-7 | …": two columns, and in the first nothing but points. */
    private static boolean isLevels(List<Cues> all, List<Integer> table) {
        List<Cues> firsts = column(all, table, 0);
        boolean named = firsts.size() > 2
                && Vocabulary.ALL.mentions(firsts.get(0).words(), "points")
                && firsts.get(0).words().size() <= 2
                && column(all, table, 1).size() >= firsts.size()
                && column(all, table, 2).isEmpty();
        return named
                && firsts.stream()
                        .skip(1)
                        .allMatch(cues -> VALUE.matcher(cues.text()).matches()
                                && LEVEL.matcher(cues.text()).find())
                && firsts.stream().anyMatch(cues -> cues.is(Cues.Trait.RANGE));
    }

    private static List<Cues> column(List<Cues> all, List<Integer> table, int column) {
        return table.stream()
                .map(all::get)
                .filter(cues -> cues.line().layout().cell().orElseThrow().column() == column)
                .toList();
    }

    /** "Criterion | 0-1 | 2-3 | 4-5" over words in every row: how an essay is to be marked. */
    private static boolean isRubric(List<Cues> all, List<Integer> table) {
        List<String> heads = table.stream()
                .map(all::get)
                .filter(cues -> cues.line().layout().cell().orElseThrow().row() == 0)
                .map(Cues::text)
                .toList();
        boolean worth = heads.size() == 2
                && Vocabulary.ALL.mentions(Words.of(heads.get(0)), "criterion")
                && Vocabulary.ALL.mentions(Words.of(heads.get(1)), "points")
                && column(all, table, 1).stream()
                        .skip(1)
                        .allMatch(cues -> VALUE.matcher(cues.text()).matches());
        return worth
                || heads.size() >= FEWEST_LEVELS
                        && Vocabulary.ALL.mentions(Words.of(heads.get(0)), "criterion")
                        && heads.stream()
                                .skip(1)
                                .allMatch(head -> LEVEL.matcher(head).find());
    }
}
