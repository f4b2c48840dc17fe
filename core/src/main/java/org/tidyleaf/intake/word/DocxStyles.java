package org.tidyleaf.intake.word;

import java.util.ArrayDeque;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.intake.common.Colors;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.source.Emphasis;
import org.w3c.dom.Element;

/** The styles of a .docx (ISO/IEC 29500-1, 17.7): what a paragraph or run inherits by name. */
final class DocxStyles {
    private final Map<String, Element> byId = new HashMap<>();
    private final Map<String, RunFormat> formats = new HashMap<>();
    private RunFormat defaults = new RunFormat(Map.of(), "");
    private String defaultParagraph = "";

    DocxStyles(Optional<Element> root) {
        root.ifPresent(this::load);
    }

    private void load(Element root) {
        Xml.child(root, "docDefaults")
                .flatMap(e -> Xml.child(e, "rPrDefault"))
                .flatMap(e -> Xml.child(e, "rPr"))
                .ifPresent(rPr -> defaults = defaults.with(rPr));
        for (Element style : Xml.children(root)) {
            if (style.getLocalName().equals("style")) {
                byId.put(Xml.attribute(style, "styleId"), style);
                if (Xml.attribute(style, "default").equals("1")
                        && Xml.attribute(style, "type").equals("paragraph")) {
                    defaultParagraph = Xml.attribute(style, "styleId");
                }
            }
        }
    }

    /** The style's own name as the word processor's list shows it, or empty. */
    String name(String id) {
        Element style = byId.get(id);
        return style == null
                ? ""
                : Xml.child(style, "name").map(e -> Xml.attribute(e, "val")).orElse("");
    }

    /** What runs look like in a paragraph of this style; of the default style where the id is empty. */
    RunFormat format(String id) {
        String key = id.isEmpty() ? defaultParagraph : id;
        RunFormat known = formats.get(key);
        if (known == null) {
            known = resolve(key, new HashSet<>());
            formats.put(key, known);
        }
        return known;
    }

    /** What a run looks like with a character style laid over its paragraph's look. */
    RunFormat formatOver(RunFormat look, String id) {
        RunFormat result = look;
        Set<String> seen = new HashSet<>();
        ArrayDeque<Element> chain = new ArrayDeque<>();
        String at = id;
        while (byId.containsKey(at) && seen.add(at)) {
            Element style = byId.get(at);
            Xml.child(style, "rPr").ifPresent(chain::push);
            at = Xml.child(style, "basedOn").map(e -> Xml.attribute(e, "val")).orElse("");
        }
        for (Element rPr : chain) {
            result = result.with(rPr);
        }
        return result;
    }

    private RunFormat resolve(String id, Set<String> seen) {
        Element style = byId.get(id);
        if (style == null || !seen.add(id)) {
            return defaults;
        }
        RunFormat parent = Xml.child(style, "basedOn")
                .map(e -> resolve(Xml.attribute(e, "val"), seen))
                .orElse(defaults);
        return Xml.child(style, "rPr").map(parent::with).orElse(parent);
    }

    /** The first paragraph property of that name along the style's ancestors. */
    Optional<Element> paragraphProperty(String id, String name) {
        Set<String> seen = new HashSet<>();
        String at = id.isEmpty() ? defaultParagraph : id;
        while (byId.containsKey(at) && seen.add(at)) {
            Element style = byId.get(at);
            Optional<Element> found = Xml.child(style, "pPr").flatMap(pPr -> Xml.child(pPr, name));
            if (found.isPresent()) {
                return found;
            }
            at = Xml.child(style, "basedOn").map(e -> Xml.attribute(e, "val")).orElse("");
        }
        return Optional.empty();
    }

    /** Run properties after inheritance: what is switched on or off, and the colour. Hidden text has {@code hidden}. */
    record RunFormat(Map<String, Boolean> switches, String color) {

        RunFormat with(Element rPr) {
            Map<String, Boolean> merged = new HashMap<>(switches);
            String newColor = color;
            for (Element property : Xml.children(rPr)) {
                String value = Xml.attribute(property, "val");
                switch (property.getLocalName()) {
                    case "b", "i", "strike", "dstrike", "vanish" -> merged.put(property.getLocalName(), isOn(value));
                    case "u" -> merged.put("u", !value.equals("none"));
                    case "highlight" -> merged.put("highlight", !value.equals("none") && !value.equals("white"));
                    case "shd" -> merged.put("shd", isTinted(Xml.attribute(property, "fill")));
                    case "vertAlign" -> {
                        merged.put("superscript", value.equals("superscript"));
                        merged.put("subscript", value.equals("subscript"));
                    }
                    case "color" -> newColor = value.equals("auto") ? "" : value;
                    default -> {
                        // Fonts, sizes and languages say nothing about what a part of a test is.
                    }
                }
            }
            return new RunFormat(Map.copyOf(merged), newColor);
        }

        boolean hidden() {
            return on("vanish");
        }

        /** White on the page's white: whoever sets text so hides it from those who read on paper. */
        boolean isWhite() {
            return color.equalsIgnoreCase("FFFFFF") && !on("shd") && !on("highlight");
        }

        Set<Emphasis> emphasis() {
            Map<Emphasis, Boolean> all = new EnumMap<>(Emphasis.class);
            all.put(Emphasis.BOLD, on("b"));
            all.put(Emphasis.ITALIC, on("i"));
            all.put(Emphasis.UNDERLINE, on("u"));
            all.put(Emphasis.STRIKE, on("strike") || on("dstrike"));
            all.put(Emphasis.SUPERSCRIPT, on("superscript"));
            all.put(Emphasis.SUBSCRIPT, on("subscript"));
            all.put(Emphasis.HIGHLIGHT, on("highlight") || on("shd"));
            all.put(Emphasis.COLOR, Colors.isColored(color));
            Set<Emphasis> result = EnumSet.noneOf(Emphasis.class);
            all.forEach((emphasis, on) -> {
                if (on) {
                    result.add(emphasis);
                }
            });
            return result;
        }

        private boolean on(String name) {
            return switches.getOrDefault(name, false);
        }

        private static boolean isOn(String value) {
            return !(value.equals("0") || value.equals("false") || value.equals("off"));
        }

        private static boolean isTinted(String fill) {
            return fill.length() == 6 && !fill.equalsIgnoreCase("ffffff");
        }
    }
}
