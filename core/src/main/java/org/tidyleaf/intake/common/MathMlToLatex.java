package org.tidyleaf.intake.common;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.w3c.dom.Element;

/** MathML (W3C, presentation markup) to LaTeX, structure by structure; an annotation that is LaTeX already is taken as it is. */
public final class MathMlToLatex {

    private MathMlToLatex() {}

    /** @param math the {@code math} element */
    public static String convert(Element math) {
        var annotations = math.getElementsByTagNameNS("*", "annotation");
        for (int i = 0; i < annotations.getLength(); i++) {
            Element annotation = (Element) annotations.item(i);
            if (Xml.attribute(annotation, "encoding")
                    .toLowerCase(java.util.Locale.ROOT)
                    .contains("tex")) {
                return annotation.getTextContent().strip();
            }
        }
        return all(math).strip();
    }

    private static String all(Element parent) {
        return Xml.children(parent).stream().map(MathMlToLatex::one).collect(Collectors.joining());
    }

    private static String one(Element e) {
        return switch (e.getLocalName()) {
            case "mi" -> named(e);
            case "mn", "mo" -> signs(e);
            case "mtext" -> "\\text{" + e.getTextContent().strip() + "}";
            case "mfrac" -> "\\frac{" + part(e, 0) + "}{" + part(e, 1) + "}";
            case "msqrt" -> "\\sqrt{" + all(e).strip() + "}";
            case "mroot" -> "\\sqrt[" + part(e, 1) + "]{" + part(e, 0) + "}";
            case "msup" -> base(e) + "^{" + part(e, 1) + "}";
            case "msub" -> base(e) + "_{" + part(e, 1) + "}";
            case "msubsup", "munderover" -> base(e) + "_{" + part(e, 1) + "}^{" + part(e, 2) + "}";
            case "munder" -> base(e) + "_{" + part(e, 1) + "}";
            case "mover" -> over(e);
            case "mfenced" -> fenced(e);
            case "mtable" -> table(e);
            case "mspace" -> " ";
            case "annotation", "annotation-xml", "mphantom" -> "";
            default -> all(e);
        };
    }

    private static String named(Element e) {
        String name = e.getTextContent().strip();
        return MathSigns.isFunction(name) ? "\\" + name + " " : signs(e);
    }

    private static String signs(Element e) {
        return e.getTextContent()
                .strip()
                .codePoints()
                .mapToObj(Character::toString)
                .map(MathSigns::latex)
                .collect(Collectors.joining());
    }

    private static Optional<Element> child(Element e, int place) {
        List<Element> children = Xml.children(e);
        return place < children.size() ? Optional.of(children.get(place)) : Optional.empty();
    }

    private static String part(Element e, int place) {
        return child(e, place).map(MathMlToLatex::one).orElse("").strip();
    }

    private static String base(Element e) {
        String base = part(e, 0);
        return base.codePointCount(0, base.length()) > 1 && !base.startsWith("\\") ? "{" + base + "}" : base;
    }

    /** A single sign above a letter is an accent, anything else an upper limit. */
    private static String over(Element e) {
        String above = child(e, 1).map(Element::getTextContent).orElse("").strip();
        boolean accent =
                above.codePointCount(0, above.length()) == 1 && !Character.isLetterOrDigit(above.codePointAt(0));
        return accent ? MathSigns.accent(above) + "{" + part(e, 0) + "}" : base(e) + "^{" + part(e, 1) + "}";
    }

    private static String fenced(Element e) {
        String open = e.hasAttribute("open") ? e.getAttribute("open") : "(";
        String close = e.hasAttribute("close") ? e.getAttribute("close") : ")";
        String inside =
                Xml.children(e).stream().map(child -> one(child).strip()).collect(Collectors.joining(","));
        return "\\left" + MathSigns.fence(open) + " " + inside + " \\right" + MathSigns.fence(close);
    }

    private static String table(Element e) {
        String rows = Xml.children(e).stream()
                .map(row -> Xml.children(row).stream()
                        .map(cell -> all(cell).strip())
                        .collect(Collectors.joining(" & ")))
                .collect(Collectors.joining(" \\\\ "));
        return "\\begin{matrix}" + rows + "\\end{matrix}";
    }
}
