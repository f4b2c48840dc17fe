package org.tidyleaf.intake.word;

import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.intake.common.ListLabels;
import org.tidyleaf.intake.common.Xml;
import org.w3c.dom.Element;

/**
 * Automatic numbers of a .docx as the word processor prints them (ISO/IEC 29500-1, 17.9): counts are kept per abstract
 * list and level, deeper levels restart below a higher one, an override's start applies at the first use of its list.
 */
final class DocxNumbering {
    private static final int LEVELS = 9;
    private static final Pattern PLACEHOLDER = Pattern.compile("%([1-9])");

    private final Map<String, Element> abstracts = new HashMap<>();
    private final Map<String, Element> lists = new HashMap<>();
    private final Map<String, int[]> counts = new HashMap<>();
    private final Set<String> startedOverrides = new HashSet<>();

    DocxNumbering(Optional<Element> root) {
        root.ifPresent(numbering -> {
            for (Element child : Xml.children(numbering)) {
                if (child.getLocalName().equals("abstractNum")) {
                    abstracts.put(Xml.attribute(child, "abstractNumId"), child);
                } else if (child.getLocalName().equals("num")) {
                    lists.put(Xml.attribute(child, "numId"), child);
                }
            }
        });
    }

    /** Counts one paragraph of the list and gives its label; empty for a list that does not exist or has no text. */
    String next(String list, int level) {
        Element num = lists.get(list);
        if (num == null || level < 0 || level >= LEVELS) {
            return "";
        }
        String abstractId = Xml.child(num, "abstractNumId")
                .map(e -> Xml.attribute(e, "val"))
                .orElse("");
        int[] count = counts.computeIfAbsent(abstractId, id -> emptyCounts());
        startOverride(num, level).ifPresent(start -> {
            if (startedOverrides.add(list + "/" + level)) {
                count[level] = start - 1;
            }
        });
        if (count[level] == Integer.MIN_VALUE) {
            count[level] = start(num, level) - 1;
        }
        count[level]++;
        restartBelow(num, level, count);
        return label(num, level, count);
    }

    /** The level a style stands for in a list, where the list says so (17.9.23, pStyle). */
    int levelOfStyle(String list, String style) {
        for (int level = 0; level < LEVELS; level++) {
            Optional<String> linked = lists.containsKey(list)
                    ? level(lists.get(list), level)
                            .flatMap(l -> Xml.child(l, "pStyle"))
                            .map(e -> Xml.attribute(e, "val"))
                    : Optional.empty();
            if (linked.equals(Optional.of(style))) {
                return level;
            }
        }
        return 0;
    }

    Optional<Element> indent(String list, int level) {
        return Optional.ofNullable(lists.get(list))
                .flatMap(num -> level(num, level))
                .flatMap(l -> Xml.child(l, "pPr"))
                .flatMap(pPr -> Xml.child(pPr, "ind"));
    }

    private static int[] emptyCounts() {
        int[] count = new int[LEVELS];
        Arrays.fill(count, Integer.MIN_VALUE);
        return count;
    }

    private void restartBelow(Element num, int level, int[] count) {
        for (int deeper = level + 1; deeper < LEVELS; deeper++) {
            int restart = level(num, deeper)
                    .flatMap(l -> Xml.child(l, "lvlRestart"))
                    .map(e -> number(Xml.attribute(e, "val"), LEVELS))
                    .orElse(deeper);
            if (restart != 0 && level < restart) {
                count[deeper] = Integer.MIN_VALUE;
            }
        }
    }

    private String label(Element num, int level, int[] count) {
        Optional<Element> definition = level(num, level);
        String text = definition
                .flatMap(l -> Xml.child(l, "lvlText"))
                .map(e -> Xml.attribute(e, "val"))
                .orElse("");
        if (format(num, level).equals("bullet")) {
            return ListLabels.bullet(text);
        }
        boolean legal = definition.flatMap(l -> Xml.child(l, "isLgl")).isPresent();
        Matcher matcher = PLACEHOLDER.matcher(text);
        StringBuilder label = new StringBuilder();
        while (matcher.find()) {
            int other = matcher.group(1).charAt(0) - '1';
            int value = count[other] == Integer.MIN_VALUE ? start(num, other) : count[other];
            String format = legal ? "decimal" : format(num, other);
            matcher.appendReplacement(label, Matcher.quoteReplacement(ListLabels.print(value, format)));
        }
        return matcher.appendTail(label).toString().strip();
    }

    private String format(Element num, int level) {
        return level(num, level)
                .flatMap(l -> Xml.child(l, "numFmt"))
                .map(e -> Xml.attribute(e, "val"))
                .orElse("decimal");
    }

    private int start(Element num, int level) {
        return level(num, level)
                .flatMap(l -> Xml.child(l, "start"))
                .map(e -> number(Xml.attribute(e, "val"), 1))
                .orElse(1);
    }

    private Optional<Integer> startOverride(Element num, int level) {
        return override(num, level)
                .flatMap(o -> Xml.child(o, "startOverride"))
                .map(e -> number(Xml.attribute(e, "val"), 1));
    }

    private Optional<Element> override(Element num, int level) {
        return Xml.children(num).stream()
                .filter(e -> e.getLocalName().equals("lvlOverride")
                        && Xml.attribute(e, "ilvl").equals(String.valueOf(level)))
                .findFirst();
    }

    private Optional<Element> level(Element num, int level) {
        Optional<Element> overridden = override(num, level).flatMap(o -> Xml.child(o, "lvl"));
        if (overridden.isPresent()) {
            return overridden;
        }
        String abstractId = Xml.child(num, "abstractNumId")
                .map(e -> Xml.attribute(e, "val"))
                .orElse("");
        return Optional.ofNullable(abstracts.get(abstractId))
                .flatMap(a -> Xml.children(a).stream()
                        .filter(e -> e.getLocalName().equals("lvl")
                                && Xml.attribute(e, "ilvl").equals(String.valueOf(level)))
                        .findFirst());
    }

    private static int number(String text, int otherwise) {
        try {
            return Integer.parseInt(text);
        } catch (NumberFormatException damaged) {
            // A number that is none is as good as absent.
            return otherwise;
        }
    }
}
