package org.tidyleaf.intake;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Source;

/** Web pages and pasted rich text: the text that a browser would show, lists numbered as it would number them. */
final class HtmlFormat implements Format {

    @Override
    public String ending() {
        return "html";
    }

    @Override
    public Source read(String name, byte[] bytes) throws IntakeException {
        return read(name, TextFormat.decode(name, bytes));
    }

    static Source read(String name, String html) {
        Document document = Jsoup.parse(html);
        document.select("script, style, noscript, template, head > *:not(title)")
                .remove();
        Walker walker = new Walker();
        walker.blocks(document.body(), Set.of());
        walker.end("");
        return new Source(name, "html", walker.lines.lines(), List.of());
    }

    /** Walks one page. */
    private static final class Walker {
        private static final Set<String> BLOCKS = Set.of(
                "p",
                "div",
                "section",
                "article",
                "header",
                "footer",
                "main",
                "ul",
                "ol",
                "li",
                "table",
                "tbody",
                "thead",
                "tr",
                "td",
                "th",
                "h1",
                "h2",
                "h3",
                "h4",
                "h5",
                "h6",
                "blockquote",
                "pre",
                "dl",
                "dt",
                "dd",
                "form",
                "fieldset",
                "hr",
                "body",
                "figure",
                "figcaption",
                "label");

        private final LineCollector lines = new LineCollector();
        private Optional<Cell> cell = Optional.empty();
        private String pendingLabel = "";
        private boolean open;
        private int tables;
        private int indent;

        void blocks(Element parent, Set<Emphasis> look) {
            for (Node node : parent.childNodes()) {
                if (node instanceof TextNode text) {
                    text(text.getWholeText(), look, parent.normalName().equals("pre"));
                } else if (node instanceof Element element) {
                    element(element, look);
                }
            }
        }

        private void element(Element element, Set<Emphasis> look) {
            String tag = element.normalName();
            switch (tag) {
                case "br" -> end("");
                case "ol", "ul" -> list(element, look);
                case "table" -> table(element, look);
                case "input" ->
                    text(element.hasAttr("checked") ? "\u2611 " : isBox(element) ? "\u2610 " : "________", look, false);
                default -> {
                    boolean block = BLOCKS.contains(tag);
                    if (block) {
                        end("");
                    }
                    blocks(element, with(look, element));
                    if (block) {
                        end(tag.matches("h[1-6]") ? "heading " + tag.charAt(1) : "");
                    }
                }
            }
        }

        private static boolean isBox(Element input) {
            return input.attr("type").equals("checkbox") || input.attr("type").equals("radio");
        }

        private void list(Element list, Set<Emphasis> look) {
            end("");
            int number = list.attr("start").matches("\\d{1,5}") ? Integer.parseInt(list.attr("start")) : 1;
            indent += 360;
            for (Element item : list.children()) {
                if (item.normalName().equals("li")) {
                    pendingLabel = list.normalName().equals("ul") ? "\u2022" : label(list.attr("type"), number++);
                    blocks(item, look);
                    end("");
                    pendingLabel = "";
                }
            }
            indent -= 360;
        }

        /** As the HTML standard's list owners number: type a, A, i, I or decimal, then a full stop. */
        private static String label(String type, int number) {
            String format = switch (type) {
                case "a" -> "lowerLetter";
                case "A" -> "upperLetter";
                case "i" -> "lowerRoman";
                case "I" -> "upperRoman";
                default -> "decimal";
            };
            return DocxNumbering.print(number, format) + ".";
        }

        private void table(Element table, Set<Emphasis> look) {
            end("");
            Optional<Cell> outer = cell;
            int number = tables++;
            int row = 0;
            for (Element tableRow : table.select("tr")) {
                List<Element> cells = tableRow.children();
                for (int column = 0; column < cells.size(); column++) {
                    cell = Optional.of(new Cell(number, row, column, cells.size()));
                    blocks(cells.get(column), with(look, cells.get(column)));
                    end("");
                }
                row++;
            }
            cell = outer;
        }

        private static Set<Emphasis> with(Set<Emphasis> look, Element element) {
            Set<Emphasis> result = EnumSet.noneOf(Emphasis.class);
            result.addAll(look);
            String style = element.attr("style").toLowerCase(Locale.ROOT);
            switch (element.normalName()) {
                case "b", "strong", "th" -> result.add(Emphasis.BOLD);
                case "i", "em" -> result.add(Emphasis.ITALIC);
                case "u", "ins" -> result.add(Emphasis.UNDERLINE);
                case "s", "del", "strike" -> result.add(Emphasis.STRIKE);
                case "sup" -> result.add(Emphasis.SUPERSCRIPT);
                case "sub" -> result.add(Emphasis.SUBSCRIPT);
                case "mark" -> result.add(Emphasis.HIGHLIGHT);
                default -> {
                    // Other elements look as their surroundings do.
                }
            }
            if (style.matches("(?s).*font-weight:\\s*(?:bold|[6-9]00).*")) {
                result.add(Emphasis.BOLD);
            }
            return result;
        }

        private void text(String text, Set<Emphasis> look, boolean kept) {
            String shown = kept ? text : text.replaceAll("[\\s&&[^\u00a0]]+", " ");
            if (!open && shown.isBlank()) {
                return;
            }
            if (!open) {
                lines.label(pendingLabel);
                pendingLabel = "";
                shown = shown.stripLeading();
                open = true;
            }
            lines.append(shown.replace('\n', ' '), look, "");
        }

        void end(String style) {
            if (open) {
                lines.end(indent, style, Place.BODY, cell, false);
                open = false;
            }
        }
    }
}
