package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Gives every piece its role: the sequence of steps with the best sum of scores, by dynamic programming over the whole
 * document (Viterbi), with pins as hard constraints. The distance to the best sequence that explains a piece otherwise
 * is its doubt.
 */
final class RoleAssigner {

    /** Steps kept for each piece; the best sequence was never seen to pass through a worse one. */
    private static final int BEAM = 12;

    /** More options than any test prints for one question. */
    private static final int MOST_OPTIONS = 40;

    /** Score differences are divided by this before they become a doubt. */
    private static final double TEMPERATURE = 1.0;

    private final List<Cues> all;
    private final Habits habits;
    private final Pins pins;
    private final RoleScorer scorer;
    private final Layouts layouts;

    /** For each piece the steps that lead to it, of those kept. */
    private final List<List<Edge>> edges = new ArrayList<>();

    private RoleAssigner(List<Cues> all, Habits habits, Pins pins, Lessons lessons, Layouts layouts) {
        this.layouts = layouts;
        this.all = all;
        this.habits = habits;
        this.pins = pins;
        this.scorer = new RoleScorer(all, habits, lessons);
    }

    /** @param layouts what an answer list or the heads of a table have settled already */
    static List<Assigned> assign(List<Cues> all, Habits habits, Pins pins, Lessons lessons, Layouts layouts) {
        return new RoleAssigner(all, habits, pins, lessons, layouts).run();
    }

    /** The best score of all sequences that end in a step here, and the step before it. */
    private record Reached(double score, Step from) {}

    /** A step from one piece to the next with its own score. */
    private record Edge(Step from, Step to, double score) {}

    private List<Assigned> run() {
        List<Map<Step, Reached>> forward = forward();
        List<Map<Step, Double>> backward = backward(forward);
        List<Assigned> result = new ArrayList<>();
        Step at = all.isEmpty() ? Step.START : best(forward.get(all.size() - 1));
        for (int i = all.size() - 1; i >= 0; i--) {
            result.add(new Assigned(all.get(i), at, doubt(at, forward.get(i), backward.get(i))));
            at = forward.get(i).get(at).from();
        }
        Collections.reverse(result);
        return result;
    }

    private Step best(Map<Step, Reached> reached) {
        return reached.entrySet().stream()
                .max(Comparator.comparingDouble(e -> e.getValue().score() + scorer.endScore(e.getKey())))
                .orElseThrow()
                .getKey();
    }

    private List<Map<Step, Reached>> forward() {
        List<Map<Step, Reached>> forward = new ArrayList<>();
        Map<Step, Reached> last = Map.of(Step.START, new Reached(0, Step.START));
        for (int i = 0; i < all.size(); i++) {
            Map<Step, Reached> here = new LinkedHashMap<>();
            List<Edge> taken = new ArrayList<>();
            for (Map.Entry<Step, Reached> before : last.entrySet()) {
                for (Step to : allowed(i, before.getKey())) {
                    double own = score(i, before.getKey(), to);
                    double score = before.getValue().score() + own;
                    taken.add(new Edge(before.getKey(), to, own));
                    Reached known = here.get(to);
                    if (known == null || known.score() < score) {
                        here.put(to, new Reached(score, before.getKey()));
                    }
                }
            }
            last = pruned(here);
            forward.add(last);
            Set<Step> kept = last.keySet();
            taken.removeIf(edge -> !kept.contains(edge.to()));
            edges.add(List.copyOf(taken));
        }
        return forward;
    }

    private static Map<Step, Reached> pruned(Map<Step, Reached> here) {
        if (here.size() <= BEAM) {
            return here;
        }
        Map<Step, Reached> kept = new LinkedHashMap<>();
        here.entrySet().stream()
                .sorted(Comparator.comparingDouble(e -> -e.getValue().score()))
                .limit(BEAM)
                .forEach(e -> kept.put(e.getKey(), e.getValue()));
        return kept;
    }

