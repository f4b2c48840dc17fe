package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/** "a. willow +", "b. ivy -", option by option: a plus behind what is right, a minus behind what is wrong. */
final class PlusSigns {

    private static final Pattern SIGN = Pattern.compile("\\S(\\s+([+]|[-\u2013\u2212]))\\s*$");

    /** Fewer options may end in such a sign by themselves. */
    private static final int FEWEST = 4;

    private PlusSigns() {}

    /** Marks the options where nearly all lettered lines end in one or the other. */
    static void mark(List<Cues> all) {
        List<Integer> signed = new ArrayList<>();
        int lettered = 0;
        boolean plus = false;
        boolean minus = false;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            if (!cues.has(Label.Kind.LETTER)) {
                continue;
            }
            lettered++;
            Matcher sign = sign(cues);
            if (sign.find()) {
                signed.add(i);
                plus |= sign.group(2).equals("+");
                minus |= !sign.group(2).equals("+");
            }
        }
        if (plus && minus && signed.size() >= FEWEST && signed.size() * 4 >= lettered * 3) {
            signed.forEach(i -> all.set(i, marked(all.get(i))));
        }
    }

    private static Matcher sign(Cues cues) {
        return SIGN.matcher(cues.line().text())
                .region(cues.piece().segment().from(), cues.piece().segment().to());
    }

    private static Cues marked(Cues cues) {
        Matcher sign = sign(cues);
        return sign.find()
                ? cues.withSign(new Cues.Sign(
                                sign.start(1),
                                cues.piece().segment().to(),
                                sign.group(2).equals("+")))
                        .withLabels(cues.labels())
                : cues;
    }
}
