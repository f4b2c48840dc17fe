package org.tidyleaf.intake.rtf;

import java.util.HashMap;
import java.util.Map;

/** The names of a rich text's paragraph styles by their numbers (RTF 1.9.1, Style Sheet). One per document, not shared. */
final class RtfStyles {

    private final Map<Integer, StringBuilder> names = new HashMap<>();
    private int current;

    /** The style that the next words of the sheet describe. */
    void begin(int style) {
        current = style;
    }

    void name(String part) {
        names.computeIfAbsent(current, style -> new StringBuilder()).append(part);
    }

    /** A style's name as it is printed in menus; empty for an unknown one. */
    String nameOf(int style) {
        StringBuilder name = names.get(style);
        return name == null ? "" : name.toString().replaceFirst(";.*", "").strip();
    }
}
