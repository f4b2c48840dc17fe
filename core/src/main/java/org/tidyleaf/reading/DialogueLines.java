package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** "A: Can I help you?", "B: Yes, please.", "A: How much is it?": speakers take turns, whose letters offer nothing. */
final class DialogueLines {

    private static final String SHAPE = "A:";

    private static final int FEWEST = 3;

    /** "Q: … A: …" is no dialogue. */
    private static final int MOST_SPEAKERS = 4;

    private DialogueLines() {}

    /** Takes the letters of speakers from among the labels. */
    static void unlabel(List<Cues> all) {
        int from = 0;
        while (from < all.size()) {
            int to = from;
            while (to < all.size() && speaker(all.get(to)).isPresent()) {
                to++;
            }
            if (to - from >= FEWEST && returns(all.subList(from, to))) {
                for (int i = from; i < to; i++) {
                    all.set(i, withoutLetter(all.get(i)));
                }
            }
            from = Math.max(to, from + 1);
        }
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
        List<Integer> spoken = new ArrayList<>();
        boolean again = false;
        for (Cues line : lines) {
            int letter = speaker(line).orElseThrow().ordinal();
            again |= spoken.contains(letter);
            spoken.add(letter);
        }
        return again;
    }

    private static Cues withoutLetter(Cues cues) {
        return cues.withLabels(cues.labels().stream()
                .filter(label -> label.kind() != Label.Kind.LETTER && label.kind() != Label.Kind.ROMAN)
                .toList());
    }
}
