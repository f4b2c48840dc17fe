package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.tidyleaf.reading.Cues.Trait;

/**
 * Questions without numbers over bullets or boxes, right below one another: where nothing is numbered, the first line
 * without any sign between one list and the next begins a question. That the lists are options shows in what most of the lines over them
 * ask, or in their type.
 */
final class StemsOverLists {

    private StemsOverLists() {}

    /** The places of the first lines of such questions. */
    static Set<Integer> find(List<Cues> all, Habits habits) {
        if (habits.numbersStems()) {
            return Set.of();
        }
        List<Integer> stems = new ArrayList<>();
        int asking = 0;
        int above = 0;
        for (int i = 1; i < all.size(); i++) {
            if (isListed(all.get(i)) && !isListed(all.get(i - 1))) {
                int stem = isListed(all, i + 1) ? first(all, above, i) : -1;
                if (stem >= 0) {
                    stems.add(stem);
                    asking += asks(all.get(i - 1)) ? 1 : 0;
                }
            }
            above = isListed(all.get(i)) ? i + 1 : above;
        }
        return stems.size() > 1 && asking * 2 >= stems.size() ? new HashSet<>(stems) : Set.of();
    }

    /** The first line in bold where one is, else the first that could ask; -1 where none could. */
    private static int first(List<Cues> all, int from, int to) {
        int begin = to;
        while (begin > from && isPlain(all.get(begin - 1))) {
            begin--;
        }
        if (begin == to) {
            return -1;
        }
        boolean bold = all.get(to - 1).is(Trait.BOLD);
        while (bold && !all.get(begin).is(Trait.BOLD)) {
            begin++;
        }
        return begin;
    }

    private static boolean isListed(List<Cues> all, int place) {
        return place < all.size() && isListed(all.get(place));
    }

    private static boolean isListed(Cues cues) {
        return (cues.has(Label.Kind.BULLET) || cues.has(Label.Kind.BOX))
                && cues.line().layout().cell().isEmpty();
    }

    private static boolean isPlain(Cues cues) {
        boolean head = cues.is(Trait.HEADING) || cues.is(Trait.SECTION_WORD) || cues.is(Trait.TYPE_HEAD);
        boolean furniture = cues.is(Trait.RULE)
                || cues.is(Trait.WRITING_LINE)
                || cues.is(Trait.FILL_IN)
                || cues.is(Trait.OFF_BODY)
                || cues.is(Trait.END_WORD)
                || cues.is(Trait.FIGURE_ONLY)
                || cues.is(Trait.POINTS_ONLY);
        return !head
                && !furniture
                && cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && cues.line().layout().cell().isEmpty();
    }

    private static boolean asks(Cues cues) {
        return cues.is(Trait.QUESTION_MARK) || cues.is(Trait.GAP) || cues.is(Trait.BOLD);
    }
}
