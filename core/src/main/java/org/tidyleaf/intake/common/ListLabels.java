package org.tidyleaf.intake.common;

import java.util.Locale;

/** Labels of lists as they are printed: numbers in their formats, and the signs of symbol fonts. */
public final class ListLabels {

    private ListLabels() {}

    /** Symbol fonts keep their bullets in the private use area; the boxes among them matter, the rest is a bullet. */
    public static String bullet(String text) {
        return switch (text) {
            case "\uF0A8", "\uF06F", "\uF0A3", "\uF071", "\uF072", "\u2610", "\u25A1", "\u274F" -> "\u2610";
            case "\uF0FE", "\uF052", "\u2611", "\u2612" -> "\u2611";
            case "\uF0FC", "\u2713", "\u2714" -> "\u2713";
            case "" -> "";
            default -> text.isBlank() ? "" : "\u2022";
        };
    }

    /** One value in a numbering format of 17.18.59, ST_NumberFormat; unknown formats print as decimal. */
    public static String print(int value, String format) {
        return switch (format) {
            case "upperLetter" -> letters(value);
            case "lowerLetter" -> letters(value).toLowerCase(Locale.ROOT);
            case "upperRoman" -> roman(value);
            case "lowerRoman" -> roman(value).toLowerCase(Locale.ROOT);
            case "decimalZero" -> value < 10 ? "0" + value : String.valueOf(value);
            case "decimalEnclosedParen" -> "(" + value + ")";
            case "ordinal" -> value + ordinalEnding(value);
            case "none" -> "";
            default -> String.valueOf(value);
        };
    }

    /** A to Z, then AA, BB, …, ZZ, AAA: the letter repeats (17.18.59). */
    private static String letters(int value) {
        if (value < 1) {
            return String.valueOf(value);
        }
        String letter = String.valueOf((char) ('A' + (value - 1) % 26));
        return letter.repeat(Math.min(20, (value - 1) / 26 + 1));
    }

    private static String roman(int value) {
        if (value < 1 || value > 3999) {
            return String.valueOf(value);
        }
        int[] values = {1000, 900, 500, 400, 100, 90, 50, 40, 10, 9, 5, 4, 1};
        String[] signs = {"M", "CM", "D", "CD", "C", "XC", "L", "XL", "X", "IX", "V", "IV", "I"};
        StringBuilder text = new StringBuilder();
        int rest = value;
        for (int i = 0; i < values.length; i++) {
            while (rest >= values[i]) {
                text.append(signs[i]);
                rest -= values[i];
            }
        }
        return text.toString();
    }

    private static String ordinalEnding(int value) {
        int last = value % 10;
        if (value % 100 / 10 == 1) {
            return "th";
        }
        return last == 1 ? "st" : last == 2 ? "nd" : last == 3 ? "rd" : "th";
    }
}
