package org.tidyleaf.exchange;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Xml;
import org.w3c.dom.Attr;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;

/**
 * QTI 2.1 and 3.0 (1EdTech) say the same in other words: {@code qti-choice-interaction max-choices} was {@code
 * choiceInteraction maxChoices}. Passages of their own, {@code data-} attributes and marking by hand came with 3.0: here the
 * passage stands in each of its items, in a block of the class "stimulus".
 */
final class Qti21 {

    static final String NAMESPACE = "http://www.imsglobal.org/xsd/imsqti_v2p1";

    /** The class that marks a passage, its number behind. */
    private static final String STIMULUS = "stimulus";

    /** The class of an item's body that says its type. */
    private static final String TYPE_CLASS = "type-";

    private static final String MATH = "http://www.w3.org/1998/Math/MathML";

    /** What the body takes over from XHTML; everything else is QTI's own. */
    private static final Set<String> XHTML = Set.of(
            "a",
            "abbr",
            "acronym",
            "address",
            "b",
            "big",
            "blockquote",
            "br",
            "caption",
            "cite",
            "code",
            "col",
            "colgroup",
            "dd",
            "dfn",
            "div",
            "dl",
            "dt",
            "em",
            "h1",
            "h2",
            "h3",
            "h4",
            "h5",
            "h6",
            "hr",
            "i",
            "img",
            "kbd",
            "li",
            "object",
            "ol",
            "p",
            "param",
            "pre",
            "q",
            "s",
            "samp",
            "small",
            "span",
            "strong",
            "sub",
            "sup",
            "table",
            "tbody",
            "td",
            "tfoot",
            "th",
            "thead",
            "tr",
            "tt",
            "u",
            "ul",
            "var",
            "mark");

    private Qti21() {}

    /**
     * A file of 3.0 in the words of 2.1.
     *
     * @param stimulus the file of the passage with that identifier, in 3.0
     */
    static String write(String xml, Function<String, String> stimulus) {
        Element root = parsed(xml);
        XmlText out = new XmlText().markup("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n");
        new Writer(out, stimulus).element(root, true);
        return out.toString();
    }

    private static Element parsed(String xml) {
        try {
            return Xml.parse("item", xml.getBytes(StandardCharsets.UTF_8)).getDocumentElement();
        } catch (IntakeException impossible) {
            throw new IllegalStateException("our own item can't be read", impossible);
        }
    }

    private record Writer(XmlText out, Function<String, String> stimulus) {

        void element(Element element, boolean root) {
            String name = element.getLocalName();
            boolean math = MATH.equals(element.getNamespaceURI());
            if (name.equals("qti-content-body") || name.equals("qti-stimulus-body")) {
                children(element);
                return;
            }
            if (name.equals("qti-assessment-stimulus-ref")) {
                return;
            }
            if (element.hasAttribute("data-stimulus-idref")) {
                String id = element.getAttribute("data-stimulus-idref");
                out.open("div", "class", STIMULUS, "id", id);
                Xml.child(parsed(stimulus.apply(id)), "qti-stimulus-body").ifPresent(this::children);
                out.close("div");
                return;
            }
            String written = math ? name : name(name);
            List<String> attributes = attributes(element, root, math);
            if (element.hasChildNodes()) {
                out.open(written, attributes.toArray(String[]::new));
                children(element);
                out.close(written);
            } else {
                out.empty(written, attributes.toArray(String[]::new));
            }
        }

        private void children(Element parent) {
            for (Node node = parent.getFirstChild(); node != null; node = node.getNextSibling()) {
                if (node instanceof Element element) {
                    element(element, false);
                } else if (node.getNodeType() == Node.TEXT_NODE) {
                    out.text(node.getNodeValue());
                }
            }
        }

        private List<String> attributes(Element element, boolean root, boolean math) {
            List<String> attributes = new ArrayList<>();
            if (root) {
                attributes.addAll(List.of("xmlns", NAMESPACE));
            }
            String name = element.getLocalName();
            if (math && name.equals("math")) {
                attributes.addAll(List.of("xmlns", MATH));
            }
            if (name.equals("qti-item-body") && element.getParentNode() instanceof Element item) {
                attributes.addAll(List.of("class", TYPE_CLASS + item.getAttribute(QtiItem.TYPE)));
            }
            var all = element.getAttributes();
            for (int i = 0; i < all.getLength(); i++) {
                Attr attribute = (Attr) all.item(i);
                attribute(name, attribute.getName(), attribute.getValue()).ifPresent(attributes::addAll);
            }
            return attributes;
        }

