package org.tidyleaf.intake.odt;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.intake.common.Colors;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.source.Emphasis;
import org.w3c.dom.Element;

/** The styles of an OpenDocument text, automatic ones included, and its list styles. */
final class OdtStyles {
    private final Map<String, Element> styles = new HashMap<>();
    private final Map<String, Element> lists = new HashMap<>();

    OdtStyles(Optional<Element> stylesRoot, Element contentRoot) {
        stylesRoot.ifPresent(this::load);
        load(contentRoot);
    }

    private void load(Element root) {
        for (Element group : Xml.children(root)) {
            if (group.getLocalName().equals("styles") || group.getLocalName().equals("automatic-styles")) {
                for (Element style : Xml.children(group)) {
                    String name = Xml.attribute(style, "name");
                    if (style.getLocalName().equals("style")) {
                        styles.put(name, style);
                    } else if (style.getLocalName().equals("list-style")) {
                        lists.put(name, style);
                    }
                }
            }
        }
    }

    /** The definition of a level, counted from 1, of a list style. */
    Optional<Element> listLevel(String list, int level) {
        return Optional.ofNullable(lists.get(list))
                .flatMap(style -> Xml.children(style).stream()
                        .filter(e -> Xml.attribute(e, "level").equals(String.valueOf(level)))
                        .findFirst());
    }

    /** The list style that a paragraph style brings with it, or empty. */
    String listOf(String paragraphStyle) {
        return inherited(paragraphStyle, "list-style-name");
    }

    /** The name a writer sees: automatic styles are nameless variants of it. */
    String name(String style) {
        Element element = styles.get(style);
        String parent = element == null ? "" : Xml.attribute(element, "parent-style-name");
        String name = style.matches("[PT]\\d+") && !parent.isEmpty() ? parent : style;
        return name.replace("_20_", " ");
    }

    private String inherited(String style, String attribute) {
        Set<String> seen = new HashSet<>();
        String at = style;
        while (styles.containsKey(at) && seen.add(at)) {
            String value = Xml.attribute(styles.get(at), attribute);
            if (!value.isEmpty()) {
                return value;
            }
            at = Xml.attribute(styles.get(at), "parent-style-name");
        }
        return "";
    }

    /** A property of a style or the next ancestor that sets it, or empty. */
    String property(String style, String properties, String attribute) {
        Set<String> seen = new HashSet<>();
        String at = style;
        while (styles.containsKey(at) && seen.add(at)) {
            String value = Xml.child(styles.get(at), properties)
                    .map(p -> Xml.attribute(p, attribute))
                    .orElse("");
            if (!value.isEmpty()) {
                return value;
            }
            at = Xml.attribute(styles.get(at), "parent-style-name");
        }
        return "";
    }

    boolean isHidden(String style) {
        return property(style, "text-properties", "display").equals("none");
    }

    /** How text in that style is set; {@code around} is how the text around it is, for what the style leaves open. */
    Set<Emphasis> emphasis(String style, Set<Emphasis> around) {
        Set<Emphasis> result = EnumSet.noneOf(Emphasis.class);
        result.addAll(around);
        set(
                result,
                Emphasis.BOLD,
                property(style, "text-properties", "font-weight"),
                value -> value.equals("bold") || value.matches("[6-9]00"));
        set(
                result,
                Emphasis.ITALIC,
                property(style, "text-properties", "font-style"),
                value -> value.equals("italic") || value.equals("oblique"));
        set(
                result,
                Emphasis.UNDERLINE,
                property(style, "text-properties", "text-underline-style"),
                value -> !value.equals("none"));
        set(
                result,
                Emphasis.STRIKE,
                property(style, "text-properties", "text-line-through-style"),
                value -> !value.equals("none"));
        set(
                result,
                Emphasis.HIGHLIGHT,
                property(style, "text-properties", "background-color"),
                value -> value.startsWith("#") && !value.equalsIgnoreCase("#ffffff"));
        set(result, Emphasis.COLOR, property(style, "text-properties", "color"), OdtStyles::isColored);
        String position = property(style, "text-properties", "text-position");
        set(result, Emphasis.SUPERSCRIPT, position, value -> value.startsWith("super") || value.matches("[1-9].*"));
        set(result, Emphasis.SUBSCRIPT, position, value -> value.startsWith("sub") || value.startsWith("-"));
        return result;
    }

    private static void set(Set<Emphasis> result, Emphasis emphasis, String value, Predicate<String> on) {
        if (value.isEmpty()) {
            return;
        }
        if (on.test(value)) {
            result.add(emphasis);
        } else {
            result.remove(emphasis);
        }
    }

    private static boolean isColored(String value) {
        return value.matches("#[0-9a-fA-F]{6}") && Colors.isColored(value.substring(1));
    }

    /** A length in twentieths of a point; 0 where it is none. */
    static int twips(String length) {
        Matcher matcher = Pattern.compile("(-?[\\d.]{1,8})(cm|mm|in|pt)").matcher(length);
        if (!matcher.matches()) {
            return 0;
        }
        double perUnit = switch (matcher.group(2)) {
            case "cm" -> 567;
            case "mm" -> 56.7;
            case "in" -> 1440;
            default -> 20;
        };
        return (int) Math.round(Double.parseDouble(matcher.group(1)) * perUnit);
    }
}
