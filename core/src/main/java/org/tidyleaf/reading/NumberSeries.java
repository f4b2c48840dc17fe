package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Which labels of one shape count on through the document, so that they may number its questions. */
final class NumberSeries {

    private static final List<String> NUMERALS = List.of("i", "ii", "iii", "iv", "v", "vi", "vii", "viii");

    private static final int MOST_MISSING = 5;

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
                                || HabitFinder.isWorded(seen.get(0).label().shape()))
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
        if (seen.isEmpty()) {
            return List.of();
        }
        int[] previous = new int[seen.size()];
        double[] length = new double[seen.size()];
        Map<Integer, Integer> latest = new HashMap<>();
        int best = 0;
        for (int i = 0; i < seen.size(); i++) {
            int ordinal = seen.get(i).label().ordinal();
            previous[i] = -1;
            length[i] = ordinal == 1 ? 1 : 0.5;
            for (int step = 0; step <= 2; step++) {
                Integer before = latest.get(ordinal - step);
                double reached = before == null ? 0 : length[before] + gain(seen, before, i, step);
                if (before != null && reached > length[i]) {
                    previous[i] = before;
                    length[i] = reached;
                }
            }
            Integer rival = latest.get(ordinal);
            if (rival == null || length[i] >= length[rival]) {
                latest.put(ordinal, i);
            }
            best = length[i] > length[best] ? i : best;
        }
        return withNeighbours(seen, previous, best);
    }

    /** What stands behind the digits: "b" of "12b". */
    private static String part(String printed) {
        return printed.replaceFirst("^\\d+", "");
    }

    /** What a step from one label to another is worth; the same number goes on only with another letter (12a, 12b). */
    private static double gain(List<Seen> seen, int from, int to, int step) {
        if (step == 0) {
            String above = seen.get(from).label().printed();
            String here = seen.get(to).label().printed();
            boolean numerals =
                    NUMERALS.contains(part(above)) && NUMERALS.indexOf(part(here)) == NUMERALS.indexOf(part(above)) + 1;
            return numerals
                            || above.length() == here.length()
                                    && !Character.isDigit(here.charAt(here.length() - 1))
                                    && above.compareTo(here) < 0
                    ? 1
                    : -1;
        }
        return step == 1 ? 1 : 0.4;
    }

    private static List<Seen> withNeighbours(List<Seen> seen, int[] previous, int last) {
        List<Seen> members = new ArrayList<>();
        int first = last;
        for (int at = last; at >= 0; at = previous[at]) {
            members.add(0, seen.get(at));
            first = at;
        }
        List<Seen> all = new ArrayList<>();
        List<Seen> before = chain(seen.subList(0, first));
        List<Seen> after = chain(seen.subList(last + 1, seen.size()));
        all.addAll(before.size() > 1 ? before : List.of());
        all.addAll(members);
        all.addAll(after.size() > 1 || isLast(members, after) ? after : List.of());
        return all;
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
