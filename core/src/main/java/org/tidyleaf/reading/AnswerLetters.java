package org.tidyleaf.reading;

import java.util.List;
import java.util.Optional;

/** "Q: …" and below it "A: …": where no B ever follows, the A stands for "answer" and letters no option. */
final class AnswerLetters {

    /** Once may be a slip. */
    private static final int IN_EARNEST = 2;

    private AnswerLetters() {}

    static void mark(List<Cues> all) {
        long questions = all.stream().filter(cues -> isLettered(cues, "Q:")).count();
        boolean others = all.stream()
                .flatMap(cues -> letter(cues).stream())
                .anyMatch(label -> label.shape().equals("A:") && label.ordinal() == 2);
        if (questions < IN_EARNEST || others) {
            return;
        }
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            Optional<Label> answer = letter(cues).filter(label -> label.shape().equals("A:") && label.ordinal() == 1);
            if (answer.isPresent()) {
                Cues.Lead lead = new Cues.Lead(Cues.Announces.KEY, answer.get().end());
                all.set(i, cues.withLabels(List.of()).withLead(lead));
            }
        }
    }

    private static boolean isLettered(Cues cues, String shape) {
        return cues.labels().stream().anyMatch(label -> label.shape().equals(shape));
    }

    private static Optional<Label> letter(Cues cues) {
        return cues.labels().stream()
                .filter(label -> label.kind() == Label.Kind.LETTER)
                .findFirst();
    }
}
