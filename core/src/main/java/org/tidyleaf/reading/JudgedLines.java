package org.tidyleaf.reading;

import java.util.List;
import java.util.Optional;
import org.tidyleaf.source.Segment;

/** "T   F   Drones sting." below "Circle T or F.", without letters or numbers: each line is judged for itself. */
final class JudgedLines {

    private static final int FEWEST = 2;

    private JudgedLines() {}

    /** Takes the pair before each of several such lines for a box to tick. */
    static void label(List<Cues> all) {
        Runs.find(all, cues -> pair(cues).isPresent(), FEWEST)
                .forEach(run -> run.in(all).replaceAll(JudgedLines::boxed));
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
