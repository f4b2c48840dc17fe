package org.tidyleaf.web.page;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.web.util.HtmlUtils;
import org.tidyleaf.exchange.LatexMathMl;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.ProseRows;
import org.tidyleaf.source.Emphasis;

/** Prose to HTML. The only place where text of documents becomes markup, so the only place that escapes it. */
public final class ProseHtml {

    private static final Map<Emphasis, String> ELEMENTS = new EnumMap<>(Map.of(
            Emphasis.BOLD, "strong",
            Emphasis.ITALIC, "em",
            Emphasis.UNDERLINE, "u",
            Emphasis.STRIKE, "s",
            Emphasis.SUPERSCRIPT, "sup",
            Emphasis.SUBSCRIPT, "sub",
            Emphasis.HIGHLIGHT, "mark"));

    private final String figures;

    private final GapHtml gaps;

    /**
     * @param figures the address below which the pictures are, with its closing slash
     * @param gaps what stands in a gap
     */
    public ProseHtml(String figures, GapHtml gaps) {
        this.figures = figures;
        this.gaps = gaps;
    }

    /** With gaps as a rule. */
    public ProseHtml(String figures) {
        this(figures, number -> "<span class=\"gap\"><span class=\"only-read\">gap " + number + "</span></span>");
    }

    /** What stands in the gap of that number, as safe HTML. */
    @FunctionalInterface
    public interface GapHtml {
        String html(int number);
    }

    /** Rows of a table that stand in a text are shown as one. */
    public String html(Prose prose) {
        List<ProseRows> blocks = ProseRows.of(prose);
        StringBuilder html = new StringBuilder();
        if (blocks.stream().noneMatch(ProseRows::isTable)) {
            append(html, prose);
            return html.toString();
        }
        for (ProseRows block : blocks) {
            if (block.isTable()) {
                table(html, block);
            } else {
                append(html, block.text());
            }
        }
        return html.toString();
    }

    /** Of elements that may stand within a paragraph. */
    private void table(StringBuilder html, ProseRows table) {
        html.append("<span class=\"prose-table\" role=\"table\">");
        for (List<Prose> row : table.rows()) {
            html.append("<span class=\"prose-row\" role=\"row\">");
            for (int column = 0; column < table.columns(); column++) {
                html.append("<span class=\"prose-cell\" role=\"cell\">");
                append(html, column < row.size() ? row.get(column) : Prose.EMPTY);
                html.append("</span>");
            }
            html.append("</span>");
        }
        html.append("</span>");
    }

    private void append(StringBuilder html, Prose prose) {
        for (Inline part : prose.parts()) {
            append(html, part);
        }
    }

    private void append(StringBuilder html, Inline part) {
        if (part instanceof Inline.Text text) {
            html.append(set(escape(text.text()), text.emphasis()));
        } else if (part instanceof Inline.Formula formula) {
            html.append("<span class=\"formula\">")
                    .append(LatexMathMl.convert(formula.latex()))
                    .append("</span>");
        } else if (part instanceof Inline.Picture picture) {
            html.append(picture(picture));
        } else if (part instanceof Inline.Gap gap) {
            html.append(gaps.html(gap.number()));
        } else {
            html.append("<br>");
        }
    }

    private String picture(Inline.Picture picture) {
        return "<img class=\"figure\" src=\"" + escape(figures + picture.figure()) + "\" alt=\""
                + escape(picture.alternative()) + "\" loading=\"lazy\">";
    }

    /** Wraps safe HTML in the elements of an emphasis. */
    public static String set(String html, Set<Emphasis> emphasis) {
        String wrapped = html;
        for (Map.Entry<Emphasis, String> element : ELEMENTS.entrySet()) {
            if (emphasis.contains(element.getKey())) {
                wrapped = "<" + element.getValue() + ">" + wrapped + "</" + element.getValue() + ">";
            }
        }
        return wrapped;
    }

    public static String escape(String text) {
        return HtmlUtils.htmlEscape(text, "UTF-8");
    }
}
