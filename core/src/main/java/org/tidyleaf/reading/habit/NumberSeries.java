package org.tidyleaf.reading.habit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;

/** Which labels of one shape count on through the document, so that they may number its questions. */
final class NumberSeries {

    private static final List<String> NUMERALS = List.of("i", "ii", "iii", "iv", "v", "vi", "vii", "viii");

    private static final int MOST_MISSING = 5;

    /** A run is looked for among so many labels; no test has more questions. */
    private static final int MOST_LABELS = 4000;

    private NumberSeries() {}

    /** The members of a series that may number questions; empty where it can't. */
    static Optional<List<Seen>> questionSeries(List<Seen> seen) {
        Label.Kind kind = seen.get(0).label().kind();
        if (kind == Label.Kind.NUMBER) {
            List<Seen> members = chain(seen);
            // A lone number is a year at the start of a line, unless it is the only question of all.
            boolean lone = members.size() == 1 && members.get(0).label().ordinal() != 1;
            return lone ? Optional.empty() : Optional.of(members);
        }
        if (seen.get(0).label().shape().equals(LabelFinder.DECIMAL_SHAPE)) {
            return isCountingOn(seen) ? Optional.of(seen) : Optional.empty();
        }
        return kind == Label.Kind.CODE
                        && (seen.size() >= HabitFinder.CODES_IN_EARNEST
                                || Label.isWorded(seen.get(0).label().shape()))
                ? Optional.of(seen)
                : Optional.empty();
    }

    /** 1.1, 1.2, 2.1, 2.2 and 1.1.1, 1.1.2, 1.2.1: the last number goes on by one, or a further one begins with 1. */
    private static boolean isCountingOn(List<Seen> seen) {
        int fitting = 0;
        for (int i = 1; i < seen.size(); i++) {
            int[] above = numbers(seen.get(i - 1));
            int[] here = numbers(seen.get(i));
            int shared = 0;
            while (shared < Math.min(above.length, here.length) && above[shared] == here[shared]) {
                shared++;
            }
            boolean next = shared < here.length
                    && shared < above.length
                    && (here[shared] == above[shared] + 1 || shared == 0 && here[0] > above[0])
                    && Arrays.stream(here, shared + 1, here.length).allMatch(number -> number == 1);
            boolean deeper = shared == above.length
                    && Arrays.stream(here, shared, here.length).allMatch(number -> number == 1);
            fitting += next || deeper ? 1 : 0;
        }
        boolean pair = seen.size() == 2
                && fitting == 1
                && seen.get(0).label().printed().endsWith(".1");
        return pair || seen.size() >= HabitFinder.CODES_IN_EARNEST && fitting * 4 >= (seen.size() - 1) * 3;
    }

    private static int[] numbers(Seen seen) {
        return Arrays.stream(seen.label().printed().split("\\."))
                .mapToInt(Integer::parseInt)
                .toArray();
    }

    /** The members of the longest run 1, 2, 3, … (a missing number is passed over), and of runs before and after it. */
    static List<Seen> chain(List<Seen> seen) {
        List<List<Seen>> runs = new ArrayList<>();
        List<List<Seen>> before = new ArrayList<>();
        Paths paths = Paths.find(seen, 0);
        int from = 0;
        while (from < seen.size()) {
            if (!paths.stillHold(from)) {
                paths = Paths.find(seen, from);
            }
            List<Integer> run = paths.longestFrom(from);
            runs.add(run.stream().map(seen::get).toList());
            before.add(chain(seen.subList(from, run.get(0))));
            from = run.get(run.size() - 1) + 1;
        }
        List<Seen> after = List.of();
        for (int i = runs.size() - 1; i >= 0; i--) {
            List<Seen> run = runs.get(i);
            boolean begun = before.get(i).size() > 1 || isLoneFirst(before.get(i), run);
            boolean goesOn = after.size() > 1 || isLast(run, after) || isLoneFirst(after, run);
            List<Seen> all = new ArrayList<>(begun ? before.get(i) : List.of());
            all.addAll(run);
            all.addAll(goesOn ? after : List.of());
            after = all;
        }
        return after;
    }

    /**
     * The best run that ends with each label of a window, beginning no earlier than the window.
     *
     * @param start the window's first place; the arrays count from there
     * @param previous the place before each in its run, from the window's start, -1 where a run begins
     * @param length what each run is worth
     * @param earliest where the earliest run begins of all that end at a place or behind it
     * @param whole whether the window reaches to the last label
     */
    private record Paths(int start, int[] previous, double[] length, int[] earliest, boolean whole) {

