package org.tidyleaf.marking;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * What a response earned.
 *
 * @param earned empty while a person has to mark it
 * @param most what could be earned
 */
public record Mark(Optional<BigDecimal> earned, BigDecimal most) {

    public boolean waits() {
        return earned.isEmpty();
    }

    public boolean isFull() {
        return earned.filter(points -> points.compareTo(most) == 0).isPresent();
    }

    /** "full", "part", "none", or "waits" while a person has to mark it. */
    public String verdict() {
        if (waits()) {
            return "waits";
        }
        boolean nothing = earned.filter(points -> points.signum() > 0).isEmpty();
        return isFull() ? "full" : nothing ? "none" : "part";
    }
}
