package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.PrintedPairs;
import org.tidyleaf.reading.line.Runs;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Segment;

/** "T   F   Drones sting." below "Circle T or F.", without letters or numbers: each line is judged for itself. */
public final class JudgedLines {

    private static final int FEWEST = 2;

    private JudgedLines() {}

    /** Takes the pair before each of several such lines for a box to tick. */
    static void label(List<Cues> all) {
        Runs.find(all, cues -> pair(cues).isPresent(), FEWEST)
                .forEach(run -> run.in(all).replaceAll(JudgedLines::boxed));
        aboveRoom(all);
    }

    /** "2. True or false? Correct the false ones." over "Bees dance.    T   F" and room, again and again: each line is judged. */
    private static void aboveRoom(List<Cues> all) {
        for (int head = 0; head + 1 < all.size(); head++) {
            Cues cues = all.get(head);
            if (cues.number().isEmpty() || JudgedBy.in(cues.text()).isEmpty()) {
                continue;
            }
            List<Integer> statements = new ArrayList<>();
            int at = head + 1;
            while (at < all.size() && (isBehind(all.get(at)) || isRoom(all.get(at)) && at > head + 1)) {
                if (isBehind(all.get(at))) {
                    statements.add(at);
                }
                at++;
            }
            boolean room = at - head - 1 > statements.size();
            for (int place : room && statements.size() >= FEWEST ? statements : List.<Integer>of()) {
                int from = all.get(place).piece().segment().from();
                Label box = new Label(Label.Kind.BOX, 0, "[ ]", Label.Kind.BOX.name(), from, from);
                all.set(place, all.get(place).withLabels(List.of(box)));
            }
        }
    }

    /** "Bees sleep.   True   False" without a number or a letter. */
    public static boolean isBehind(Cues cues) {
        return cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && cues.piece().first()
                && cues.line().layout().cell().isEmpty()
                && PrintedPairs.endsWithPair(cues.text());
    }

    private static boolean isRoom(Cues cues) {
        return cues.is(Cues.Trait.WRITING_LINE) || cues.is(Cues.Trait.RULE);
    }

    private static Cues boxed(Cues cues) {
        int start = cues.piece().segment().from();
        int end = pair(cues).orElseThrow().end();
        return cues.withLabels(List.of(new Label(Label.Kind.BOX, 0, "[ ]", Label.Kind.BOX.name(), start, end)));
    }

    private static Optional<PrintedPairs.Before> pair(Cues cues) {
        Segment segment = cues.piece().segment();
        boolean bare = cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && cues.piece().first()
                && cues.line().layout().cell().isEmpty();
        return bare ? PrintedPairs.before(cues.line(), segment.from(), segment.to()) : Optional.empty();
    }
}
