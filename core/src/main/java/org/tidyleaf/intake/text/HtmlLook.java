package org.tidyleaf.intake.text;

import java.util.EnumSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Element;
import org.tidyleaf.intake.common.Colors;
import org.tidyleaf.source.Emphasis;

/**
 * How the text of an element shows: what its name and its style say, over what the elements around it say.
 *
 * @param color six hex digits, or empty for that of the page
 * @param hidden not shown by a browser
 */
record HtmlLook(Set<Emphasis> emphasis, String color, boolean hidden) {

    static final HtmlLook PLAIN = new HtmlLook(Set.of(), "", false);

    /** The names of CSS 2.2 for colours that are none of black, white and greys. */
    private static final Map<String, String> NAMED = Map.ofEntries(
            Map.entry("red", "FF0000"),
            Map.entry("green", "008000"),
            Map.entry("blue", "0000FF"),
            Map.entry("yellow", "FFFF00"),
            Map.entry("orange", "FFA500"),
            Map.entry("lime", "00FF00"),
            Map.entry("aqua", "00FFFF"),
            Map.entry("cyan", "00FFFF"),
            Map.entry("fuchsia", "FF00FF"),
            Map.entry("magenta", "FF00FF"),
            Map.entry("purple", "800080"),
            Map.entry("maroon", "800000"),
            Map.entry("olive", "808000"),
            Map.entry("navy", "000080"),
            Map.entry("teal", "008080"));

    private static final Pattern HEX = Pattern.compile("#([0-9a-f]{6}|[0-9a-f]{3})\\b");
    private static final Pattern PARTS =
            Pattern.compile("rgba?\\(\\s*(\\d{1,3})[\\s,]+(\\d{1,3})[\\s,]+(\\d{1,3})(?:[\\s,/]+(0?\\.\\d+|[01]))?");

    /** How that element's own text shows. */
    HtmlLook with(Element element) {
        Map<String, String> style = HtmlStyles.declarations(element.attr("style"));
        Set<Emphasis> all = EnumSet.noneOf(Emphasis.class);
        all.addAll(emphasis);
        switch (element.normalName()) {
            case "b", "strong", "th" -> all.add(Emphasis.BOLD);
            case "i", "em" -> all.add(Emphasis.ITALIC);
            case "u", "ins" -> all.add(Emphasis.UNDERLINE);
            case "s", "del", "strike" -> all.add(Emphasis.STRIKE);
            case "sup" -> all.add(Emphasis.SUPERSCRIPT);
            case "sub" -> all.add(Emphasis.SUBSCRIPT);
            case "mark" -> all.add(Emphasis.HIGHLIGHT);
            default -> {
                // Other elements look as their surroundings do.
            }
        }
        set(all, Emphasis.BOLD, style.get("font-weight"), "bold|bolder|[6-9]00", "normal|lighter|[1-5]00");
        set(all, Emphasis.ITALIC, style.get("font-style"), "italic|oblique.*", "normal");
        String line = style.getOrDefault("text-decoration", "") + " " + style.getOrDefault("text-decoration-line", "");
        set(all, Emphasis.UNDERLINE, line, "(?s).*\\bunderline\\b.*", "\\s*none\\s*");
        set(all, Emphasis.STRIKE, line, "(?s).*\\bline-through\\b.*", "\\s*none\\s*");
        set(all, Emphasis.SUPERSCRIPT, style.get("vertical-align"), "super", "baseline");
        set(all, Emphasis.SUBSCRIPT, style.get("vertical-align"), "sub", "baseline");
        String behind = hex(style.getOrDefault("background-color", style.getOrDefault("background", "")));
        if (Colors.isColored(behind)) {
            all.add(Emphasis.HIGHLIGHT);
        }
        String own = hex(style.getOrDefault("color", element.attr("color").toLowerCase(Locale.ROOT)));
        String shown = own.isEmpty() ? color : own;
        set(all, Emphasis.COLOR, own.isEmpty() ? null : String.valueOf(Colors.isColored(own)), "true", "false");
        boolean gone = element.hasAttr("hidden")
                || "none".equals(style.get("display"))
                || "hidden".equals(style.get("visibility"));
        return new HtmlLook(all, Colors.isColored(shown) ? shown : "", hidden || gone);
    }

    private static void set(Set<Emphasis> all, Emphasis one, String value, String on, String off) {
        if (value != null && value.matches(on)) {
            all.add(one);
        } else if (value != null && value.matches(off)) {
            all.remove(one);
        }
    }

    /** Six hex digits, or empty where no colour is named or it can't be seen through to. */
    private static String hex(String value) {
        Matcher hex = HEX.matcher(value);
        if (hex.find()) {
            String digits = hex.group(1).length() == 3 ? hex.group(1).replaceAll("(.)", "$1$1") : hex.group(1);
            return digits.toUpperCase(Locale.ROOT);
        }
        Matcher parts = PARTS.matcher(value);
        if (parts.find()) {
            boolean clear = parts.group(4) != null && Double.parseDouble(parts.group(4)) == 0;
            return clear ? "" : String.format("%02X%02X%02X", part(parts, 1), part(parts, 2), part(parts, 3));
        }
        for (String word : value.split("\\s+")) {
            if (NAMED.containsKey(word)) {
                return NAMED.get(word);
            }
            if (word.matches("black|white|gr[ae]y|silver")) {
                return "000000";
            }
        }
        return "";
    }

    private static int part(Matcher parts, int group) {
        return Math.min(255, Integer.parseInt(parts.group(group)));
    }
}
