package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.Runs;
import org.tidyleaf.reading.model.Cues;

/** "spare hive   [   ]": lines below one another with a box to tick far behind their text are options. */
final class BoxesBehind {

    /** What is drawn as a box needs no wide space before it. */
    private static final Pattern BOX = Pattern.compile(
            "[^\\s\u2610-\u2612\u25a1](?:(\\s{2,}(?:\\[\\s*[xX\u2713\u2714]?\\s*]|\\(\\s*[xX\u2713\u2714]?\\s*\\)))|(\\s+[\u2610\u2611\u2612\u25a1\u25a0]))\\s*$");

    private static final Pattern OTHER_BOX = Pattern.compile("[\u2610\u2611\u2612\u25a1].*[\u2610\u2611\u2612\u25a1]");

    private static final Pattern TICK = Pattern.compile("[xX\u2713\u2714\u2611\u2612\u25a0]");

    /** Fewer lines may end in a box for something else. */
    private static final int FEWEST = 3;

    private BoxesBehind() {}

    static void label(List<Cues> all) {
        Runs.find(all, BoxesBehind::isBoxed, FEWEST).forEach(run -> run.in(all).replaceAll(BoxesBehind::option));
    }

    private static boolean isBoxed(Cues cues) {
        return cues.labels().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && cues.piece().first()
                && !cues.is(Cues.Trait.QUESTION_MARK)
                && !OTHER_BOX.matcher(cues.text()).find()
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
        int start = box.start(1) < 0 ? box.start(2) : box.start(1);
        boolean ticked =
                TICK.matcher(cues.line().text().substring(start, box.end())).find();
        cues.traits().remove(Cues.Trait.GAP);
        return cues.withBoxBehind(start, ticked);
    }
}
