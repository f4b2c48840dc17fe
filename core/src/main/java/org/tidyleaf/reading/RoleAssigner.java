package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.LinkedList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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

    /** For each piece the steps that lead to it. */
    private final List<List<Edge>> edges = new ArrayList<>();

    /** What the teacher says and what that teaches about each piece. */
    private final List<Constraint> constraints;

    private RoleAssigner(List<Cues> all, Habits habits, Pins pins, Lessons lessons, Layouts layouts) {
        this.layouts = layouts;
        this.all = all;
        this.habits = habits;
        this.pins = pins;
        this.scorer = new RoleScorer(all, habits, lessons);
        this.constraints = all.stream()
                .map(cues -> new Constraint(pins.at(cues.piece()), pins.concern(cues.piece()), lessons.lesson(cues)))
                .toList();
    }

    /**
     * The roles of all pieces. Where the survey has been read before with other pins, only what those change is worked out
     * anew.
     *
     * All fits are multiples of a half, so sums are exact and the outcome is the same as without.
     */
    static List<Assigned> assign(Survey survey, Pins pins, Lessons lessons) {
        RoleAssigner assigner = new RoleAssigner(survey.cues(), survey.habits(), pins, lessons, survey.layouts());
        Trace trace = assigner.run(survey.trace());
        survey.remember(trace);
        return trace.assigned();
    }

    /** What a run found out on its way, for the next one over the same pieces. */
    record Trace(
            List<Constraint> constraints,
            List<Map<Step, Reached>> forward,
            List<Map<Step, Double>> backward,
            List<List<Edge>> edges,
            List<Assigned> assigned) {}

    /** What binds or teaches a piece. */
    private record Constraint(Optional<Pins.Pin> pin, boolean concerned, Optional<Pins.Pin> lesson) {

        /** Whether the same steps are possible; lessons only change how well they fit. */
        boolean bindsAs(Constraint other) {
            return concerned == other.concerned && pin.equals(other.pin);
        }
    }

    /** The best score of all sequences that end in a step here, and the step before it. */
    private record Reached(double score, Step from) {}

    /** A step from one piece to the next with its own score. */
    private record Edge(Step from, Step to, double score) {

        /** The same step, scored under another lesson. */
        Edge withLesson(Constraint then, Constraint now) {
            double change = then.lesson().equals(now.lesson())
                    ? 0
                    : Lessons.weight(now.lesson(), to) - Lessons.weight(then.lesson(), to);
            return change == 0 ? this : new Edge(from, to, score + change);
        }
    }

    private Trace run(Optional<Trace> earlier) {
        List<Map<Step, Reached>> forward = forward(earlier);
        List<Map<Step, Double>> backward = backward(forward, earlier);
        List<Assigned> result = new ArrayList<>();
        Step at = all.isEmpty() ? Step.START : best(forward.get(all.size() - 1));
        for (int i = all.size() - 1; i >= 0; i--) {
            result.add(new Assigned(all.get(i), at, doubt(at, forward.get(i), backward.get(i))));
            at = forward.get(i).get(at).from();
        }
        Collections.reverse(result);
        return new Trace(constraints, forward, backward, edges, result);
    }

    private boolean isBoundAsIn(Trace earlier, int index) {
        return constraints.get(index).equals(earlier.constraints().get(index));
    }

    private Step best(Map<Step, Reached> reached) {
        return reached.entrySet().stream()
                .max(Comparator.comparingDouble(e -> e.getValue().score() + scorer.endScore(e.getKey())))
                .orElseThrow()
                .getKey();
    }

    private List<Map<Step, Reached>> forward(Optional<Trace> earlier) {
        List<Map<Step, Reached>> forward = new ArrayList<>();
        Map<Step, Reached> start = Map.of(Step.START, new Reached(0, Step.START));
        for (int i = 0; i < all.size(); i++) {
            Map<Step, Reached> last = i == 0 ? start : forward.get(i - 1);
            boolean asBefore = earlier.isPresent()
                    && isBoundAsIn(earlier.get(), i)
                    && (i == 0 || last == earlier.get().forward().get(i - 1));
            if (asBefore) {
                forward.add(earlier.get().forward().get(i));
                edges.add(earlier.get().edges().get(i));
            } else {
                edges.add(edges(i, last, earlier));
                Map<Step, Reached> here = reached(last, edges.get(i));
                Optional<Map<Step, Reached>> known =
                        earlier.map(trace -> trace.forward().get(forward.size()));
                forward.add(known.filter(map -> isAlike(map, here)).orElse(here));
            }
        }
        return forward;
    }

    /** All steps to a piece from those reached before it, in their order, with their own scores. */
    private List<Edge> edges(int index, Map<Step, Reached> last, Optional<Trace> earlier) {
        Optional<Trace> alike = earlier.filter(trace ->
                constraints.get(index).bindsAs(trace.constraints().get(index))
                        && (index == 0
                                || List.copyOf(trace.forward().get(index - 1).keySet())
                                        .equals(List.copyOf(last.keySet()))));
        if (alike.isPresent()) {
            Constraint then = alike.get().constraints().get(index);
            Constraint now = constraints.get(index);
            List<Edge> known = alike.get().edges().get(index);
            return isFixed(index)
                    ? known
                    : known.stream().map(edge -> edge.withLesson(then, now)).toList();
        }
        List<Edge> found = new ArrayList<>();
        for (Step from : last.keySet()) {
            for (Step to : allowed(index, from)) {
                found.add(new Edge(from, to, score(index, from, to)));
            }
        }
        return List.copyOf(found);
    }

    private static Map<Step, Reached> reached(Map<Step, Reached> last, List<Edge> edges) {
        Map<Step, Reached> here = new LinkedHashMap<>();
        for (Edge edge : edges) {
            double score = last.get(edge.from()).score() + edge.score();
            Reached known = here.get(edge.to());
            if (known == null || known.score() < score) {
                here.put(edge.to(), new Reached(score, edge.from()));
            }
        }
        return pruned(here);
    }

    /** The same steps in the same order from the same places, all scores apart by one number: what follows is the same. */
    private static boolean isAlike(Map<Step, Reached> one, Map<Step, Reached> other) {
        if (one.size() != other.size()) {
            return false;
        }
        Iterator<Map.Entry<Step, Reached>> others = other.entrySet().iterator();
        double apart = Double.NaN;
        for (Map.Entry<Step, Reached> mine : one.entrySet()) {
            Map.Entry<Step, Reached> theirs = others.next();
            double distance = mine.getValue().score() - theirs.getValue().score();
            apart = Double.isNaN(apart) ? distance : apart;
            boolean same = mine.getKey().equals(theirs.getKey())
                    && mine.getValue().from().equals(theirs.getValue().from())
                    && distance == apart;
            if (!same) {
                return false;
            }
        }
        return true;
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
    private List<Map<Step, Double>> backward(List<Map<Step, Reached>> forward, Optional<Trace> earlier) {
        LinkedList<Map<Step, Double>> backward = new LinkedList<>();
        int last = all.size() - 1;
        for (int i = last; i >= 0; i--) {
            Map<Step, Double> next = i == last ? Map.of() : backward.getFirst();
            boolean asBefore = earlier.isPresent()
                    && forward.get(i) == earlier.get().forward().get(i)
                    && (i == last
                            || isBoundAsIn(earlier.get(), i + 1)
                                    && forward.get(i + 1)
                                            == earlier.get().forward().get(i + 1)
                                    && next == earlier.get().backward().get(i + 1));
            if (asBefore) {
                backward.addFirst(earlier.get().backward().get(i));
                continue;
            }
            Map<Step, Double> here = new LinkedHashMap<>();
            for (Step step : forward.get(i).keySet()) {
                here.put(step, i == last ? scorer.endScore(step) : Double.NEGATIVE_INFINITY);
            }
            for (Edge edge : i == last ? List.<Edge>of() : edges.get(i + 1)) {
                Double onwards = next.get(edge.to());
                if (onwards != null) {
                    here.merge(edge.from(), edge.score() + onwards, Math::max);
                }
            }
            int index = i;
            Optional<Map<Step, Double>> known =
                    earlier.map(trace -> trace.backward().get(index)).filter(map -> isApartByOne(map, here));
            backward.addFirst(known.orElse(here));
        }
        return List.copyOf(backward);
    }

    private static boolean isApartByOne(Map<Step, Double> one, Map<Step, Double> other) {
        if (!one.keySet().equals(other.keySet())) {
            return false;
        }
        double apart = Double.NaN;
        for (Map.Entry<Step, Double> mine : one.entrySet()) {
            double theirs = other.get(mine.getKey());
            double distance = mine.getValue().equals(theirs) ? 0 : mine.getValue() - theirs;
            boolean open = Double.isInfinite(mine.getValue()) && Double.isInfinite(theirs);
            apart = Double.isNaN(apart) && !open ? distance : apart;
            if (!open && distance != apart) {
                return false;
            }
        }
        return true;
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
        if (isFixed(index)) {
            return 0;
        }
        Optional<Cues> before = index == 0 ? Optional.empty() : Optional.of(all.get(index - 1));
        return scorer.score(index, all.get(index), before, from, to);
    }

    /** What asks for the block below it can be nothing else, so it says nothing against a heading above. */
    private boolean isFixed(int index) {
        return layouts.blocks().isLead(index) && !constraints.get(index).concerned();
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
