package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "1. Multiple choice (single answer)" and "2. True/False", each over the question itself: the words behind the number say what kind
 * of question it is, and belong to its number.
 */
final class TypesBehindNumbers {

    private static final Pattern TYPE = Vocabulary.pattern(Vocabulary.ALL.either("type_head")
            + "(?:\\s+questions?)?(?:\\s*[(\\[][^()\\[\\]\\d]{1,40}[)\\]])?\\s*[:.]?\\s*"
            + "(?<worth>[(\\[]\\d[^()\\[\\]]{0,20}[)\\]]\\s*)?");

    private static final int FEWEST = 2;

    private TypesBehindNumbers() {}

    static void label(List<Cues> all) {
        List<Seen> found = new ArrayList<>();
        for (int i = 0; i + 1 < all.size(); i++) {
            int place = i;
            typed(all.get(i)).ifPresent(label -> {
                Cues below = all.get(place + 1);
                if (below.piece().first()
                        && below.labels().isEmpty()
                        && below.lead().isEmpty()) {
                    found.add(new Seen(place, label));
                }
            });
        }
        if (found.size() >= FEWEST) {
            found.forEach(seen -> all.set(seen.piece(), all.get(seen.piece()).withLabels(List.of(seen.label()))));
        }
    }

    /** The number with the words behind it; points in brackets behind those stay to be read. */
    private static Optional<Label> typed(Cues cues) {
        Optional<Label> number = cues.number().filter(label -> Vocabulary.ALL.mentions(cues.words(), "type_head"));
        if (number.isEmpty()) {
            return Optional.empty();
        }
        Label label = number.get();
        Matcher type = TYPE.matcher(cues.line().text())
                .region(label.end(), cues.piece().segment().to());
        if (!type.matches()) {
            return Optional.empty();
        }
        int end = type.group("worth") == null ? type.end() : type.start("worth");
        return Optional.of(new Label(label.kind(), label.ordinal(), label.printed(), label.shape(), label.from(), end));
    }
}
