package org.tidyleaf.reading.role;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.Survey;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Layouts;
import org.tidyleaf.reading.model.Step;

/**
 * Gives every piece its role: the sequence of steps with the best sum of scores, by dynamic programming over the whole
 * document (Viterbi), with pins as hard constraints. The distance to the best sequence that explains a piece otherwise
 * is its doubt.
 */
public final class RoleAssigner {

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

    /** For each piece the moves that lead to it. */
    private final List<Moves> moves = new ArrayList<>();

    /** What the teacher says and what that teaches about each piece. */
    private final List<Constraint> constraints;

    private RoleAssigner(List<Cues> all, Habits habits, Pins pins, Lessons lessons, Layouts layouts) {
        this.layouts = layouts;
        this.all = all;
        this.habits = habits;
        this.pins = pins;
        this.scorer = new RoleScorer(all, habits, layouts.columns(), lessons);
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
    public static List<Assigned> assign(Survey survey, Pins pins, Lessons lessons) {
        RoleAssigner assigner = new RoleAssigner(survey.cues(), survey.habits(), pins, lessons, survey.layouts());
        Trace trace = assigner.run(survey.trace());
        survey.remember(trace);
        return trace.assigned();
    }

    /** What a run found out on its way, for the next one over the same pieces. */
    public record Trace(
            List<Constraint> constraints,
            List<Layer> forward,
            List<double[]> backward,
            List<Moves> moves,
            List<Assigned> assigned) {}

    /** What binds or teaches a piece. */
    private record Constraint(Optional<Pins.Pin> pin, boolean concerned, Optional<Pins.Pin> lesson) {

        /** Whether the same steps are possible; lessons only change how well they fit. */
        boolean bindsAs(Constraint other) {
            return concerned == other.concerned && pin.equals(other.pin);
        }
    }

    private Trace run(Optional<Trace> earlier) {
        List<Layer> forward = forward(earlier);
        List<double[]> backward = backward(forward, earlier);
        List<Assigned> result = new ArrayList<>();
        int at = all.isEmpty() ? 0 : best(forward.get(all.size() - 1));
        for (int i = all.size() - 1; i >= 0; i--) {
            Layer layer = forward.get(i);
            result.add(new Assigned(all.get(i), layer.step(at), doubt(at, layer, backward.get(i))));
            at = layer.from(at);
        }
        Collections.reverse(result);
        return new Trace(constraints, forward, backward, moves, result);
    }

    private boolean isBoundAsIn(Trace earlier, int index) {
        return constraints.get(index).equals(earlier.constraints().get(index));
    }

    private int best(Layer last) {
        int best = 0;
        for (int i = 1; i < last.size(); i++) {
            double score = last.score(i) + scorer.endScore(last.step(i));
            if (score > last.score(best) + scorer.endScore(last.step(best))) {
                best = i;
            }
        }
        return best;
    }

    private List<Layer> forward(Optional<Trace> earlier) {
        List<Layer> forward = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Layer last = i == 0 ? Layer.START : forward.get(i - 1);
            boolean asBefore = earlier.isPresent()
                    && isBoundAsIn(earlier.get(), i)
                    && (i == 0 || last == earlier.get().forward().get(i - 1));
            if (asBefore) {
                forward.add(earlier.get().forward().get(i));
                moves.add(earlier.get().moves().get(i));
            } else {
                moves.add(moves(i, last, earlier));
                Layer here = Layer.reached(last, moves.get(i), BEAM);
                Optional<Layer> known = earlier.map(trace -> trace.forward().get(forward.size()))
                        .filter(here::isAlike);
                forward.add(known.orElse(here));
            }
        }
        return forward;
    }

    /** All moves to a piece from the steps reached before it, in their order, with their own scores. */
    private Moves moves(int index, Layer last, Optional<Trace> earlier) {
        Optional<Trace> alike = earlier.filter(
                trace -> constraints.get(index).bindsAs(trace.constraints().get(index))
                        && (index == 0 || trace.forward().get(index - 1).hasStepsOf(last)));
        if (alike.isPresent()) {
            Optional<Pins.Pin> then = alike.get().constraints().get(index).lesson();
            Optional<Pins.Pin> now = constraints.get(index).lesson();
            Moves known = alike.get().moves().get(index);
            return isFixed(index) || then.equals(now)
                    ? known
                    : known.changed(to -> Lessons.weight(now, to) - Lessons.weight(then, to));
        }
        Moves.Finder finder = new Moves.Finder();
        for (int from = 0; from < last.size(); from++) {
            for (Step to : allowed(index, last.step(from))) {
                finder.add(from, to, score(index, last.step(from), to));
            }
        }
        return finder.found();
    }

    /** For each step kept, the best score of all ways on to the end. */
    private List<double[]> backward(List<Layer> forward, Optional<Trace> earlier) {
        double[][] backward = new double[all.size()][];
        int last = all.size() - 1;
        for (int i = last; i >= 0; i--) {
            boolean asBefore = earlier.isPresent()
                    && forward.get(i) == earlier.get().forward().get(i)
                    && (i == last
                            || isBoundAsIn(earlier.get(), i + 1)
                                    && forward.get(i + 1)
                                            == earlier.get().forward().get(i + 1)
                                    && backward[i + 1]
                                            == earlier.get().backward().get(i + 1));
            if (asBefore) {
                backward[i] = earlier.get().backward().get(i);
                continue;
            }
            Layer layer = forward.get(i);
            double[] here = i == last
                    ? layer.scores(scorer::endScore)
                    : forward.get(i + 1).onwards(layer.size(), moves.get(i + 1), backward[i + 1]);
            int index = i;
            backward[i] = earlier.map(trace -> trace.backward().get(index))
                    .filter(known -> Layer.areApartByOne(known, here)
                            && earlier.get().forward().get(index).hasStepsOf(layer))
                    .orElse(here);
        }
        return List.of(backward);
    }

    private static double doubt(int chosen, Layer forward, double[] backward) {
        Step step = forward.step(chosen);
        double own = forward.score(chosen) + backward[chosen];
        double other = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < forward.size(); i++) {
            if (forward.step(i).role() != step.role() || forward.step(i).more() != step.more()) {
                other = Math.max(other, forward.score(i) + backward[i]);
            }
        }
        return 1 / (1 + Math.exp(Math.min(50, (own - other) / TEMPERATURE)));
    }

    private double score(int index, Step from, Step to) {
        if (isFixed(index)) {
            return 0;
        }
        return scorer.score(index, from, to);
    }

    /** What asks for the block below it can be nothing else, so it says nothing against a heading above. */
    private boolean isFixed(int index) {
        // Nor do the many cells of tables that are none of the question's either way.
        boolean settled = layouts.blocks().isLead(index)
                || layouts.blocks()
                        .at(index)
                        .filter(kind -> kind == Blocks.Kind.SCALE || kind == Blocks.Kind.ANSWER_GRID)
                        .isPresent();
        return settled && !constraints.get(index).concerned();
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
        if (pin.more()) {
            return step.more();
        }
        return step.role() == pin.role() && (pin.either() || !step.more());
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
