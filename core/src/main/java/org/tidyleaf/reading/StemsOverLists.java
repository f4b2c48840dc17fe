package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
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
        if (stems.size() < 2 || asking * 2 < stems.size()) {
            return Set.of();
        }
        Set<Integer> found = new HashSet<>(stems);
        found.addAll(withoutList(all, stems));
        return found;
    }

    /** Below such questions others without options: a line with a gap, or one set bold as all of theirs are. */
    private static List<Integer> withoutList(List<Cues> all, List<Integer> stems) {
        boolean bold = stems.stream().allMatch(stem -> all.get(stem).is(Trait.BOLD));
        return IntStream.range(stems.get(0) + 1, all.size())
                .filter(i -> isPlain(all.get(i)) && !isListed(all, i + 1))
                .filter(i -> all.get(i).is(Trait.GAP) || bold && all.get(i).is(Trait.BOLD))
                .boxed()
                .toList();
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
        return StemsByLook.isPlain(cues) && !cues.is(Trait.TYPE_HEAD);
    }

    private static boolean asks(Cues cues) {
        return cues.is(Trait.QUESTION_MARK) || cues.is(Trait.GAP) || cues.is(Trait.BOLD);
    }
}
