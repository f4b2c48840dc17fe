package org.tidyleaf.reading;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.tidyleaf.reading.Cues.Trait;

/** "7." alone below a text with the gap "(7) ____": the text asks, and what stands below the number is offered for the gap. */
final class ClozeNumbers {

    private ClozeNumbers() {}

    /** The places of such numbers. */
    static Set<Integer> find(List<Cues> all, Habits habits) {
        if (all.stream().noneMatch(cues -> cues.is(Trait.CLOZE))) {
            return Set.of();
        }
        // A number may end one line and its gap begin the next.
        Set<Integer> gaps = CueFinder.numberedGaps(all.stream().map(Cues::text).collect(Collectors.joining(" ")));
        Set<Integer> found = new HashSet<>();
        boolean below = false;
        for (int i = 0; i < all.size(); i++) {
            below |= all.get(i).is(Trait.CLOZE);
            boolean alone = below
                    && habits.stemLabel(all.get(i))
                            .filter(label -> gaps.contains(label.ordinal()))
                            .isPresent()
                    && BareOptions.isOnlyNumber(all.get(i), habits);
            if (alone) {
                found.add(i);
            }
        }
        return found;
    }
}
