package org.tidyleaf.intake;

/** Tells deliberate colours from the near-blacks and greys that themes write plain text in. */
final class Colors {

    /** Below this difference of its strongest and weakest part a colour looks grey. */
    private static final int GREY = 48;

    private Colors() {}

    /** @param hex six hex digits, red, green, blue */
    static boolean isColored(String hex) {
        if (!hex.matches("[0-9a-fA-F]{6}")) {
            return false;
        }
        int red = Integer.parseInt(hex.substring(0, 2), 16);
        int green = Integer.parseInt(hex.substring(2, 4), 16);
        int blue = Integer.parseInt(hex.substring(4, 6), 16);
        return Math.max(red, Math.max(green, blue)) - Math.min(red, Math.min(green, blue)) >= GREY;
    }
}
