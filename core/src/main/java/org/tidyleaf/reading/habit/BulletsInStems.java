package org.tidyleaf.reading.habit;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/** Bullets below a numbered line and above lettered options, or above what is asked and then those, belong to what is asked. */
final class BulletsInStems {

    private BulletsInStems() {}

    /** The places of such bullets. */
    static Set<Integer> find(List<Cues> all) {
        Set<Integer> found = new HashSet<>();
        int at = 1;
        while (at < all.size()) {
            int end = at;
            while (end < all.size() && isBullet(all.get(end))) {
                end++;
            }
            if (end > at + 1 && isOfQuestion(all.get(at - 1)) && areOptionsBelow(all, end)) {
                for (int i = at; i < end; i++) {
                    found.add(i);
                }
            }
            at = Math.max(end, at + 1);
        }
        return found;
    }

    private static boolean isBullet(Cues cues) {
        return cues.has(Label.Kind.BULLET)
                && cues.sign().isEmpty()
                && cues.line().layout().cell().isEmpty();
    }

    private static boolean isOfQuestion(Cues cues) {
        return cues.has(Label.Kind.NUMBER)
                || cues.is(Cues.Trait.COLON) && cues.labels().isEmpty();
    }

    private static boolean areOptionsBelow(List<Cues> all, int end) {
        boolean asked = end < all.size()
                && all.get(end).labels().isEmpty()
                && all.get(end).lead().isEmpty()
                && (all.get(end).is(Cues.Trait.QUESTION_MARK) || all.get(end).is(Cues.Trait.COLON));
        int first = asked ? end + 1 : end;
        return first + 1 < all.size() && isLetter(all.get(first), 1) && isLetter(all.get(first + 1), 2);
    }

    private static boolean isLetter(Cues cues, int ordinal) {
        return cues.labels().stream()
                .anyMatch(label -> label.kind() == Label.Kind.LETTER && label.ordinal() == ordinal);
    }
}
