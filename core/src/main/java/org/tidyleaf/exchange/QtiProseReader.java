package org.tidyleaf.exchange;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.tidyleaf.intake.common.MathMlToLatex;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;
import org.tidyleaf.source.Emphasis;
import org.w3c.dom.Element;
import org.w3c.dom.Node;

/** HTML of an item back to prose; fields and gaps become gaps in order. One for each item. */
final class QtiProseReader {

    private static final Map<String, Emphasis> ELEMENTS = Map.of(
            "strong", Emphasis.BOLD,
            "b", Emphasis.BOLD,
            "em", Emphasis.ITALIC,
            "i", Emphasis.ITALIC,
            "sup", Emphasis.SUPERSCRIPT,
            "sub", Emphasis.SUBSCRIPT,
            "u", Emphasis.UNDERLINE);

    private static final Map<String, Emphasis> CLASSES = Map.of(
            "qti-underline", Emphasis.UNDERLINE,
            "struck", Emphasis.STRIKE,
            "highlighted", Emphasis.HIGHLIGHT,
            "coloured", Emphasis.COLOR);

    private final Function<String, String> pictures;
    private int gaps;

    /** @param pictures gives a figure's id for an image's address */
    QtiProseReader(Function<String, String> pictures) {
        this.pictures = pictures;
    }

    /** The content of an element; feedback inside it is no part of it. */
    Prose read(Element element) {
        List<Inline> parts = new ArrayList<>();
        children(element, EnumSet.noneOf(Emphasis.class), parts);
        return new Prose(trimmed(new ArrayList<>(new Prose(parts).joined().parts())));
    }

    private void children(Element parent, Set<Emphasis> look, List<Inline> parts) {
        for (Node node = parent.getFirstChild(); node != null; node = node.getNextSibling()) {
            if (node.getNodeType() == Node.TEXT_NODE || node.getNodeType() == Node.CDATA_SECTION_NODE) {
                String text = node.getNodeValue().replaceAll("\\s+", " ");
                if (!text.isEmpty()) {
                    parts.add(new Inline.Text(text, look));
                }
            } else if (node instanceof Element element) {
                element(element, look, parts);
            }
        }
    }

    private void element(Element element, Set<Emphasis> look, List<Inline> parts) {
        String name = element.getLocalName();
        switch (name) {
            case "br" -> parts.add(new Inline.Break());
            case "math" -> parts.add(new Inline.Formula(latex(element)));
            case "img", "object" -> picture(element, parts);
            case "qti-text-entry-interaction", "qti-gap", "qti-inline-choice-interaction" ->
                parts.add(new Inline.Gap(++gaps));
            case "qti-feedback-inline" -> {
                // Shown after answering; read for itself.
            }
            default -> {
                if (Xml.attribute(element, "class").equals("gap")) {
                    parts.add(new Inline.Gap(++gaps));
                    return;
                }
                boolean block = name.equals("p") || name.equals("div") || name.equals("li");
                if (block && !parts.isEmpty() && !(parts.get(parts.size() - 1) instanceof Inline.Break)) {
                    parts.add(new Inline.Break());
                }
                children(element, with(look, element), parts);
            }
        }
    }

    private static Set<Emphasis> with(Set<Emphasis> look, Element element) {
        Set<Emphasis> more = EnumSet.noneOf(Emphasis.class);
        more.addAll(look);
        if (ELEMENTS.containsKey(element.getLocalName())) {
            more.add(ELEMENTS.get(element.getLocalName()));
        }
        for (String css : Xml.attribute(element, "class").split("\\s+")) {
            if (CLASSES.containsKey(css)) {
                more.add(CLASSES.get(css));
            }
        }
        return more;
    }

    private static String latex(Element math) {
        return MathMlToLatex.convert(math);
    }

    private void picture(Element image, List<Inline> parts) {
        String address = Xml.attribute(image, image.getLocalName().equals("img") ? "src" : "data");
        String id = pictures.apply(address);
        if (!id.isEmpty()) {
            parts.add(new Inline.Picture(id, Xml.attribute(image, "alt")));
        }
    }

    private static List<Inline> trimmed(List<Inline> parts) {
        while (!parts.isEmpty() && isBlank(parts.get(parts.size() - 1))) {
            parts.remove(parts.size() - 1);
        }
        while (!parts.isEmpty() && isBlank(parts.get(0))) {
            parts.remove(0);
        }
        return parts;
    }

    private static boolean isBlank(Inline part) {
        return part instanceof Inline.Break
                || part instanceof Inline.Text text && text.text().isBlank();
    }
}
