package org.tidyleaf.marking;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Optional;

/** Numbers as candidates type them: decimal comma or point, with or without the unit, any kind of minus. */
final class NumberEntry {

    private NumberEntry() {}

    /** The number in an entry; empty where there is none, or where another unit stands behind it. */
    static Optional<BigDecimal> value(String entry, String unit) {
        String text =
                entry.strip().replaceAll("[\u2212\u2013]", "-").replaceAll("(?<=\\d)[ \u00a0\u202f](?=\\d{3})", "");
        String lower = text.toLowerCase(Locale.ROOT);
        String ending = unit.strip().toLowerCase(Locale.ROOT);
        if (!ending.isEmpty() && lower.endsWith(ending)) {
            text = text.substring(0, text.length() - ending.length()).strip();
        }
        if (!text.matches("[-+]?\\d{1,18}(?:[.,]\\d{1,12})?|[-+]?[.,]\\d{1,12}")) {
            return Optional.empty();
        }
        return Optional.of(new BigDecimal(text.replace(',', '.')));
    }
}
