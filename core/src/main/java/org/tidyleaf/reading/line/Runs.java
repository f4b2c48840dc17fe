package org.tidyleaf.reading.line;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiPredicate;
import java.util.function.Predicate;
import org.tidyleaf.reading.model.Cues;

/** Pieces right below one another that are alike. */
public final class Runs {

    private Runs() {}

    /**
     * A run of pieces.
     *
     * @param from the place of the first
     * @param to the place behind the last
     */
    public record Run(int from, int to) {

        public int size() {
            return to - from;
        }

        public List<Cues> in(List<Cues> all) {
            return all.subList(from, to);
        }
    }

    /** All runs of so many pieces or more, from above. */
    public static List<Run> find(List<Cues> all, Predicate<Cues> alike, int fewest) {
        return counting(all, (cues, above) -> alike.test(cues), fewest);
    }

    /**
     * The same of pieces that count on.
     *
     * @param next whether a piece goes on with a run of so many above it
     */
    public static List<Run> counting(List<Cues> all, BiPredicate<Cues, Integer> next, int fewest) {
        List<Run> runs = new ArrayList<>();
        int from = 0;
        while (from < all.size()) {
            int to = from;
            while (to < all.size() && next.test(all.get(to), to - from)) {
                to++;
            }
            if (to - from >= fewest) {
                runs.add(new Run(from, to));
            }
            from = Math.max(to, from + 1);
        }
        return runs;
    }
}
