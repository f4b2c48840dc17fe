package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/** "A. about 300 °C" and below it "→ Too cold.", option by option: what an arrow below options points at is said of each. */
final class ArrowRemarks {

    private static final Pattern ARROW = Pattern.compile("\\s*(?:->|=>|--+>|>>|[\u2192\u21d2\u21b3])\\s*(?=\\S)");

    /** Fewer may be the answer below a question's last option. */
    private static final int SEVERAL = 2;

    private ArrowRemarks() {}

    static void mark(List<Cues> all) {
        List<Integer> below = new ArrayList<>();
        int between = 0;
        for (int i = 1; i < all.size(); i++) {
            if (ARROW.matcher(all.get(i).text()).lookingAt() && isOption(all.get(i - 1))) {
                below.add(i);
                between += i + 1 < all.size() && isOption(all.get(i + 1)) ? 1 : 0;
            }
        }
        for (int remark : between >= SEVERAL ? below : List.<Integer>of()) {
            Cues cues = all.get(remark);
            int from = cues.piece().segment().from();
            Matcher arrow = ARROW.matcher(cues.text());
            int behind = arrow.lookingAt() ? arrow.end() : 0;
            all.set(remark, cues.withLabels(List.of()).withLead(new Cues.Lead(Cues.Announces.FEEDBACK, from + behind)));
        }
    }

    private static boolean isOption(Cues cues) {
        return cues.has(Label.Kind.LETTER) || cues.has(Label.Kind.BOX);
    }
}
