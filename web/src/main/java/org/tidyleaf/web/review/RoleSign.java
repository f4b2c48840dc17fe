package org.tidyleaf.web.review;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The sign of a role as SVG: told by shape and letter, colour only second. Made in Java because a long document needs
 * thousands of them, for which templates are too slow.
 */
final class RoleSign {

    private static final Map<String, String> MADE = new ConcurrentHashMap<>();

    private RoleSign() {}

    /**
     * Safe markup, letters being our own.
     *
     * @param tag the role's name, "option-key" for a keyed option
     * @param letter empty for a line that goes on
     */
    static String svg(String tag, String letter) {
        return MADE.computeIfAbsent(tag + " " + letter, key -> make(tag, letter));
    }

    private static String make(String tag, String letter) {
        boolean goesOn = letter.isEmpty() && (tag.equals("stem") || tag.startsWith("option"));
        String shape = goesOn ? "<path d=\"M9 0v9h5\"/>" : shape(tag, letter);
        return "<svg viewBox=\"0 0 18 18\" width=\"18\" height=\"18\" aria-hidden=\"true\" class=\"tag-"
                + (goesOn ? "more" : named(tag)) + "\">" + shape + "</svg>";
    }

    private static String named(String tag) {
        return switch (tag) {
            case "stem", "option", "option-key", "key", "section", "stimulus", "aside", "figure" -> tag;
            default -> "plain";
        };
    }

    private static String shape(String tag, String letter) {
        return switch (tag) {
            case "stem" -> "<rect x=\"1\" y=\"1\" width=\"16\" height=\"16\" rx=\"3\"/>" + text(9, 13, letter);
            case "option" -> "<circle cx=\"9\" cy=\"9\" r=\"8\"/>" + text(9, 12.6, letter);
            case "option-key" -> "<circle cx=\"9\" cy=\"9\" r=\"8.6\"/>" + text(9, 12.6, letter);
            case "key" -> "<path d=\"M9 0l9 9-9 9-9-9z\"/>" + text(9, 12.8, letter);
            case "section" -> "<path d=\"M0 2h19l-4 7 4 7H0z\"/>" + text(7, 13, letter);
            case "stimulus" -> "<path d=\"M2 0h10l4 4v14H2z\"/>" + text(9, 13, letter);
            case "figure" -> "<path d=\"M1 3h16v12H1zM1 13l5-5 4 4 3-3 4 4\"/>";
            case "aside" -> "<path d=\"M3 9h12\"/>";
            default -> "<path d=\"M2 16h14\"/>" + text(9, 12, letter);
        };
    }

    private static String text(int x, double y, String letter) {
        return "<text x=\"" + x + "\" y=\"" + y + "\">" + letter + "</text>";
    }
}
