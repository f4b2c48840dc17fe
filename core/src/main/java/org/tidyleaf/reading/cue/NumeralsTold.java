package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.Optional;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/** "(i)" right before "(ii)" is a numeral and not the letter behind "(h)". */
final class NumeralsTold {

    private NumeralsTold() {}

    /** Takes the letter from signs that go on as numerals do. */
    static void unletter(List<Cues> all) {
        for (int i = 0; i + 1 < all.size(); i++) {
            Optional<Label> numeral = numeral(all.get(i));
            Optional<Label> next = numeral(all.get(i + 1));
            boolean goesOn = numeral.isPresent()
                    && next.isPresent()
                    && next.get().shape().equals(numeral.get().shape())
                    && next.get().ordinal() == numeral.get().ordinal() + 1
                    && next.get().printed().length() > 1;
            if (goesOn) {
                all.set(
                        i,
                        all.get(i)
                                .withLabels(all.get(i).labels().stream()
                                        .filter(label -> label.kind() != Label.Kind.LETTER)
                                        .toList()));
            }
        }
    }

    private static Optional<Label> numeral(Cues cues) {
        return cues.labels().stream()
                .filter(label -> label.kind() == Label.Kind.ROMAN)
                .findFirst();
    }
}
