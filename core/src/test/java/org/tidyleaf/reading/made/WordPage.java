package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.List;
import org.tidyleaf.intake.Docx;

/** A page as a word processor's .docx. */
final class WordPage {

    private static final int INDENT = 567;

    /** Lengths of drawings are in 914 400ths of an inch. */
    private static final int UNITS_A_POINT = 12_700;

    private static final String LINKS =
            "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">%s</Relationships>";

    private static final String LINK = "<Relationship Id=\"p%d\" Type=\""
            + "http://schemas.openxmlformats.org/officeDocument/2006/relationships/image\" Target=\"media/image%d.png\"/>";

    private static final String DRAWING = "<w:p><w:r><w:drawing><wp:inline"
            + " xmlns:wp=\"http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing\">"
            + "<wp:extent cx=\"%d\" cy=\"%d\"/><a:graphic xmlns:a=\"http://schemas.openxmlformats.org/drawingml/2006/main\">"
            + "<a:graphicData uri=\"http://schemas.openxmlformats.org/drawingml/2006/picture\">"
            + "<pic:pic xmlns:pic=\"http://schemas.openxmlformats.org/drawingml/2006/picture\"><pic:blipFill><a:blip"
            + " xmlns:r=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships\" r:embed=\"p%d\"/>"
            + "</pic:blipFill></pic:pic></a:graphicData></a:graphic></wp:inline></w:drawing></w:r></w:p>";

    private WordPage() {}

    static byte[] save(Page page) {
        StringBuilder body = new StringBuilder();
        StringBuilder links = new StringBuilder();
        List<Page.Picture> pictures = new ArrayList<>();
        for (Page.Block block : page.blocks()) {
            if (block instanceof Page.Paragraph line) {
                body.append(paragraph(line));
            } else if (block instanceof Page.Picture picture) {
                body.append(picture(picture));
                links.append(LINK.formatted(picture.number(), picture.number()));
                pictures.add(picture);
            } else if (block instanceof Page.Table table) {
                body.append(table(table));
            }
        }
        Docx docx = Docx.body(body.toString())
                .numbering(numbering(page))
                .part("word/_rels/document.xml.rels", LINKS.formatted(links));
        pictures.forEach(picture -> docx.part("word/media/image" + picture.number() + ".png", picture.png()));
        return docx.bytes();
    }

    private static String numbering(Page page) {
        StringBuilder xml = new StringBuilder();
        for (int i = 0; i < page.lists().size(); i++) {
            Page.Numbering list = page.lists().get(i);
            xml.append("<w:abstractNum w:abstractNumId=\"").append(i).append("\"><w:lvl w:ilvl=\"0\">");
            xml.append("<w:start w:val=\"1\"/><w:numFmt w:val=\"")
                    .append(list.first() == '1' ? "decimal" : "lowerLetter");
            xml.append("\"/><w:lvlText w:val=\"%1").append(list.behind()).append("\"/></w:lvl></w:abstractNum>");
        }
        for (int i = 0; i < page.lists().size(); i++) {
            xml.append("<w:num w:numId=\"").append(i + 1).append("\"><w:abstractNumId w:val=\"");
            xml.append(i).append("\"/></w:num>");
        }
        return xml.toString();
    }

    private static String picture(Page.Picture picture) {
        return DRAWING.formatted(Page.WIDE * UNITS_A_POINT, Page.HIGH * UNITS_A_POINT, picture.number());
    }

    private static String table(Page.Table table) {
        StringBuilder xml = new StringBuilder("<w:tbl>");
        for (List<Page.Cell> row : table.rows()) {
            xml.append("<w:tr>");
            for (Page.Cell cell : row) {
                xml.append("<w:tc>").append(cell.lines().isEmpty() ? "<w:p/>" : "");
                for (Page.Words line : cell.lines()) {
                    xml.append(paragraph(new Page.Paragraph(List.of(line), 0, 0, 0)));
                }
                xml.append("</w:tc>");
            }
            xml.append("</w:tr>");
        }
        return xml.append("</w:tbl>").toString();
    }

    private static String paragraph(Page.Paragraph line) {
        StringBuilder xml = new StringBuilder("<w:p><w:pPr>");
        if (line.list() > 0) {
            xml.append("<w:numPr><w:ilvl w:val=\"0\"/><w:numId w:val=\"")
                    .append(line.list())
                    .append("\"/></w:numPr>");
        }
        if (line.indent() > 0) {
            xml.append("<w:ind w:left=\"").append(line.indent() * INDENT).append("\"/>");
        }
        xml.append("</w:pPr>");
        for (Page.Words run : line.words()) {
            xml.append("<w:r><w:rPr>").append(look(run.look())).append("</w:rPr><w:t xml:space=\"preserve\">");
            xml.append(WebPage.escaped(run.text()).replace("\t", "</w:t><w:tab/><w:t xml:space=\"preserve\">"));
            xml.append("</w:t></w:r>");
        }
        return xml.append("</w:p>").toString();
    }

    private static String look(Page.Look look) {
        return switch (look) {
            case PLAIN -> "";
            case BOLD -> "<w:b/>";
            case RED -> "<w:color w:val=\"C00000\"/>";
            case YELLOW -> "<w:highlight w:val=\"yellow\"/>";
            case UNDERLINED -> "<w:u w:val=\"single\"/>";
        };
    }
}
