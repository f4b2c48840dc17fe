package org.tidyleaf.intake.text;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Element;
import org.tidyleaf.intake.common.ListLabels;

/** The labels of one list's items, as a browser prints them (HTML standard, "The ol element"; CSS Lists 3). */
final class HtmlLists {

    private static final Pattern COUNTER = Pattern.compile(
            "content\\s*:\\s*(?:[\"']([^\"']{0,20})[\"'])?\\s*counter\\([^,)]+(?:,\\s*([\\w-]+))?\\s*\\)\\s*(?:[\"']([^\"']{0,20})[\"'])?");

    static final String BULLET = "\u2022";

    private final Element list;
    private final String type;
    private final boolean ordered;
    private final int step;
    private int number;

    HtmlLists(Element list) {
        this.list = list;
        this.ordered = list.normalName().equals("ol");
        this.type = type(list, ordered ? "decimal" : "disc");
        boolean reversed = ordered && list.hasAttr("reversed");
        this.step = reversed ? -1 : 1;
        int items = (int) list.children().stream()
                .filter(item -> item.normalName().equals("li"))
                .count();
        this.number = start(list.attr("start"), reversed ? items : 1);
    }

    private static int start(String written, int otherwise) {
        return written.strip().matches("-?\\d{1,5}") ? Integer.parseInt(written.strip()) : otherwise;
    }

    /** The next item's label, or empty where none is printed. */
    String label(Element item) {
        number = start(item.attr("value"), number);
        int printed = number;
        number += step;
        Matcher counter = COUNTER.matcher(item.attr(HtmlStyles.COUNTED));
        if (counter.find()) {
            String format = counter.group(2) == null ? "decimal" : counter.group(2);
            return (text(counter.group(1)) + print(printed, format) + text(counter.group(3))).strip();
        }
        String own = type(item, type);
        return switch (own) {
            case "none" -> "";
            case "disc", "circle", "square" -> BULLET;
            default -> print(printed, own) + ".";
        };
    }

    private static String text(String group) {
        return group == null ? "" : group;
    }

    private static String type(Element element, String otherwise) {
        Map<String, String> style = HtmlStyles.declarations(element.attr("style"));
        String css = style.getOrDefault("list-style-type", style.getOrDefault("list-style", ""));
        for (String word : css.split("\\s+")) {
            if (word.matches(
                    "none|disc|circle|square|decimal(?:-leading-zero)?|(?:lower|upper)-(?:alpha|latin|roman)")) {
                return word;
            }
        }
        return switch (element.attr("type")) {
            case "a" -> "lower-alpha";
            case "A" -> "upper-alpha";
            case "i" -> "lower-roman";
            case "I" -> "upper-roman";
            case "1" -> "decimal";
            default -> otherwise;
        };
    }

    private static String print(int number, String format) {
        String kind = switch (format.toLowerCase(Locale.ROOT)) {
            case "lower-alpha", "lower-latin" -> "lowerLetter";
            case "upper-alpha", "upper-latin" -> "upperLetter";
            case "lower-roman" -> "lowerRoman";
            case "upper-roman" -> "upperRoman";
            default -> "decimal";
        };
        return number < 1 ? String.valueOf(number) : ListLabels.print(number, kind);
    }
}