        private static Optional<List<String>> attribute(String element, String name, String value) {
            if (name.startsWith("xmlns")) {
                return Optional.empty();
            }
            if (name.equals("data-label")) {
                return value.isEmpty() ? Optional.empty() : Optional.of(List.of("label", value));
            }
            if (name.equals("external-scored")) {
                return Optional.of(List.of("interpretation", "marked by hand"));
            }
            boolean kept = !name.startsWith("data-") && !(name.equals("class") && value.isEmpty());
            boolean own = element.startsWith("qti-");
            return kept ? Optional.of(List.of(own ? camel(name) : name, value)) : Optional.empty();
        }
    }

    /** "qti-choice-interaction" was "choiceInteraction". */
    private static String name(String name) {
        return name.startsWith("qti-") ? camel(name.substring("qti-".length())) : name;
    }

    private static String camel(String name) {
        StringBuilder out = new StringBuilder();
        boolean up = false;
        for (char sign : name.toCharArray()) {
            if (sign == '-') {
                up = true;
            } else {
                out.append(up ? Character.toUpperCase(sign) : sign);
                up = false;
            }
        }
        return out.toString();
    }

    private static String kebab(String name) {
        return name.replaceAll("(?<=[a-z0-9])(?=[A-Z])", "-").toLowerCase(Locale.ROOT);
    }

    /** Whether a file is of 2.0 to 2.2, by its outermost element. */
    static boolean isOld(Element root) {
        return !root.getLocalName().startsWith("qti-");
    }

    /** Renames everything in a file of 2.x to the words of 3.0, in place. */
    static void renew(Document file) {
        renew(file, file.getDocumentElement());
        Element root = file.getDocumentElement();
        Xml.child(root, "qti-item-body").ifPresent(body -> {
            String css = body.getAttribute("class");
            if (css.startsWith(TYPE_CLASS)) {
                root.setAttributeNS(null, QtiItem.TYPE, css.substring(TYPE_CLASS.length()));
            }
        });
    }

    private static void renew(Document file, Element element) {
        if (MATH.equals(element.getNamespaceURI())) {
            return;
        }
        Element renewed = element;
        if (!XHTML.contains(element.getLocalName())) {
            renewed = (Element) file.renameNode(element, QtiItem.NAMESPACE, "qti-" + kebab(element.getLocalName()));
            attributes(renewed);
        }
        for (Element child : Xml.children(renewed)) {
            renew(file, child);
        }
    }

    private static void attributes(Element element) {
        var all = element.getAttributes();
        List<Attr> old = new ArrayList<>();
        for (int i = 0; i < all.getLength(); i++) {
            Attr attribute = (Attr) all.item(i);
            boolean plain =
                    attribute.getNamespaceURI() == null && !attribute.getName().startsWith("xmlns");
            if (plain && !kebab(attribute.getName()).equals(attribute.getName())) {
                old.add(attribute);
            }
        }
        for (Attr attribute : old) {
            element.removeAttribute(attribute.getName());
            element.setAttributeNS(null, kebab(attribute.getName()), attribute.getValue());
        }
        boolean lettered = element.getLocalName().equals("qti-simple-choice") && element.hasAttribute("label");
        if (lettered) {
            element.setAttributeNS(null, "data-label", element.getAttribute("label"));
        }
    }

    /** Takes the passage out of an item's body; empty where it has none of its own. */
    static Optional<Element> takeStimulus(Element item) {
        Optional<Element> body = Xml.child(item, "qti-item-body");
        Optional<Element> passage = body.flatMap(parent -> Xml.children(parent).stream()
                .filter(child -> child.getLocalName().equals("div")
                        && Xml.attribute(child, "class").equals(STIMULUS))
                .findFirst());
        passage.ifPresent(found -> body.get().removeChild(found));
        return passage;
    }
}
