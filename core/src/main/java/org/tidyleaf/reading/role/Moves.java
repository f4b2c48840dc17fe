package org.tidyleaf.reading.role;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.tidyleaf.reading.model.Step;

/**
 * The moves to one piece from the steps reached before it, in the order in which they were found. Arrays, because a long
 * document has hundreds of thousands.
 *
 * @param targets the different steps they lead to
 * @param from for each move the place of its first step among those reached before
 * @param to the place of its second step among the targets
 * @param scores how well each fits by itself
 */
record Moves(Step[] targets, int[] from, int[] to, double[] scores) {

    /** The same with every score changed by what its target brings. */
    Moves changed(ToDoubleFunction<Step> change) {
        double[] changes = new double[targets.length];
        boolean any = false;
        for (int i = 0; i < targets.length; i++) {
            changes[i] = change.applyAsDouble(targets[i]);
            any |= changes[i] != 0;
        }
        if (!any) {
            return this;
        }
        double[] changed = scores.clone();
        for (int i = 0; i < changed.length; i++) {
            changed[i] += changes[to[i]];
        }
        return new Moves(targets, from, to, changed);
    }

    /** Gathers the moves to one piece. */
    static final class Finder {
        private final List<Step> targets = new ArrayList<>();
        private int[] from = new int[64];
        private int[] to = new int[64];
        private double[] scores = new double[64];
        private int count;

        /** @param before the place of the first step among those reached before */
        void add(int before, Step target, double score) {
            if (count == from.length) {
                from = java.util.Arrays.copyOf(from, 2 * count);
                to = java.util.Arrays.copyOf(to, 2 * count);
                scores = java.util.Arrays.copyOf(scores, 2 * count);
            }
            int place = targets.indexOf(target);
            if (place < 0) {
                place = targets.size();
                targets.add(target);
            }
            from[count] = before;
            to[count] = place;
            scores[count++] = score;
        }

        Moves found() {
            return new Moves(
                    targets.toArray(Step[]::new),
                    java.util.Arrays.copyOf(from, count),
                    java.util.Arrays.copyOf(to, count),
                    java.util.Arrays.copyOf(scores, count));
        }
    }
}
