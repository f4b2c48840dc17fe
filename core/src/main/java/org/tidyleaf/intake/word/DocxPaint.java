package org.tidyleaf.intake.word;

import java.awt.Color;
import java.util.Map;
import java.util.Optional;
import org.tidyleaf.intake.common.Xml;
import org.w3c.dom.Element;

/**
 * How a DrawingML shape is filled and outlined.
 *
 * @param width of the outline, in points
 * @param headAtStart whether an arrow head stands where the line begins
 */
record DocxPaint(Optional<Color> fill, Optional<Color> line, float width, boolean headAtStart, boolean headAtEnd) {

    private static final float UNITS_PER_POINT = 12_700;

    /** A theme's colours by their roles; dark, light and in between is all that a test in print needs of them. */
    private static final Map<String, Color> ROLES = Map.of(
            "dk1", Color.BLACK,
            "tx1", Color.BLACK,
            "lt1", Color.WHITE,
            "bg1", Color.WHITE,
            "lt2", new Color(0xE7E6E6),
            "bg2", new Color(0xE7E6E6));

    private static final Color ACCENT = new Color(0x8C9AB0);

    /** What the shape says itself, else what its style refers to (20.1.4.1: fillRef, lnRef). */
    static DocxPaint of(Element shape) {
        Optional<Element> properties = Xml.child(shape, "spPr");
        Optional<Element> style = Xml.child(shape, "style");
        Optional<Element> line = properties.flatMap(e -> Xml.child(e, "ln"));
        boolean unfilled = properties.flatMap(e -> Xml.child(e, "noFill")).isPresent();
        boolean unlined = line.flatMap(e -> Xml.child(e, "noFill")).isPresent();
        Optional<Color> fill = properties
                .flatMap(e -> Xml.child(e, "solidFill"))
                .flatMap(DocxPaint::color)
                .or(() -> referred(style, "fillRef"));
        Optional<Color> outline = line.flatMap(e -> Xml.child(e, "solidFill"))
                .flatMap(DocxPaint::color)
                .or(() -> referred(style, "lnRef"))
                .or(() -> line.map(e -> Color.BLACK));
        return new DocxPaint(
                unfilled ? Optional.empty() : fill,
                unlined ? Optional.empty() : outline,
                line.map(DocxPaint::width).orElse(1f),
                hasHead(line, "headEnd"),
                hasHead(line, "tailEnd"));
    }

    private static Optional<Color> referred(Optional<Element> style, String name) {
        return style.flatMap(e -> Xml.child(e, name))
                .filter(reference -> !Xml.attribute(reference, "idx").equals("0"))
                .flatMap(DocxPaint::color);
    }

    private static Optional<Color> color(Element parent) {
        Optional<Color> exact =
                Xml.child(parent, "srgbClr").map(e -> Xml.attribute(e, "val")).flatMap(DocxPaint::hex);
        Optional<Color> role =
                Xml.child(parent, "schemeClr").map(e -> ROLES.getOrDefault(Xml.attribute(e, "val"), ACCENT));
        return exact.or(() -> role);
    }

    private static Optional<Color> hex(String digits) {
        return digits.matches("[0-9A-Fa-f]{6}")
                ? Optional.of(new Color(Integer.parseInt(digits, 16)))
                : Optional.empty();
    }

    private static float width(Element line) {
        String units = Xml.attribute(line, "w");
        return units.matches("\\d{1,9}") ? Math.max(0.5f, Integer.parseInt(units) / UNITS_PER_POINT) : 1;
    }

    /** In the standard a line's head is where it begins (20.1.8.38) and its tail where it ends. */
    private static boolean hasHead(Optional<Element> line, String end) {
        return line.flatMap(e -> Xml.child(e, end))
                .filter(e -> !Xml.attribute(e, "type").isEmpty()
                        && !Xml.attribute(e, "type").equals("none"))
                .isPresent();
    }
}
