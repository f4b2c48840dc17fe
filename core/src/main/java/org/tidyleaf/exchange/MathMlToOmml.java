package org.tidyleaf.exchange;

import java.util.List;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Xml;
import org.w3c.dom.Element;

/** The MathML that {@link LatexMathMl} makes to Office Math (ECMA-376 part 1, 22.1). */
final class MathMlToOmml {

    private MathMlToOmml() {}

    /** The inside of an {@code oMath}. */
    static String convert(String latex) {
        try {
            String mathMl = LatexMathMl.convert(latex).replaceAll("<annotation.*?</annotation>", "");
            Element math = Xml.parse("formula", mathMl.getBytes(java.nio.charset.StandardCharsets.UTF_8))
                    .getDocumentElement();
            XmlText out = new XmlText();
            children(math, out);
            return out.toString();
        } catch (IntakeException impossible) {
            return run(latex);
        }
    }

    private static String run(String text) {
        return new XmlText()
                .open("m:r")
                .element("m:t", text, "xml:space", "preserve")
                .close("m:r")
                .toString();
    }

    private static void children(Element parent, XmlText out) {
        Xml.children(parent).forEach(child -> element(child, out));
    }

    private static void element(Element element, XmlText out) {
        List<Element> parts = Xml.children(element);
        switch (element.getLocalName()) {
            case "mfrac" -> wrapped(out, "m:f", List.of("m:num", "m:den"), parts);
            case "msup" -> wrapped(out, "m:sSup", List.of("m:e", "m:sup"), parts);
            case "msub" -> wrapped(out, "m:sSub", List.of("m:e", "m:sub"), parts);
            case "msubsup" -> wrapped(out, "m:sSubSup", List.of("m:e", "m:sub", "m:sup"), parts);
            case "mroot" -> {
                out.open("m:rad").open("m:deg");
                element(parts.get(1), out);
                out.close("m:deg").open("m:e");
                element(parts.get(0), out);
                out.close("m:e").close("m:rad");
            }
            case "msqrt" -> {
                out.open("m:rad")
                        .open("m:radPr")
                        .empty("m:degHide", "m:val", "1")
                        .close("m:radPr")
                        .empty("m:deg")
                        .open("m:e");
                children(element, out);
                out.close("m:e").close("m:rad");
            }
            case "mover" -> {
                out.open("m:acc")
                        .open("m:accPr")
                        .empty("m:chr", "m:val", accent(parts))
                        .close("m:accPr")
                        .open("m:e");
                element(parts.get(0), out);
                out.close("m:e").close("m:acc");
            }
            case "mi", "mn", "mo", "mtext" -> out.markup(run(element.getTextContent()));
            default -> children(element, out);
        }
    }

    /** Accents stand over a letter as combining signs. */
    private static String accent(List<Element> parts) {
        String sign = parts.size() < 2 ? "" : parts.get(1).getTextContent();
        return switch (sign) {
            case "\u00af" -> "\u0304";
            case "\u2192" -> "\u20d7";
            case "\u02d9" -> "\u0307";
            case "~", "\u02dc" -> "\u0303";
            default -> "\u0302";
        };
    }

    private static void wrapped(XmlText out, String name, List<String> places, List<Element> parts) {
        out.open(name);
        for (int i = 0; i < places.size(); i++) {
            out.open(places.get(i));
            if (i < parts.size()) {
                element(parts.get(i), out);
            }
            out.close(places.get(i));
        }
        out.close(name);
    }
}
