package org.tidyleaf.reading;

import java.util.Map;
import java.util.Optional;
import org.tidyleaf.reading.model.Piece;
import org.tidyleaf.source.Segment;

/**
 * The teacher's decisions about lines of the source and about words in them; a reading obeys each and learns from it for
 * lines like it.
 *
 * @param byLine at most one pin for each 1-based line number
 * @param words parts of lines that have a role of their own; no two of them overlap
 */
public record Pins(Map<Integer, Pin> byLine, Map<Segment, Role> words) {

    public static final Pins NONE = new Pins(Map.of());

    public Pins {
        byLine = Map.copyOf(byLine);
        words = Map.copyOf(words);
    }

    public Pins(Map<Integer, Pin> byLine) {
        this(byLine, Map.of());
    }

    /** What a piece is to be: pinned by its own words, or as the beginning of a pinned line. */
    public Optional<Pin> at(Piece piece) {
        Segment place = piece.segment();
        for (Map.Entry<Segment, Role> pinned : words.entrySet()) {
            Segment part = pinned.getKey();
            if (part.line() == place.line() && part.from() < place.to() && part.to() > place.from()) {
                return Optional.of(new Pin(pinned.getValue(), false));
            }
        }
        return piece.first() ? Optional.ofNullable(byLine.get(place.line())) : Optional.empty();
    }

    /** Whether anything is said about the line that a piece stands in. */
    public boolean concern(Piece piece) {
        int line = piece.segment().line();
        return byLine.containsKey(line) || words.keySet().stream().anyMatch(part -> part.line() == line);
    }

    /**
     * What a line is to be.
     *
     * @param more whether it goes on from the line above, whose role it then has
     * @param either whether the reader sees for itself if it goes on or begins anew
     */
    public record Pin(Role role, boolean more, boolean either) {

        public Pin(Role role, boolean more) {
            this(role, more, false);
        }

        /** A further one of several lines drawn over at once. */
        public static Pin further(Role role) {
            return new Pin(role, false, true);
        }
    }
}
