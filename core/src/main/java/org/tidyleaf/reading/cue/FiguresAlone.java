package org.tidyleaf.reading.cue;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;

/**
 * "4", "5", "6", or "1 kg", "2 kg", each alone on its line with nothing between: figures to choose from. A question's number has its
 * question behind or below it.
 */
final class FiguresAlone {

    /** With its unit, and a sign behind it perhaps. */
    private static final Pattern FIGURE =
            Pattern.compile("\\s*\\d{1,4}(?:[.,]\\d+)?(\\s\\p{L}{1,4})?[\\s*\u2713\u2714]*");

    private FiguresAlone() {}

    /** Takes the labels off such lines. */
    static void unlabel(List<Cues> all) {
        Set<Integer> found = new HashSet<>();
        for (int i = 1; i < all.size(); i++) {
            if (isAlone(all.get(i - 1))
                    && isAlone(all.get(i))
                    && unit(all.get(i - 1)).equals(unit(all.get(i)))) {
                found.add(i - 1);
                found.add(i);
            }
        }
        found.forEach(place -> all.set(place, all.get(place).withLabels(List.of())));
    }

    private static String unit(Cues cues) {
        return FIGURE.matcher(cues.text()).replaceFirst("$1");
    }

    private static boolean isAlone(Cues cues) {
        return FIGURE.matcher(cues.text()).matches()
                && cues.line().labelEnd() == 0
                && cues.piece().first()
                && !cues.is(Cues.Trait.OFF_BODY)
                && cues.line().layout().cell().isEmpty();
    }
}
