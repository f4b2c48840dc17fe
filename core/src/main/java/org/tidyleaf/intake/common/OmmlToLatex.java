package org.tidyleaf.intake.common;

import java.util.stream.Collectors;
import org.w3c.dom.Element;

/** Office Math (ISO/IEC 29500-1, 22.1) to LaTeX, structure by structure. What it does not know is passed through as its parts. */
public final class OmmlToLatex {

    private OmmlToLatex() {}

    public static String convert(Element math) {
        return all(math).strip();
    }

    private static String all(Element parent) {
        return Xml.children(parent).stream().map(OmmlToLatex::one).collect(Collectors.joining());
    }

    private static String one(Element e) {
        return switch (e.getLocalName()) {
            case "r" -> text(e);
            case "f" -> "\\frac{" + part(e, "num") + "}{" + part(e, "den") + "}";
            case "rad" -> root(e);
            case "sSup" -> base(e) + "^{" + part(e, "sup") + "}";
            case "sSub" -> base(e) + "_{" + part(e, "sub") + "}";
            case "sSubSup" -> base(e) + "_{" + part(e, "sub") + "}^{" + part(e, "sup") + "}";
            case "d" -> delimited(e);
            case "nary" -> nary(e);
            case "func" -> function(e);
            case "acc" -> accent(e);
            case "bar" -> "\\overline{" + part(e, "e") + "}";
            case "m" -> matrix(e);
            case "limLow" -> part(e, "e") + "_{" + part(e, "lim") + "}";
            case "limUpp" -> part(e, "e") + "^{" + part(e, "lim") + "}";
            default -> e.getLocalName().endsWith("Pr") ? "" : all(e);
        };
    }

    private static String text(Element run) {
        StringBuilder latex = new StringBuilder();
        for (Element child : Xml.children(run)) {
            if (child.getLocalName().equals("t")) {
                child.getTextContent()
                        .codePoints()
                        .mapToObj(Character::toString)
                        .forEach(sign -> latex.append(MathSigns.latex(sign)));
            }
        }
        return latex.toString();
    }

    private static String part(Element e, String name) {
        return Xml.child(e, name).map(OmmlToLatex::all).orElse("").strip();
    }

    private static String base(Element e) {
        String base = part(e, "e");
        return base.codePointCount(0, base.length()) > 1 && !base.startsWith("\\") ? "{" + base + "}" : base;
    }

    private static String root(Element e) {
        String degree = part(e, "deg");
        return "\\sqrt" + (degree.isEmpty() ? "" : "[" + degree + "]") + "{" + part(e, "e") + "}";
    }

    private static String property(Element e, String properties, String name, String otherwise) {
        return Xml.child(e, properties)
                .flatMap(pr -> Xml.child(pr, name))
                .map(value -> Xml.attribute(value, "val"))
                .orElse(otherwise);
    }

    private static String delimited(Element e) {
        String left = MathSigns.fence(property(e, "dPr", "begChr", "("));
        String right = MathSigns.fence(property(e, "dPr", "endChr", ")"));
        String inside = Xml.children(e).stream()
                .filter(child -> child.getLocalName().equals("e"))
                .map(child -> all(child).strip())
                .collect(Collectors.joining("|"));
        return "\\left" + left + " " + inside + " \\right" + right;
    }

    private static String nary(Element e) {
        String sign = property(e, "naryPr", "chr", "\u222b");
        String sub = part(e, "sub");
        String sup = part(e, "sup");
        return MathSigns.latex(sign)
                + (sub.isEmpty() ? "" : "_{" + sub + "}")
                + (sup.isEmpty() ? "" : "^{" + sup + "}")
                + " " + part(e, "e");
    }

    private static String function(Element e) {
        String name = part(e, "fName");
        return (MathSigns.isFunction(name) ? "\\" : "") + name + " " + part(e, "e");
    }

    private static String accent(Element e) {
        return MathSigns.accent(property(e, "accPr", "chr", "\u0302")) + "{" + part(e, "e") + "}";
    }

    private static String matrix(Element e) {
        return "\\begin{matrix}"
                + Xml.children(e).stream()
                        .filter(row -> row.getLocalName().equals("mr"))
                        .map(OmmlToLatex::row)
                        .collect(Collectors.joining(" \\\\ "))
                + "\\end{matrix}";
    }

    private static String row(Element row) {
        return Xml.children(row).stream()
                .filter(cell -> cell.getLocalName().equals("e"))
                .map(cell -> all(cell).strip())
                .collect(Collectors.joining(" & "));
    }
}
