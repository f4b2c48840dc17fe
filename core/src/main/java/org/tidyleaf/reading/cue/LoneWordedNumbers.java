package org.tidyleaf.reading.cue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/**
 * "Question 6: complete the summary." behind "5. Why …?": heads of ranges ("Questions 4-5") give their word to the one question that
 * stands alone; its number goes on with the others, which have none.
 */
final class LoneWordedNumbers {

    /** Fewer plain numbers are no habit. */
    private static final int FEWEST = 3;

    private LoneWordedNumbers() {}

    static void label(List<Cues> all) {
        Map<String, Integer> shapes = new HashMap<>();
        for (Cues cues : all) {
            cues.number().ifPresent(label -> shapes.merge(label.shape(), 1, Integer::sum));
        }
        String plain = shapes.entrySet().stream()
                .filter(shape -> !Label.isWorded(shape.getKey()) && shape.getValue() >= FEWEST)
                .max(Map.Entry.<String, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .orElse("");
        int last = 0;
        for (int i = 0; i < all.size() && !plain.isEmpty(); i++) {
            Optional<Label> number = all.get(i).number();
            if (number.isEmpty()) {
                continue;
            }
            Label label = number.get();
            boolean lone = Label.isWorded(label.shape())
                    && shapes.get(label.shape()) == 1
                    && label.ordinal() == last + 1
                    && !isCountedBelow(all, i, label, plain);
            if (lone) {
                all.set(i, all.get(i).withLabels(List.of(label.ofShape(plain))));
            }
            last = lone || label.shape().equals(plain) ? label.ordinal() : last;
        }
    }

    /** Whether a plain number below is the same, so that this one only heads it. */
    private static boolean isCountedBelow(List<Cues> all, int place, Label label, String plain) {
        return all.subList(place + 1, all.size()).stream()
                .flatMap(cues -> cues.number().stream())
                .filter(other -> other.shape().equals(plain))
                .findFirst()
                .filter(other -> other.ordinal() <= label.ordinal())
                .isPresent();
    }
}
