package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/**
 * "#the queen", "the drone", "the guard": below each of several numbers one bare line begins with a sign that its neighbours
 * have not. Whatever the sign, it marks the right one.
 */
final class OddSigns {

    /** Signs that nobody begins a sentence with and that have no meaning of their own here. */
    private static final String SIGNS = "#+~@$%&!>=^\u00a7\u00bb";

    private static final int FEWEST = 2;

    private OddSigns() {}

    static void mark(List<Cues> all) {
        Set<Integer> beginnings = all.stream()
                .map(cues -> cues.text().strip())
                .filter(text -> !text.isEmpty())
                .map(text -> (int) text.charAt(0))
                .collect(Collectors.toSet());
        for (char sign : SIGNS.toCharArray()) {
            List<Integer> marked = beginnings.contains((int) sign) ? marked(all, sign) : List.of();
            if (marked.size() >= FEWEST) {
                marked.forEach(piece -> {
                    int from = all.get(piece).piece().segment().from();
                    int at = all.get(piece).line().text().indexOf(sign, from);
                    all.set(piece, all.get(piece).withSign(new Cues.Sign(at, at + 1, true)));
                });
                return;
            }
        }
    }

    /** The lines with the sign, one below each number that has any; empty where a number has more, or nothing beside it. */
    private static List<Integer> marked(List<Cues> all, char sign) {
        List<Integer> found = new ArrayList<>();
        int from = 0;
        while (from < all.size()) {
            int to = from + 1;
            while (to < all.size() && !isNumbered(all.get(to))) {
                to++;
            }
            List<Integer> within = new ArrayList<>();
            int others = 0;
            for (int i = from + 1; i < to; i++) {
                if (begins(all.get(i), sign)) {
                    within.add(i);
                } else if (all.get(i).labels().isEmpty() && all.get(i).is(Cues.Trait.SHORT)) {
                    others++;
                }
            }
            if (within.size() > 1 || within.size() == 1 && (others == 0 || !isNumbered(all.get(from)))) {
                return List.of();
            }
            found.addAll(within);
            from = to;
        }
        return found;
    }

    private static boolean isNumbered(Cues cues) {
        return cues.has(Label.Kind.NUMBER);
    }

    private static boolean begins(Cues cues, char sign) {
        String text = cues.text().strip();
        return text.length() > 1
                && text.charAt(0) == sign
                && text.charAt(1) != sign
                && cues.sign().isEmpty()
                && cues.labels().isEmpty();
    }
}
