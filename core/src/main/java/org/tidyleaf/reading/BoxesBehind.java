package org.tidyleaf.reading;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** "spare hive   [   ]": lines below one another with a box to tick far behind their text are options. */
final class BoxesBehind {

    private static final Pattern BOX = Pattern.compile(
            "\\S(\\s{2,}|\\t\\s*)(?:\\[\\s*([xX\u2713\u2714]?)\\s*]|\\(\\s*([xX\u2713\u2714]?)\\s*\\)|([\u2610\u2611\u2612\u25a1\u25a0]))\\s*$");

    /** Fewer lines may end in a box for something else. */
    private static final int FEWEST = 3;

    private BoxesBehind() {}

    static void label(List<Cues> all) {
        int from = 0;
        while (from < all.size()) {
            int to = from;
            while (to < all.size() && isBoxed(all.get(to))) {
                to++;
            }
            for (int i = from; i < to && to - from >= FEWEST; i++) {
                all.set(i, option(all.get(i)));
            }
            from = Math.max(to, from + 1);
        }
    }

    private static boolean isBoxed(Cues cues) {
        return cues.labels().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && cues.piece().first()
                && !cues.is(Cues.Trait.QUESTION_MARK)
                && box(cues).find();
    }

    private static Matcher box(Cues cues) {
        return BOX.matcher(cues.line().text())
                .region(cues.piece().segment().from(), cues.piece().segment().to());
    }

    private static Cues option(Cues cues) {
        Matcher box = box(cues);
        if (!box.find()) {
            return cues;
        }
        boolean ticked =
                cues.line().text().substring(box.end(1), box.end()).matches(".*[xX\u2713\u2714\u2611\u2612\u25a0].*");
        cues.traits().remove(Cues.Trait.GAP);
        return cues.withBoxBehind(box.start(1), ticked);
    }
}
