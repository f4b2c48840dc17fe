package org.tidyleaf.reading.wording;

import java.util.regex.Pattern;

/**
 * Symbols of units: those of the SI with its prefixes and those used beside it (SI Brochure, 9th edition, tables 1, 4, 7 and 8), a
 * few of trade, and the signs of percent and of money (common practice).
 */
public final class UnitSymbols {

    private static final String PREFIXED = "(?:da|[TGMkhdcm\u00b5\u03bcnp])?"
            + "(?:m|g|s|A|K|mol|cd|Hz|N|Pa|J|W|C|V|F|\u03a9|S|Wb|T|H|lm|lx|Bq|Gy|Sv|kat|l|L|t|eV|bar|cal|Wh|rad|sr)";

    private static final String OTHER =
            "min|h|d|ha|\u00b0C|\u00b0F|\u00b0|au|u|dB|Np|rpm|km/h|mph|lb|lbs|oz|ft|in|yd|mi|pt|gal|psi|%|\u2030|\u20ac|\\$|\u00a3|\u00a5|EUR|USD|GBP|CHF|z\u0142";

    private static final String ONE = "(?:" + PREFIXED + "|" + OTHER + ")(?:[\u00b2\u00b3]|\\^?-?[1-4])?";

    /** A unit, or several with strokes or dots between them, as part of a pattern. */
    public static final String ONE_OR_MORE = ONE + "(?:\\s?[/\u00b7*]\\s?" + ONE + ")*";

    private static final Pattern SYMBOL = Pattern.compile(ONE_OR_MORE);

    private UnitSymbols() {}

    public static boolean isSymbol(String text) {
        return text.length() <= 12 && SYMBOL.matcher(text).matches();
    }
}
