package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.PrintedPairs;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Cell;

/** "1. What drives the clock? | mainspring": a table of two columns without heads, questions on the left and their answers beside them. */
final class AnswersBeside {

    private static final int FEWEST = 3;

    private AnswersBeside() {}

    static void mark(List<Cues> all) {
        Map<Integer, Map<Integer, List<Integer>>> tables = new TreeMap<>();
        for (int i = 0; i < all.size(); i++) {
            Cell cell = all.get(i).line().layout().cell().orElse(null);
            if (cell != null && cell.columns() == 2) {
                tables.computeIfAbsent(cell.table(), table -> new TreeMap<>())
                        .computeIfAbsent(cell.row(), row -> new ArrayList<>())
                        .add(i);
            }
        }
        tables.values().forEach(rows -> mark(all, rows));
    }

    private static void mark(List<Cues> all, Map<Integer, List<Integer>> rows) {
        List<Integer> answers = new ArrayList<>();
        int asked = 0;
        for (List<Integer> row : rows.values()) {
            Cues left = all.get(row.get(0));
            boolean question = row.size() == 2 && left.has(Label.Kind.NUMBER) && asks(left);
            if (question && isAnswer(left, all.get(row.get(1)))) {
                answers.add(row.get(1));
            }
            asked += question ? 1 : 0;
            // A row with a single cell may name a part; anything else beside numbers is another kind of table.
            if (row.size() > 1 && !question) {
                return;
            }
        }
        for (int answer : asked >= FEWEST && answers.size() == asked ? answers : List.<Integer>of()) {
            all.set(answer, all.get(answer).asAnswer());
        }
    }

    private static boolean asks(Cues cues) {
        return cues.is(Cues.Trait.QUESTION_MARK) || cues.is(Cues.Trait.ENDS_SENTENCE) || cues.is(Cues.Trait.GAP);
    }

    /** Something is written there, and it is neither an option nor a question, nor a word in capitals to put into another form. */
    private static boolean isAnswer(Cues left, Cues cues) {
        Cell cell = cues.line().layout().cell().orElseThrow();
        boolean given =
                left.is(Cues.Trait.GAP) && cues.text().equals(cues.text().toUpperCase(Locale.ROOT));
        return cell.column() == 1
                && !given
                && cues.lead().isEmpty()
                && !cues.has(Label.Kind.LETTER)
                && !cues.has(Label.Kind.BOX)
                && !cues.is(Cues.Trait.GAP)
                && !cues.is(Cues.Trait.QUESTION_MARK)
                && !cues.is(Cues.Trait.WRITING_LINE)
                && PointsFinder.only(cues.text()).isEmpty()
                && PrintedPairs.possible(cues.words()).isEmpty()
                && cues.text().codePoints().anyMatch(Character::isLetterOrDigit);
    }
}
