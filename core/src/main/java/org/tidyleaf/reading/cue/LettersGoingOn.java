package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.Optional;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/** "1a. Define …" with "b. List …" and "c. State …" below it: letters that go on with the parts of its number. */
final class LettersGoingOn {

    private LettersGoingOn() {}

    /** Gives such letters the number above them. */
    static void label(List<Cues> all) {
        Optional<Label> number = Optional.empty();
        int next = 0;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            Optional<Label> here = cues.number();
            if (here.isPresent()) {
                number = here.filter(label -> label.printed().matches("\\d{1,3}a"));
                next = 2;
                continue;
            }
            int expected = next;
            Optional<Label> letter = cues.labels().stream()
                    .filter(label ->
                            label.kind() == Label.Kind.LETTER && label.printed().matches("\\p{Ll}"))
                    .findFirst();
            if (number.isEmpty() || letter.isEmpty()) {
                continue;
            }
            if (letter.get().ordinal() != expected) {
                // A list with an "a" of its own offers something.
                number = Optional.empty();
                continue;
            }
            Label outer = number.get();
            String printed =
                    outer.printed().replaceAll("\\D", "") + letter.get().printed();
            all.set(
                    i,
                    cues.withLabels(List.of(new Label(
                            Label.Kind.NUMBER,
                            outer.ordinal(),
                            printed,
                            outer.shape(),
                            letter.get().from(),
                            letter.get().end()))));
            next++;
        }
    }
}
