package org.tidyleaf.intake.text;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.select.Selector.SelectorParseException;

/**
 * The rules of a page's own style sheets, written into the elements they hold for, so that an element's look can be read from
 * its style attribute. Later rules win whatever their selectors; what an element says itself wins over all (CSS 2.2, chapter
 * 6, simplified: exported pages name each look by a class of its own).
 */
final class HtmlStyles {

    /** Where the content of a rule for "li:before" is kept: word processors number their exported lists so. */
    static final String COUNTED = "counted-by";

    private static final Pattern COMMENT = Pattern.compile("(?s)/\\*.*?\\*/|<!--|-->");
    private static final Pattern RULE = Pattern.compile("([^{}@;]{1,500})\\{([^{}]{0,5000})}");
    private static final Pattern TELLING = Pattern.compile(
            "font-(?:weight|style)|text-decoration|vertical-align|color|background|display|visibility|list-style|"
                    + "margin|padding|content");
    private static final Pattern BEFORE = Pattern.compile("::?before$");

    /** More work than this is a page made to exhaust us. */
    private static final long MOST_LOOKS = 4_000_000;

    private HtmlStyles() {}

    static void inline(Document document) {
        Map<Element, StringBuilder> found = new HashMap<>();
        long elements = document.getAllElements().size();
        long looks = 0;
        for (Element sheet : document.select("style:not([media=print])")) {
            Matcher rule = RULE.matcher(COMMENT.matcher(sheet.data()).replaceAll(""));
            while (rule.find() && looks < MOST_LOOKS) {
                if (TELLING.matcher(rule.group(2)).find()) {
                    looks += elements;
                    apply(document, rule.group(1), rule.group(2), found);
                }
            }
        }
        found.forEach((element, declared) -> element.attr("style", declared + ";" + element.attr("style")));
    }

    private static void apply(Document document, String selectors, String declared, Map<Element, StringBuilder> found) {
        for (String selector : selectors.split(",")) {
            Matcher before = BEFORE.matcher(selector.strip());
            boolean counts = before.find();
            String plain = counts ? before.replaceFirst("") : selector.strip();
            if (plain.isEmpty() || plain.indexOf(':') >= 0) {
                continue;
            }
            try {
                for (Element element : document.select(plain)) {
                    if (counts) {
                        element.attr(COUNTED, declared);
                    } else {
                        found.computeIfAbsent(element, one -> new StringBuilder())
                                .append(declared)
                                .append(';');
                    }
                }
            } catch (SelectorParseException | IllegalArgumentException unknown) {
                // A rule for something that is of no matter here.
            }
        }
    }

    /** What a style attribute says, later words before earlier ones; names and values in small letters. */
    static Map<String, String> declarations(String style) {
        Map<String, String> declarations = new HashMap<>();
        for (String one : split(style)) {
            int colon = one.indexOf(':');
            if (colon > 0) {
                declarations.put(
                        one.substring(0, colon).strip().toLowerCase(java.util.Locale.ROOT),
                        one.substring(colon + 1)
                                .replace("!important", "")
                                .strip()
                                .toLowerCase(java.util.Locale.ROOT));
            }
        }
        return declarations;
    }

    /** At semicolons, but not at those within the address of a picture. */
    private static List<String> split(String style) {
        List<String> parts = new ArrayList<>();
        int from = 0;
        int depth = 0;
        for (int i = 0; i < style.length(); i++) {
            char sign = style.charAt(i);
            if (sign == '(') {
                depth++;
            } else if (sign == ')') {
                depth = Math.max(0, depth - 1);
            } else if (sign == ';' && depth == 0) {
                parts.add(style.substring(from, i));
                from = i + 1;
            }
        }
        parts.add(style.substring(from));
        return parts;
    }
}
