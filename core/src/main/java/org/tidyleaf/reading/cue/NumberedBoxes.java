package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/** "1. [ ] 34 12", "2. [x] 35 12" one below the other: the box makes each an option, whatever counts them. */
final class NumberedBoxes {

    private static final int FEWEST = 2;

    /** More lines are statements to be judged one by one. */
    private static final int MOST = 8;

    private NumberedBoxes() {}

    static void label(List<Cues> all) {
        List<Integer> run = new ArrayList<>();
        for (int i = 0; i <= all.size(); i++) {
            Optional<Label> number = i < all.size() ? number(all.get(i)) : Optional.empty();
            boolean next = number.isPresent()
                    && number.get().ordinal() == run.size() + 1
                    && box(all.get(i), number.get()).isPresent();
            if (next) {
                run.add(i);
                continue;
            }
            boolean options =
                    run.size() >= FEWEST && run.size() <= MOST && run.get(0) > 0 && !isJudged(all.get(run.get(0) - 1));
            for (int piece : options ? run : List.<Integer>of()) {
                Cues cues = all.get(piece);
                all.set(
                        piece,
                        cues.withLabels(
                                List.of(box(cues, number(cues).orElseThrow()).orElseThrow())));
            }
            run.clear();
        }
    }

    /** "Write T or F." above them: the brackets are there for a letter. */
    private static boolean isJudged(Cues above) {
        return JudgedBy.in(above.text()).isPresent();
    }

    private static Optional<Label> number(Cues cues) {
        return cues.labels().stream()
                .filter(label -> label.kind() == Label.Kind.NUMBER)
                .findFirst();
    }

    private static Optional<Label> box(Cues cues, Label number) {
        return LabelFinder.find(
                        cues.line().text(), number.end(), cues.piece().segment().to())
                .stream()
                .filter(label -> label.kind() == Label.Kind.BOX)
                .findFirst();
    }
}
