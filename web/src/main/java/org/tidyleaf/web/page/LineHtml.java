package org.tidyleaf.web.page;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.exchange.LatexMathMl;
import org.tidyleaf.reading.Role;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;
import org.tidyleaf.source.Span;

/**
 * Lines of a source as HTML: emphasis, formulas as MathML, pictures.
 *
 * @param figures the address below which the pictures are, with its closing slash
 */
public record LineHtml(Source source, String figures) {

    private static final Pattern FORMULA = Pattern.compile("\\\\\\((.+?)\\\\\\)");

    public String html(Line line) {
        return html(line, Map.of());
    }

    /** @param pinned words that have a role of their own, marked as such */
    public String html(Line line, Map<Segment, Role> pinned) {
        TreeSet<Integer> bounds = new TreeSet<>(List.of(0, line.text().length()));
        line.spans().forEach(span -> bounds.addAll(List.of(span.from(), span.to())));
        pinned.keySet().forEach(part -> bounds.addAll(List.of(part.from(), part.to())));
        StringBuilder html = new StringBuilder();
        int at = 0;
        for (int next : bounds) {
            int from = at;
            Optional<Span> span = line.spans().stream()
                    .filter(one -> one.from() <= from && one.to() > from)
                    .findFirst();
            if (next > from) {
                String run = span.map(one -> span(line, one, from, next))
                        .orElseGet(() -> text(line.text().substring(from, next)));
                html.append(withRole(run, from, pinned));
                at = next;
            }
        }
        // A picture may stand where there is no text at all.
        line.spans().stream()
                .filter(span -> span.from() == span.to())
                .forEach(span -> html.append(span(line, span, span.from(), span.to())));
        return html.toString();
    }

    private static String withRole(String run, int from, Map<Segment, Role> pinned) {
        return pinned.entrySet().stream()
                .filter(pin -> pin.getKey().from() <= from && pin.getKey().to() > from)
                .findFirst()
                .map(pin ->
                        "<span class=\"pinned-words\" title=\"" + pin.getValue().label() + "\">" + run + "</span>")
                .orElse(run);
    }

    private String span(Line line, Span span, int from, int to) {
        if (!span.figure().isEmpty()) {
            String alternative = source.figures().stream()
                    .filter(figure -> figure.id().equals(span.figure()))
                    .map(Figure::alternative)
                    .findFirst()
                    .orElse("");
            return "<img class=\"figure\" loading=\"lazy\" src=\"" + ProseHtml.escape(figures + span.figure())
                    + "\" alt=\"" + ProseHtml.escape(alternative) + "\">";
        }
        return ProseHtml.set(text(line.text().substring(from, to)), span.emphasis());
    }

    private static String text(String text) {
        StringBuilder html = new StringBuilder();
        Matcher formula = FORMULA.matcher(text);
        int at = 0;
        while (formula.find()) {
            html.append(plain(text.substring(at, formula.start())));
            html.append(LatexMathMl.convert(formula.group(1)));
            at = formula.end();
        }
        return html.append(plain(text.substring(at))).toString();
    }

    private static String plain(String text) {
        return ProseHtml.escape(text).replace("\t", "<span class=\"tab\"></span>");
    }
}
