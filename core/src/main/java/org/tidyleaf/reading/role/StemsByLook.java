package org.tidyleaf.reading.role;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.Label;

/**
 * Questions without numbers and options without letters, right below one another: what is asked is set bold, or what is offered is
 * indented, or only what is asked ends as a question, again and again and in nearly all lines of the document.
 */
final class StemsByLook {

    private static final int FEWEST_GROUPS = 2;

    /** What nothing but a question mark tells apart must come oftener, each time with as many lines below it. */
    private static final int FEWEST_ASKING = 3;

    private static final int MOST_OPTIONS = 8;

    /** What tells an option from the line that asks. */
    private interface Look {
        boolean isBelow(Cues stem, Cues option);
    }

    /**
     * The places of both.
     *
     * @param stems the lines that ask
     * @param options the lines below them
     */
    record Found(Set<Integer> stems, Set<Integer> options) {
        private static final Found NONE = new Found(Set.of(), Set.of());
    }

    private StemsByLook() {}

    static Found find(List<Cues> all, Habits habits) {
        if (habits.numbersStems() || habits.lettersOptions()) {
            return Found.NONE;
        }
        List<List<Integer>> indented = groups(
                all,
                (stem, option) ->
                        option.line().layout().indent() > stem.line().layout().indent());
        List<List<Integer>> bold = groups(all, (stem, option) -> stem.is(Trait.BOLD) && !option.is(Trait.BOLD));
        List<List<Integer>> asking =
                groups(all, (stem, option) -> stem.is(Trait.QUESTION_MARK) && !option.is(Trait.QUESTION_MARK));
        boolean alike = asking.size() >= FEWEST_ASKING
                && asking.stream().map(List::size).distinct().count() == 1;
        for (List<List<Integer>> groups : List.of(indented, bold, alike ? asking : List.<List<Integer>>of())) {
            if (groups.size() >= FEWEST_GROUPS && areNearlyAll(all, groups) && ask(all, groups)) {
                return found(groups);
            }
        }
        return Found.NONE;
    }

    private static Found found(List<List<Integer>> groups) {
        Set<Integer> stems = new HashSet<>();
        Set<Integer> options = new HashSet<>();
        groups.forEach(group -> {
            stems.add(group.get(0));
            options.addAll(group.subList(1, group.size()));
        });
        return new Found(stems, options);
    }

    /** A line and the two lines or more below it that the look tells from it. */
    private static List<List<Integer>> groups(List<Cues> all, Look look) {
        List<List<Integer>> groups = new ArrayList<>();
        int at = 0;
        while (at < all.size()) {
            List<Integer> group = new ArrayList<>(List.of(at));
            int next = at + 1;
            while (isPlain(all.get(at))
                    && next < all.size()
                    && isOffered(all.get(next))
                    && look.isBelow(all.get(at), all.get(next))
                    && indent(all, next) == indent(all, at + 1)) {
                group.add(next);
                next++;
            }
            if (group.size() > 2 && group.size() <= MOST_OPTIONS + 1) {
                groups.add(group);
            }
            at = group.size() > 2 ? next : at + 1;
        }
        return groups;
    }

    private static int indent(List<Cues> all, int place) {
        return all.get(place).line().layout().indent();
    }

    private static boolean isOffered(Cues cues) {
        return isPlain(cues) && cues.is(Trait.SHORT) && !cues.is(Trait.GAP) && !cues.is(Trait.COLON);
    }

    /** Text of its own, without any sign before it. */
    static boolean isPlain(Cues cues) {
        boolean furniture = cues.is(Trait.RULE)
                || cues.is(Trait.WRITING_LINE)
                || cues.is(Trait.FILL_IN)
                || cues.is(Trait.OFF_BODY)
                || cues.is(Trait.END_WORD)
                || cues.is(Trait.FIGURE_ONLY)
                || cues.is(Trait.POINTS_ONLY)
                || cues.is(Trait.HEADING)
                || cues.is(Trait.SECTION_WORD) && !cues.is(Trait.QUESTION_MARK);
        // "E. coli was found", "0.3 mm": what letters and numbers nothing.
        boolean listed = cues.has(Label.Kind.BULLET) || cues.has(Label.Kind.BOX) || cues.has(Label.Kind.NUMBER);
        return !furniture && !listed && cues.lead().isEmpty() && isOutsideTables(cues);
    }

    /** In no table, or in one of a single column, which is only a frame. */
    static boolean isOutsideTables(Cues cues) {
        return cues.line().layout().cell().filter(cell -> cell.columns() > 1).isEmpty();
    }

    private static boolean areNearlyAll(List<Cues> all, List<List<Integer>> groups) {
        long plain = all.stream()
                .filter(cues -> isPlain(cues) && !cues.is(Trait.LONG))
                .count();
        return groups.stream().mapToInt(List::size).sum() * 4 >= plain * 3;
    }

    /** Most of what stands over the lists asks, by itself or by what it offers, or all of the lists are of one length. */
    private static boolean ask(List<Cues> all, List<List<Integer>> groups) {
        long asking = groups.stream().filter(group -> asks(all, group)).count();
        boolean alike = groups.size() >= FEWEST_ASKING
                && groups.stream().map(List::size).distinct().count() == 1;
        return asking * 2 >= groups.size() || alike;
    }

    private static boolean asks(List<Cues> all, List<Integer> group) {
        Cues stem = all.get(group.get(0));
        int behind = group.get(group.size() - 1) + 1;
        List<Cues> options =
                group.subList(1, group.size()).stream().map(all::get).toList();
        return stem.is(Trait.QUESTION_MARK)
                || stem.is(Trait.GAP)
                || stem.is(Trait.COLON)
                || stem.is(Trait.BOLD)
                || options.stream().allMatch(option -> option.is(Trait.JUDGEMENT_WORD))
                || options.stream().anyMatch(option -> option.sign().isPresent())
                || behind < all.size() && all.get(behind).announces(Cues.Announces.KEY);
    }
}