        static Paths find(List<Seen> all, int start) {
            List<Seen> seen = all.subList(start, Math.min(all.size(), start + MOST_LABELS));
            int[] previous = new int[seen.size()];
            int[] earliest = new int[seen.size()];
            double[] length = new double[seen.size()];
            Map<Integer, Integer> best = new HashMap<>();
            Map<Integer, Integer> nearest = new HashMap<>();
            // How many labels before each begin anew, and how many of each run only go on by their letters.
            int[] begun = new int[seen.size() + 1];
            int[] lettered = new int[seen.size()];
            for (int i = 0; i < seen.size(); i++) {
                int ordinal = seen.get(i).label().ordinal();
                previous[i] = -1;
                length[i] = ordinal == 1 ? 1 : 0.5;
                begun[i + 1] = begun[i] + (ordinal == 1 ? 1 : 0);
                for (int step = 0; step <= 2; step++) {
                    for (Map<Integer, Integer> ends : List.of(nearest, best)) {
                        Integer above = ends.get(ordinal - step);
                        if (above == null) {
                            continue;
                        }
                        // Past a label that begins anew what letters (1a, 1b) made of a run does not count against that
                        // one.
                        double leap = begun[i] > begun[above + 1] ? lettered[above] : 0;
                        double reached = length[above] + gain(seen, above, i, step) - leap;
                        if (reached > length[i]) {
                            previous[i] = above;
                            length[i] = reached;
                            lettered[i] = lettered[above] + (step == 0 ? 1 : 0);
                        }
                    }
                }
                earliest[i] = previous[i] < 0 ? i : earliest[previous[i]];
                int end = end(seen.get(i).label());
                Integer rival = best.get(end);
                if (rival == null || length[i] >= length[rival]) {
                    best.put(end, i);
                }
                nearest.put(end, i);
            }
            for (int i = seen.size() - 2; i >= 0; i--) {
                earliest[i] = Math.min(earliest[i], earliest[i + 1]);
            }
            return new Paths(start, previous, length, earliest, start + seen.size() == all.size());
        }

        /** Whether they are what would be found from a later place on: no run reaches back before it, and enough lies behind it. */
        boolean stillHold(int from) {
            int at = from - start;
            boolean enough = whole || at < length.length / 2;
            return at < length.length && enough && earliest[at] >= at;
        }

        /** The places of the longest run from a place on, the first of several. */
        List<Integer> longestFrom(int from) {
            int best = from - start;
            for (int i = best; i < length.length; i++) {
                best = length[i] > length[best] ? i : best;
            }
            LinkedList<Integer> places = new LinkedList<>();
            for (int at = best; at >= 0; at = previous[at]) {
                places.addFirst(at + start);
            }
            return new ArrayList<>(places);
        }
    }

    /** "7–9" takes the numbers up to 9. */
    private static int end(Label label) {
        int dash = label.printed().indexOf('\u2013');
        return dash < 0 ? label.ordinal() : Integer.parseInt(label.printed().substring(dash + 1));
    }

    /** What stands behind the digits: "b" of "12b". */
    private static String part(String printed) {
        return printed.replaceFirst("^\\d+", "");
    }

    /** "b", "bi", "bii", "c": letters go on, and below each of them its numerals. */
    private static boolean isNextPart(String above, String here) {
        boolean parts = above.matches("[a-h][ivx]*") && here.matches("[a-h][ivx]*");
        if (!parts || above.length() + here.length() == 2) {
            return false;
        }
        int letters = here.charAt(0) - above.charAt(0);
        return letters > 0
                || letters == 0 && NUMERALS.indexOf(here.substring(1)) > NUMERALS.indexOf(above.substring(1));
    }

    /** What a step from one label to another is worth; the same number goes on only with another letter (12a, 12b). */
    private static double gain(List<Seen> seen, int from, int to, int step) {
        if (step == 0) {
            String above = seen.get(from).label().printed();
            String here = seen.get(to).label().printed();
            // Lines that only their place counts print nothing.
            if (here.isEmpty()
                    || !Character.isDigit(here.charAt(0))
                    || Character.isDigit(here.charAt(here.length() - 1))) {
                return -1;
            }
            boolean numerals =
                    NUMERALS.contains(part(above)) && NUMERALS.indexOf(part(here)) == NUMERALS.indexOf(part(above)) + 1;
            return numerals
                            || isNextPart(part(above), part(here))
                            || above.length() == here.length()
                                    && !Character.isDigit(here.charAt(here.length() - 1))
                                    && above.compareTo(here) < 0
                    ? 1
                    : -1;
        }
        return step == 1 ? 1 : 0.4;
    }

    /** The only question of a section, where the numbers of another one begin with 1 too; each section may have but one. */
    private static boolean isLoneFirst(List<Seen> lone, List<Seen> run) {
        return lone.size() == 1
                && lone.get(0).label().ordinal() == 1
                && run.get(0).label().ordinal() == 1;
    }

    /** A lone number behind the run is the last question, where the numbers between are those of pairs or gaps. */
    private static boolean isLast(List<Seen> members, List<Seen> after) {
        if (after.size() != 1 || members.size() < HabitFinder.CODES_IN_EARNEST) {
            return false;
        }
        int missing = after.get(0).label().ordinal()
                - members.get(members.size() - 1).label().ordinal();
        return missing > 0 && missing <= MOST_MISSING;
    }
}
