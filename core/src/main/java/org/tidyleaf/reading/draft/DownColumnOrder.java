package org.tidyleaf.reading.draft;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Line;

/** Questions whose numbers count down columns ("1)   4)" over "2)   5)" and "3)   6)"), in the order of their numbers. */
final class DownColumnOrder {

    private DownColumnOrder() {}

    /** @param owners for each piece the 1-based place of its question, 0 for none; changed */
    static List<Draft> of(List<Draft> questions, int[] owners) {
        List<Draft> ordered = new ArrayList<>(questions);
        int from = 0;
        while (from < questions.size()) {
            int to = from + 1;
            while (to < questions.size() && isOfOneTable(questions, to)) {
                to++;
            }
            if (isJumbled(questions.subList(from, to))) {
                ordered.subList(from, to).sort(Comparator.comparingInt(DownColumnOrder::number));
            }
            from = to;
        }
        if (ordered.equals(questions)) {
            return questions;
        }
        Map<Draft, Integer> places = new IdentityHashMap<>();
        for (Draft draft : ordered) {
            places.put(draft, places.size() + 1);
        }
        for (int i = 0; i < owners.length; i++) {
            owners[i] = owners[i] == 0 ? 0 : places.get(questions.get(owners[i] - 1));
        }
        return ordered;
    }

    /** Whether a question stands beside the one before it, in a row that follows in its table, or below a line of several. */
    private static boolean isOfOneTable(List<Draft> questions, int place) {
        Draft one = questions.get(place - 1);
        Draft other = questions.get(place);
        if (one.section != other.section || number(one) == 0 || number(other) == 0) {
            return false;
        }
        Optional<Cell> cell = line(one).layout().cell();
        boolean row = cell.isPresent()
                && line(other)
                        .layout()
                        .cell()
                        .filter(next -> next.table() == cell.get().table())
                        .isPresent();
        boolean several = cell.isEmpty() && place > 1 && line(questions.get(place - 2)) == line(one);
        return row || line(one) == line(other) || several;
    }

    private static Line line(Draft draft) {
        return draft.cues.get(0).line();
    }

    /** Whether the numbers are all there from the least to the greatest, but do not stand in their order. */
    private static boolean isJumbled(List<Draft> drafts) {
        List<Integer> numbers = drafts.stream().map(DownColumnOrder::number).toList();
        List<Integer> sorted = numbers.stream().sorted().distinct().toList();
        int last = sorted.size() - 1;
        return sorted.size() == numbers.size() && !sorted.equals(numbers) && sorted.get(last) - sorted.get(0) == last;
    }

    private static int number(Draft draft) {
        return draft.number.matches("\\d{1,4}") ? Integer.parseInt(draft.number) : 0;
    }
}