    /** For each step kept, the best score of all ways on to the end. */
    private List<Map<Step, Double>> backward(List<Map<Step, Reached>> forward) {
        List<Map<Step, Double>> backward = new ArrayList<>();
        Map<Step, Double> next = Map.of();
        for (int i = all.size() - 1; i >= 0; i--) {
            Map<Step, Double> here = new LinkedHashMap<>();
            for (Step step : forward.get(i).keySet()) {
                here.put(step, i == all.size() - 1 ? scorer.endScore(step) : Double.NEGATIVE_INFINITY);
            }
            for (Edge edge : i == all.size() - 1 ? List.<Edge>of() : edges.get(i + 1)) {
                here.merge(edge.from(), edge.score() + next.get(edge.to()), Math::max);
            }
            backward.add(here);
            next = here;
        }
        Collections.reverse(backward);
        return backward;
    }

    private static double doubt(Step chosen, Map<Step, Reached> forward, Map<Step, Double> backward) {
        double own = forward.get(chosen).score() + backward.get(chosen);
        double other = Double.NEGATIVE_INFINITY;
        for (Map.Entry<Step, Reached> e : forward.entrySet()) {
            Step step = e.getKey();
            if (step.role() != chosen.role() || step.more() != chosen.more()) {
                other = Math.max(other, e.getValue().score() + backward.get(step));
            }
        }
        return 1 / (1 + Math.exp(Math.min(50, (own - other) / TEMPERATURE)));
    }

    private double score(int index, Step from, Step to) {
        // What asks for the block below it can be nothing else, so it says nothing against a heading above.
        if (layouts.blocks().isLead(index) && !pins.concern(all.get(index).piece())) {
            return 0;
        }
        Optional<Cues> before = index == 0 ? Optional.empty() : Optional.of(all.get(index - 1));
        return scorer.score(index, all.get(index), before, from, to);
    }

    private List<Step> allowed(int index, Step from) {
        Optional<Step> settled = layouts.step(index, from);
        if (settled.isPresent() && !pins.concern(all.get(index).piece())) {
            return List.of(settled.get());
        }
        List<Step> steps = possible(all.get(index), from);
        Optional<Pins.Pin> pin = pins.at(all.get(index).piece());
        if (pin.isEmpty()) {
            return steps;
        }
        List<Step> obeying =
                steps.stream().filter(step -> obeys(step, pin.get())).toList();
        // An option pinned where there is no question yet begins one without a stem rather than be ignored.
        return obeying.isEmpty()
                ? List.of(new Step(pin.get().role(), pin.get().more(), Math.max(0, from.option())))
                : obeying;
    }

    private static boolean obeys(Step step, Pins.Pin pin) {
        return pin.more() ? step.more() : step.role() == pin.role() && !step.more();
    }

    private List<Step> possible(Cues cues, Step from) {
        List<Step> steps = new ArrayList<>();
        int option = from.option();
        int outside = option == Step.BEFORE_TITLE ? Step.BEFORE_TITLE : Step.OUTSIDE;
        steps.add(new Step(Role.ASIDE, false, option));
        if (option == Step.BEFORE_TITLE) {
            steps.add(new Step(Role.TITLE, false, Step.OUTSIDE));
        }
        steps.add(new Step(Role.SECTION, false, Step.OUTSIDE));
        steps.add(new Step(Role.INSTRUCTION, from.role() == Role.INSTRUCTION, outside));
        steps.add(new Step(Role.STIMULUS, from.role() == Role.STIMULUS, Step.OUTSIDE));
        steps.add(new Step(Role.STEM, false, 0));
        if (option == 0) {
            steps.add(new Step(Role.STEM, true, 0));
        }
        if (from.inQuestion()) {
            withinQuestion(cues, from, steps);
        }
        return steps;
    }

    private void withinQuestion(Cues cues, Step from, List<Step> steps) {
        int option = from.option();
        int ordinal = habits.optionLabel(cues).map(Label::ordinal).orElse(option + 1);
        if (ordinal <= MOST_OPTIONS) {
            steps.add(new Step(Role.OPTION, false, Math.max(1, ordinal)));
        }
        if (from.role() == Role.OPTION) {
            steps.add(new Step(Role.OPTION, true, option));
        }
        for (Role role : List.of(Role.KEY, Role.FEEDBACK, Role.HINT)) {
            steps.add(new Step(role, false, option));
            if (from.role() == role) {
                steps.add(new Step(role, true, option));
            }
        }
        steps.add(new Step(Role.POINTS, false, option));
        steps.add(new Step(Role.FIGURE, false, option));
    }
}
