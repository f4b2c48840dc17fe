package org.tidyleaf.reading.made;

import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.stream.Collectors;

/** A page as HTML. */
final class WebPage {

    private WebPage() {}

    static byte[] save(Page page) {
        StringBuilder html = new StringBuilder("<!DOCTYPE html><html><head><meta charset=\"utf-8\"></head><body>\n");
        List<Page.Block> blocks = page.blocks();
        for (int i = 0; i < blocks.size(); i++) {
            if (blocks.get(i) instanceof Page.Paragraph line) {
                int before = i > 0 && blocks.get(i - 1) instanceof Page.Paragraph above ? above.list() : 0;
                int behind =
                        i + 1 < blocks.size() && blocks.get(i + 1) instanceof Page.Paragraph below ? below.list() : 0;
                paragraph(page, line, before, behind, html);
            } else if (blocks.get(i) instanceof Page.Picture picture) {
                String data = Base64.getEncoder().encodeToString(picture.png());
                html.append("<p><img alt=\"\" src=\"data:image/png;base64,")
                        .append(data)
                        .append("\"></p>\n");
            } else if (blocks.get(i) instanceof Page.Table table) {
                table(table, html);
            }
        }
        return html.append("</body></html>").toString().getBytes(StandardCharsets.UTF_8);
    }

    private static void paragraph(Page page, Page.Paragraph line, int before, int behind, StringBuilder html) {
        if (line.list() == 0) {
            String style = line.indent() > 0 ? " style=\"margin-left:" + line.indent() + "cm\"" : "";
            html.append("<p")
                    .append(style)
                    .append('>')
                    .append(line.text().isEmpty() ? "&nbsp;" : words(line))
                    .append("</p>\n");
            return;
        }
        if (before != line.list()) {
            char first = page.lists().get(line.list() - 1).first();
            html.append("<ol type=\"")
                    .append(first)
                    .append("\" start=\"")
                    .append(line.place())
                    .append("\">\n");
        }
        html.append("<li>").append(words(line)).append("</li>\n");
        if (behind != line.list()) {
            html.append("</ol>\n");
        }
    }

    private static void table(Page.Table table, StringBuilder html) {
        html.append("<table>");
        for (List<Page.Cell> row : table.rows()) {
            html.append("<tr>");
            row.forEach(cell -> html.append("<td>")
                    .append(cell.lines().stream().map(WebPage::run).collect(Collectors.joining("<br>")))
                    .append("</td>"));
            html.append("</tr>\n");
        }
        html.append("</table>\n");
    }

    private static String words(Page.Paragraph line) {
        return line.words().stream().map(WebPage::run).collect(Collectors.joining());
    }

    private static String run(Page.Words words) {
        // Tabs and wide spaces collapse on a page of the web unless they are no ordinary blanks.
        String text = escaped(words.text()).replace("\t", "    ").replace("  ", "\u00a0 ");
        return switch (words.look()) {
            case PLAIN -> text;
            case BOLD -> "<b>" + text + "</b>";
            case RED -> "<span style=\"color:#c00000\">" + text + "</span>";
            case YELLOW -> "<mark>" + text + "</mark>";
            case UNDERLINED -> "<u>" + text + "</u>";
        };
    }

    static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;");
    }
}
