package org.tidyleaf.reading;

import java.util.Map;
import java.util.Optional;

/**
 * The teacher's decisions about lines of the source; a reading obeys each and learns from it for lines like it.
 *
 * @param byLine at most one pin for each 1-based line number
 */
public record Pins(Map<Integer, Pin> byLine) {

    public static final Pins NONE = new Pins(Map.of());

    public Pins {
        byLine = Map.copyOf(byLine);
    }

    Optional<Pin> at(int line) {
        return Optional.ofNullable(byLine.get(line));
    }

    /**
     * What a line is to be.
     *
     * @param more whether it goes on from the line above, whose role it then has
     */
    public record Pin(Role role, boolean more) {}
}
