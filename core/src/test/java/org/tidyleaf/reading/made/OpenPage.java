package org.tidyleaf.reading.made;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.tidyleaf.intake.Docx;

/** A page as an open document (.odt), as ODF 1.2 has it. */
final class OpenPage {

    private static final Pattern BLANKS = Pattern.compile(" {2,}");

    private static final String NAMESPACES = " xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\""
            + " xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\""
            + " xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\""
            + " xmlns:style=\"urn:oasis:names:tc:opendocument:xmlns:style:1.0\""
            + " xmlns:fo=\"urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0\""
            + " xmlns:svg=\"urn:oasis:names:tc:opendocument:xmlns:svg-compatible:1.0\""
            + " xmlns:draw=\"urn:oasis:names:tc:opendocument:xmlns:drawing:1.0\""
            + " xmlns:xlink=\"http://www.w3.org/1999/xlink\"";

    private OpenPage() {}

    static byte[] save(Page page) {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        StringBuilder xml = new StringBuilder("<office:document-content" + NAMESPACES + ">");
        xml.append("<office:automatic-styles>").append(styles(page)).append("</office:automatic-styles>");
        xml.append("<office:body><office:text>");
        for (Page.Block block : page.blocks()) {
            if (block instanceof Page.Paragraph line) {
                xml.append(paragraph(line));
            } else if (block instanceof Page.Picture picture) {
                String name = "Pictures/" + picture.number() + ".png";
                parts.put(name, picture.png());
                xml.append("<text:p><draw:frame text:anchor-type=\"as-char\" svg:width=\"4cm\" svg:height=\"3cm\">");
                xml.append("<draw:image xlink:href=\"").append(name).append("\"/></draw:frame></text:p>");
            } else if (block instanceof Page.Table table) {
                xml.append(table(table));
            }
        }
        xml.append("</office:text></office:body></office:document-content>");
        parts.put("content.xml", xml.toString().getBytes(StandardCharsets.UTF_8));
        return Docx.zipped(parts);
    }

    private static String styles(Page page) {
        StringBuilder xml = new StringBuilder();
        xml.append(style("BOLD", "text", "<style:text-properties fo:font-weight=\"bold\"/>"));
        xml.append(style("RED", "text", "<style:text-properties fo:color=\"#c00000\"/>"));
        xml.append(style("YELLOW", "text", "<style:text-properties fo:background-color=\"#ffff00\"/>"));
        xml.append(style("UNDERLINED", "text", "<style:text-properties style:text-underline-style=\"solid\"/>"));
        xml.append(style("indent1", "paragraph", "<style:paragraph-properties fo:margin-left=\"1cm\"/>"));
        for (int i = 0; i < page.lists().size(); i++) {
            Page.Numbering list = page.lists().get(i);
            xml.append("<text:list-style style:name=\"L").append(i + 1);
            xml.append("\"><text:list-level-style-number text:level=\"1\" style:num-suffix=\"")
                    .append(list.behind());
            xml.append("\" style:num-format=\"").append(list.first()).append("\"/></text:list-style>");
        }
        return xml.toString();
    }

    private static String style(String name, String family, String properties) {
        return "<style:style style:name=\"" + name + "\" style:family=\"" + family + "\">" + properties
                + "</style:style>";
    }

    private static String paragraph(Page.Paragraph line) {
        StringBuilder xml = new StringBuilder("<text:p");
        xml.append(line.indent() > 0 ? " text:style-name=\"indent1\">" : ">");
        for (Page.Words words : line.words()) {
            String text = BLANKS.matcher(WebPage.escaped(words.text()))
                    .replaceAll(blanks -> " <text:s text:c=\"" + (blanks.group().length() - 1) + "\"/>")
                    .replace("\t", "<text:tab/>");
            boolean plain = words.look() == Page.Look.PLAIN;
            xml.append(plain ? text : "<text:span text:style-name=\"" + words.look() + "\">" + text + "</text:span>");
        }
        xml.append("</text:p>");
        return line.list() == 0
                ? xml.toString()
                : "<text:list text:style-name=\"L" + line.list() + "\"><text:list-item text:start-value=\""
                        + line.place() + "\">" + xml + "</text:list-item></text:list>";
    }

    private static String table(Page.Table table) {
        StringBuilder xml = new StringBuilder("<table:table>");
        for (List<Page.Cell> row : table.rows()) {
            xml.append("<table:table-row>");
            for (Page.Cell cell : row) {
                xml.append("<table:table-cell>").append(cell.lines().isEmpty() ? "<text:p/>" : "");
                cell.lines().forEach(line -> xml.append(paragraph(new Page.Paragraph(List.of(line), 0, 0, 0))));
                xml.append("</table:table-cell>");
            }
            xml.append("</table:table-row>");
        }
        return xml.append("</table:table>").toString();
    }
}
