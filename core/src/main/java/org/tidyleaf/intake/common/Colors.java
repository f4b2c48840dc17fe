package org.tidyleaf.intake.common;

/** Tells deliberate colours from the near-blacks and greys that themes write plain text in. */
public final class Colors {

    /** Below this difference of its strongest and weakest part a colour looks grey. */
    private static final int GREY = 48;

    private Colors() {}

    /** @param hex six hex digits, red, green, blue */
    public static boolean isColored(String hex) {
        boolean digits = hex.length() == 6 && hex.chars().allMatch(sign -> Character.digit(sign, 16) >= 0);
        return digits && isColored(Integer.parseInt(hex, 16));
    }

    /** @param rgb eight bits each for red, green, blue; what is above them does not matter */
    public static boolean isColored(int rgb) {
        int red = rgb >> 16 & 0xFF;
        int green = rgb >> 8 & 0xFF;
        int blue = rgb & 0xFF;
        return Math.max(red, Math.max(green, blue)) - Math.min(red, Math.min(green, blue)) >= GREY;
    }
}
