package org.tidyleaf.reading.role;

import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Step;
import org.tidyleaf.source.Segment;

/**
 * What pins teach: a line pinned as a role makes lines that begin or look like it lean to the same role. Alike are
 * lines with the same first word before a colon ("Sol.: c"), or else with the same style, label shape and emphasis.
 */
public final class Lessons {

    /** Strong enough to overrule the general cues, not the teacher's other pins. */
    private static final double WEIGHT = 14;

    private static final Pattern FIRST_WORD = Pattern.compile("\\s*([\\p{L}][\\p{L}' -]{0,18}?\\.?\\s?[:=])");

    private final Map<String, Pins.Pin> learned = new HashMap<>();

    /** What was learned for each piece, so that it is worked out once and not for each step that is weighed. */
    private final Map<Cues, Optional<Pins.Pin>> byPiece = new IdentityHashMap<>();

    public Lessons(List<Cues> all, Pins pins) {
        for (Cues cues : all) {
            pins.at(cues.piece()).filter(pin -> teaches(cues, pin)).ifPresent(pin -> learned.put(likeness(cues), pin));
        }
        for (Cues cues : learned.isEmpty() ? List.<Cues>of() : all) {
            byPiece.put(cues, Optional.ofNullable(learned.get(likeness(cues))));
        }
    }

    /**
     * Of several lines drawn over at once the first alone shows how such lines begin. Setting one question aside does not
     * mean that no line with such a number is a question.
     */
    private static boolean teaches(Cues cues, Pins.Pin pin) {
        return !pin.either() && (pin.role() != Role.ASIDE || cues.labels().isEmpty());
    }

    double weight(Cues cues, Step to) {
        return learned.isEmpty() ? 0 : weight(lesson(cues), to);
    }

    /** What a lesson adds to a step. */
    static double weight(Optional<Pins.Pin> lesson, Step to) {
        return lesson.filter(pin -> pin.role() == to.role() && pin.more() == to.more())
                .map(pin -> WEIGHT)
                .orElse(0.0);
    }

    /** Where the text behind the announcing word begins, if the line is like one that was pinned. */
    public Optional<Integer> announcedText(Cues cues, Role role) {
        Segment place = cues.piece().segment();
        Matcher matcher = FIRST_WORD.matcher(cues.line().text()).region(place.from(), place.to());
        boolean taught = lesson(cues).filter(pin -> pin.role() == role).isPresent() && matcher.lookingAt();
        return taught ? Optional.of(matcher.end()) : Optional.empty();
    }

    /** What was learned for a piece, if anything. */
    Optional<Pins.Pin> lesson(Cues cues) {
        return byPiece.getOrDefault(cues, Optional.empty());
    }

    private static String likeness(Cues cues) {
        Matcher matcher = FIRST_WORD.matcher(cues.text());
        if (matcher.lookingAt()) {
            return "word " + matcher.group(1).toLowerCase(java.util.Locale.ROOT);
        }
        String label = cues.labels().isEmpty() ? "none" : cues.labels().get(0).shape();
        boolean plain = cues.labels().isEmpty()
                && !cues.is(Cues.Trait.ITALIC)
                && !cues.is(Cues.Trait.BOLD)
                && cues.line().layout().style().isEmpty();
        // A plain line without any mark is like every other plain line, so it teaches nothing beyond itself.
        return plain
                ? "line " + cues.line().number()
                : String.join(
                        " ",
                        "look",
                        cues.line().layout().style(),
                        label,
                        String.valueOf(cues.is(Cues.Trait.ITALIC)),
                        String.valueOf(cues.is(Cues.Trait.BOLD)));
    }
}
