package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.source.Box;

/**
 * Where space parts the questions, the top of a page or column hides it. A line there stands apart if it asks something
 * or if the group above is as long as groups usually are.
 */
final class PageTops {

    /** So many groups of lines, and this share of them of one length, make a habit. */
    private static final int GROUPS = 4;

    private static final double SHARE = 0.5;

    private PageTops() {}

    static void mark(List<Cues> all) {
        List<Integer> lengths = new ArrayList<>();
        List<Integer> tops = new ArrayList<>();
        Map<Integer, Integer> above = new HashMap<>();
        int length = 0;
        Cues last = null;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            if (cues.is(Trait.OFF_BODY)) {
                continue;
            }
            if (cues.spaceBefore() > 0 && length > 0) {
                lengths.add(length);
                length = 0;
            } else if (last != null && isAbove(cues, last)) {
                tops.add(i);
                above.put(i, length);
            }
            length++;
            last = cues;
        }
        int usual = usual(lengths);
        for (int top : usual == 0 ? List.<Integer>of() : tops) {
            Cues cues = all.get(top);
            boolean asks = cues.is(Trait.QUESTION_MARK) && !cues.is(Trait.STARTS_LOWER);
            if (cues.labels().isEmpty() && (asks || above.get(top) == usual)) {
                cues.traits().add(Trait.APART);
            }
        }
    }

    /** Whether a line stands on a later page than the one before it, or higher on the same. */
    private static boolean isAbove(Cues cues, Cues last) {
        if (cues.line().layout().box().isEmpty() || last.line().layout().box().isEmpty()) {
            return false;
        }
        Box here = cues.line().layout().box().get();
        Box before = last.line().layout().box().get();
        return here.page() > before.page() || here.bottom() < before.top();
    }

    /** The commonest length of groups, or 0 where they have none in common. */
    private static int usual(List<Integer> lengths) {
        Map<Integer, Integer> counts = new HashMap<>();
        lengths.forEach(length -> counts.merge(length, 1, Integer::sum));
        return lengths.size() < GROUPS
                ? 0
                : counts.entrySet().stream()
                        .filter(entry -> entry.getValue() >= SHARE * lengths.size() && entry.getKey() > 2)
                        .mapToInt(Map.Entry::getKey)
                        .findFirst()
                        .orElse(0);
    }
}
