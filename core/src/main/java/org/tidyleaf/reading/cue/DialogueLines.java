package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.Optional;
import org.tidyleaf.reading.line.Runs;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/** "A: Can I help you?", "B: Yes, please.", "A: How much is it?": speakers take turns, whose letters offer nothing. */
final class DialogueLines {

    private static final String SHAPE = "A:";

    private static final int FEWEST = 3;

    /** "Q: … A: …" is no dialogue. */
    private static final int MOST_SPEAKERS = 4;

    private DialogueLines() {}

    /** Takes the letters of speakers from among the labels. */
    static void unlabel(List<Cues> all) {
        Runs.find(all, cues -> speaker(cues).isPresent(), FEWEST).stream()
                .filter(run -> returns(run.in(all)))
                .forEach(run -> run.in(all).replaceAll(DialogueLines::withoutLetter));
    }

    private static Optional<Label> speaker(Cues cues) {
        return cues.labels().stream()
                .filter(label -> label.kind() == Label.Kind.LETTER
                        && label.shape().equals(SHAPE)
                        && label.ordinal() <= MOST_SPEAKERS)
                .findFirst();
    }

    /** Whether a letter comes again behind another: options never go back without a new question. */
    private static boolean returns(List<Cues> lines) {
        long speakers = lines.stream()
                .map(line -> speaker(line).orElseThrow().ordinal())
                .distinct()
                .count();
        return speakers < lines.size();
    }

    private static Cues withoutLetter(Cues cues) {
        return cues.withLabels(cues.labels().stream()
                .filter(label -> label.kind() != Label.Kind.LETTER && label.kind() != Label.Kind.ROMAN)
                .toList());
    }
}
