package org.tidyleaf.reading.role;

import java.util.Arrays;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.tidyleaf.reading.model.Step;

/** The steps kept for one piece: for each the best score of all sequences that end in it, and the step before it. */
final class Layer {

    /** Before the first piece. */
    static final Layer START = new Layer(new Step[] {Step.START}, new double[] {0}, new int[] {0}, new int[0]);

    private final Step[] steps;
    private final double[] scores;

    /** For each step the place of the one before it in the layer before. */
    private final int[] from;

    /** For each target of the moves its place among the steps, or -1 where it was not kept. */
    private final int[] kept;

    private Layer(Step[] steps, double[] scores, int[] from, int[] kept) {
        this.steps = steps;
        this.scores = scores;
        this.from = from;
        this.kept = kept;
    }

    /** What the moves reach; of more steps than the beam is wide the best, those in the order of their scores. */
    static Layer reached(Layer last, Moves moves, int beam) {
        int count = moves.targets().length;
        double[] best = new double[count];
        int[] from = new int[count];
        Arrays.fill(from, -1);
        for (int i = 0; i < moves.to().length; i++) {
            int to = moves.to()[i];
            double score = last.scores[moves.from()[i]] + moves.scores()[i];
            if (from[to] < 0 || best[to] < score) {
                best[to] = score;
                from[to] = moves.from()[i];
            }
        }
        int[] order = count > beam
                ? Arrays.copyOf(byScore(best), beam)
                : IntStream.range(0, count).toArray();
        int[] kept = new int[count];
        Arrays.fill(kept, -1);
        Step[] steps = new Step[order.length];
        double[] scores = new double[order.length];
        int[] before = new int[order.length];
        for (int i = 0; i < order.length; i++) {
            steps[i] = moves.targets()[order[i]];
            scores[i] = best[order[i]];
            before[i] = from[order[i]];
            kept[order[i]] = i;
        }
        return new Layer(steps, scores, before, kept);
    }

    /** The places of the scores, the best first, equal ones as they stand; there are few, so each is put in where it belongs. */
    private static int[] byScore(double[] scores) {
        int[] order = new int[scores.length];
        for (int i = 0; i < scores.length; i++) {
            int at = i;
            while (at > 0 && scores[order[at - 1]] < scores[i]) {
                order[at] = order[at - 1];
                at--;
            }
            order[at] = i;
        }
        return order;
    }

    int size() {
        return steps.length;
    }

    Step step(int place) {
        return steps[place];
    }

    double score(int place) {
        return scores[place];
    }

    int from(int place) {
        return from[place];
    }

    /** A score for each of its steps. */
    double[] scores(ToDoubleFunction<Step> score) {
        return Arrays.stream(steps).mapToDouble(score).toArray();
    }

    boolean hasStepsOf(Layer other) {
        return Arrays.equals(steps, other.steps);
    }

    /** The same steps in the same order from the same places, all scores apart by one number: what follows is the same. */
    boolean isAlike(Layer other) {
        return hasStepsOf(other)
                && Arrays.equals(from, other.from)
                && Arrays.equals(kept, other.kept)
                && areApartByOne(scores, other.scores);
    }

    /**
     * For each step of the layer before, the best score of all ways on to the end.
     *
     * @param before how many steps that layer has
     * @param moves those that lead here
     * @param here the same for the steps of this layer
     */
    double[] onwards(int before, Moves moves, double[] here) {
        double[] best = new double[before];
        Arrays.fill(best, Double.NEGATIVE_INFINITY);
        for (int i = 0; i < moves.to().length; i++) {
            int place = kept[moves.to()[i]];
            if (place >= 0) {
                best[moves.from()[i]] = Math.max(best[moves.from()[i]], moves.scores()[i] + here[place]);
            }
        }
        return best;
    }

    /** Whether all numbers of the one are those of the other and one more number; endless ones stand against each other. */
    static boolean areApartByOne(double[] one, double[] other) {
        if (one.length != other.length) {
            return false;
        }
        double apart = Double.NaN;
        for (int i = 0; i < one.length; i++) {
            if (Double.isInfinite(one[i]) && Double.isInfinite(other[i])) {
                continue;
            }
            double distance = one[i] - other[i];
            apart = Double.isNaN(apart) ? distance : apart;
            if (distance != apart) {
                return false;
            }
        }
        return true;
    }
}
