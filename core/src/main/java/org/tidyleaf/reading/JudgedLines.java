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
        int from = 0;
        while (from < all.size()) {
            int to = from;
            while (to < all.size() && pair(all.get(to)).isPresent()) {
                to++;
            }
            for (int i = from; i < to && to - from >= FEWEST; i++) {
                Cues cues = all.get(i);
                int start = cues.piece().segment().from();
                int end = pair(cues).orElseThrow().end();
                all.set(
                        i,
                        cues.withLabels(
                                List.of(new Label(Label.Kind.BOX, 0, "[ ]", Label.Kind.BOX.name(), start, end))));
            }
            from = Math.max(to, from + 1);
        }
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
