package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.source.Emphasis;

/**
 * "&lt;b&gt;2&lt;/b&gt; Circle the correct answer." over "1 They build …", "2 The board …": where only the number is bold, and below
 * several of them numbers in ordinary type begin anew, the line counts as one in bold.
 */
final class BoldNumbers {

    private static final Pattern NUMBER = Pattern.compile("(\\d{1,2})[.)]?(?=\\s)");

    private static final int FEWEST_LISTS = 2;

    private BoldNumbers() {}

    /** Gives such lines the trait of bold ones. */
    static void mark(List<Cues> all) {
        List<Integer> heads = new ArrayList<>();
        int lists = 0;
        int within = 0;
        for (int i = 0; i < all.size(); i++) {
            Matcher number = NUMBER.matcher(all.get(i).text());
            if (!all.get(i).piece().first() || all.get(i).is(Trait.OFF_BODY) || !number.lookingAt()) {
                continue;
            }
            int ordinal = Integer.parseInt(number.group(1));
            if (isBold(all.get(i))) {
                if (ordinal != heads.size() + 1) {
                    return;
                }
                heads.add(i);
                within = 0;
            } else if (!heads.isEmpty() && ordinal == within + 1) {
                within++;
                lists += within == 2 ? 1 : 0;
            }
        }
        if (lists >= FEWEST_LISTS) {
            heads.forEach(head -> all.get(head).traits().add(Trait.BOLD));
        }
    }

    /** The number and not the line. */
    private static boolean isBold(Cues cues) {
        int from = cues.piece().segment().from();
        Matcher number = NUMBER.matcher(cues.line().text())
                .region(from, cues.piece().segment().to());
        return number.lookingAt()
                && !cues.is(Trait.BOLD)
                && cues.line().isMostly(Emphasis.BOLD, from, number.end(1))
                && cues.line().layout().cell().isEmpty();
    }
}
