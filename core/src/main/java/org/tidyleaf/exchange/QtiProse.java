package org.tidyleaf.exchange;

import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;
import org.tidyleaf.source.Emphasis;

/**
 * Prose in the HTML subset of QTI 3.0: emphasis, formulas as MathML with their LaTeX beside it, pictures as files.
 *
 * @param pictures for each figure id its file, from the item's folder
 */
record QtiProse(Map<String, String> pictures) {

    /** Emphasis and the element it is written as; those without one of their own are spans of that class. */
    private static final List<Map.Entry<Emphasis, String>> ELEMENTS = List.of(
            Map.entry(Emphasis.BOLD, "strong"),
            Map.entry(Emphasis.ITALIC, "em"),
            Map.entry(Emphasis.SUPERSCRIPT, "sup"),
            Map.entry(Emphasis.SUBSCRIPT, "sub"),
            Map.entry(Emphasis.UNDERLINE, "span.qti-underline"),
            Map.entry(Emphasis.STRIKE, "span.struck"),
            Map.entry(Emphasis.HIGHLIGHT, "span.highlighted"),
            Map.entry(Emphasis.COLOR, "span.coloured"));

    static final String MATH = "http://www.w3.org/1998/Math/MathML";

    /** Without any block around it; breaks become {@code br}, a gap that options below fill is a printed rule. */
    String inline(Prose prose) {
        return inline(prose, gap -> "<span class=\"gap\">______</span>");
    }

    /** @param gaps what stands in the gap of that number, as markup */
    String inline(Prose prose, IntFunction<String> gaps) {
        XmlText out = new XmlText();
        for (Inline part : prose.parts()) {
            if (part instanceof Inline.Text text) {
                out.markup(set(text));
            } else if (part instanceof Inline.Formula formula) {
                out.markup(
                        LatexMathMl.convert(formula.latex()).replaceFirst("<math>", "<math xmlns=\"" + MATH + "\">"));
            } else if (part instanceof Inline.Picture picture) {
                String file = pictures.getOrDefault(picture.figure(), "");
                if (!file.isEmpty()) {
                    out.empty("img", "src", file, "alt", picture.alternative());
                }
            } else if (part instanceof Inline.Gap gap) {
                out.markup(gaps.apply(gap.number()));
            } else {
                out.empty("br");
            }
        }
        return out.toString();
    }

    /** A paragraph, or nothing where there is no text. */
    String block(Prose prose, String css) {
        return prose.isEmpty() ? "" : "<p class=\"" + css + "\">" + inline(prose) + "</p>";
    }

    private static String set(Inline.Text text) {
        String markup = XmlText.escape(text.text());
        for (Map.Entry<Emphasis, String> element : ELEMENTS) {
            if (text.emphasis().contains(element.getKey())) {
                String[] name = element.getValue().split("\\.");
                String open = name.length == 1 ? "<" + name[0] + ">" : "<span class=\"" + name[1] + "\">";
                markup = open + markup + "</" + name[0] + ">";
            }
        }
        return markup;
    }
}
