package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.reading.Cues.Trait;

/**
 * "3 Read the text and choose the best word." above a text with the gaps "(1) ____" and "(2) ____", and below that "1 A has B have"
 * and "2 A used B use": the number counts exercises, and what it stands before is told for all gaps.
 */
final class ClozeExercises {

    private static final int FEWEST_GAPS = 2;

    /** In pieces. */
    private static final int LONGEST_TEXT = 12;

    private ClozeExercises() {}

    /** Takes the number from such directions. */
    static void unlabel(List<Cues> all) {
        if (all.stream().noneMatch(cues -> cues.is(Trait.CLOZE))) {
            return;
        }
        for (int i = 0; i + 2 < all.size(); i++) {
            Cues cues = all.get(i);
            boolean possible = cues.number()
                            .filter(label -> !HabitFinder.isWorded(label.shape()))
                            .isPresent()
                    && cues.line().layout().cell().isEmpty()
                    && !cues.is(Trait.GAP)
                    && !cues.is(Trait.OFF_BODY);
            if (possible && isOverGapsAndChoices(all, i)) {
                all.set(i, cues.withLabels(List.of()));
                cues.traits().add(Trait.PASSAGE_HEAD);
            }
        }
    }

    private static boolean isOverGapsAndChoices(List<Cues> all, int head) {
        List<Integer> gaps = new ArrayList<>();
        int at = head + 1;
        while (at < all.size()
                && at - head <= LONGEST_TEXT
                && number(all.get(at)).isEmpty()) {
            gaps.addAll(GappedTexts.numbers(all.get(at)));
            at++;
        }
        boolean count = gaps.size() >= FEWEST_GAPS;
        for (int i = 0; i < gaps.size(); i++) {
            count &= gaps.get(i) == i + 1;
        }
        for (int i = 0; count && i < gaps.size(); i++) {
            boolean chosen = at + 2 < all.size()
                    && number(all.get(at)).equals(Optional.of(i + 1))
                    && isOption(all.get(at + 1), 1)
                    && isOption(all.get(at + 2), 2);
            if (!chosen) {
                return false;
            }
            at++;
            while (at < all.size()
                    && number(all.get(at)).isEmpty()
                    && all.get(at).has(Label.Kind.LETTER)) {
                at++;
            }
        }
        return count;
    }

    /** Of a label, or of a cell with nothing else in it. */
    private static Optional<Integer> number(Cues cues) {
        String text = cues.text().strip();
        boolean cell = cues.line().layout().cell().isPresent() && text.matches("\\d{1,2}[.)]?");
        return cell
                ? Optional.of(Integer.parseInt(text.replaceAll("\\D", "")))
                : cues.number().map(Label::ordinal);
    }

    private static boolean isOption(Cues cues, int ordinal) {
        return cues.labels().stream()
                .anyMatch(label -> label.kind() == Label.Kind.LETTER && label.ordinal() == ordinal);
    }
}
