package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.tidyleaf.intake.Docx;

/** A page that a made-up test is typed on, line by line; it is saved as a word processor's file or as plain text. */
final class Page {

    /** How words look, in the word processor's own terms. */
    enum Look {
        PLAIN(""),
        BOLD("<w:b/>"),
        RED("<w:color w:val=\"C00000\"/>"),
        YELLOW("<w:highlight w:val=\"yellow\"/>"),
        UNDERLINED("<w:u w:val=\"single\"/>");

        private final String properties;

        Look(String properties) {
            this.properties = properties;
        }
    }

    record Words(String text, Look look) {}

    private final StringBuilder body = new StringBuilder();
    private final StringBuilder text = new StringBuilder();
    private final List<String[]> lists = new ArrayList<>();
    private boolean needsWordProcessor;

    void line(String words) {
        line(List.of(new Words(words, Look.PLAIN)), 0, 0);
    }

    void line(String words, Look look) {
        line(List.of(new Words(words, look)), 0, 0);
    }

    /** A line of words, indented by so many steps, as an item of an automatic list (0: of none). */
    void line(List<Words> words, int indent, int list) {
        needsWordProcessor |= list > 0;
        text.append("    ".repeat(indent))
                .append(words.stream().map(Words::text).collect(Collectors.joining()))
                .append('\n');
        body.append(paragraph(words, indent, list));
    }

    void blank() {
        line("");
    }

    void table(List<List<String>> rows) {
        needsWordProcessor = true;
        body.append("<w:tbl>");
        for (List<String> row : rows) {
            text.append(String.join(" | ", row)).append('\n');
            body.append("<w:tr>");
            for (String cell : row) {
                body.append("<w:tc>")
                        .append(paragraph(List.of(new Words(cell, Look.PLAIN)), 0, 0))
                        .append("</w:tc>");
            }
            body.append("</w:tr>");
        }
        body.append("</w:tbl>");
    }

    /** A new automatic list, "decimal" with "%1." for example; to be named by lines that are its items. */
    int list(String format, String label) {
        lists.add(new String[] {format, label});
        return lists.size();
    }

    boolean needsWordProcessor() {
        return needsWordProcessor;
    }

    String text() {
        return text.toString();
    }

    /** The text in lines of at most 72 signs, as some programs save it; tabs keep their line whole. */
    String wrapped() {
        StringBuilder wrapped = new StringBuilder();
        for (String line : text.toString().split("\n")) {
            String rest = line;
            while (rest.length() > 72 && rest.indexOf('\t') < 0 && rest.lastIndexOf(' ', 72) > 0) {
                int at = rest.lastIndexOf(' ', 72);
                wrapped.append(rest, 0, at).append('\n');
                rest = rest.substring(at + 1);
            }
            wrapped.append(rest).append('\n');
        }
        return wrapped.toString();
    }

    byte[] docx() {
        StringBuilder numbering = new StringBuilder();
        for (int i = 0; i < lists.size(); i++) {
            numbering.append("<w:abstractNum w:abstractNumId=\"").append(i).append("\"><w:lvl w:ilvl=\"0\">");
            numbering.append("<w:start w:val=\"1\"/><w:numFmt w:val=\"").append(lists.get(i)[0]);
            numbering.append("\"/><w:lvlText w:val=\"").append(lists.get(i)[1]).append("\"/></w:lvl></w:abstractNum>");
        }
        for (int i = 0; i < lists.size(); i++) {
            numbering.append("<w:num w:numId=\"").append(i + 1).append("\"><w:abstractNumId w:val=\"");
            numbering.append(i).append("\"/></w:num>");
        }
        return Docx.body(body.toString()).numbering(numbering.toString()).bytes();
    }

    private String paragraph(List<Words> words, int indent, int list) {
        StringBuilder xml = new StringBuilder("<w:p><w:pPr>");
        if (list > 0) {
            xml.append("<w:numPr><w:ilvl w:val=\"0\"/><w:numId w:val=\"")
                    .append(list)
                    .append("\"/></w:numPr>");
        }
        if (indent > 0) {
            xml.append("<w:ind w:left=\"").append(indent * 567).append("\"/>");
        }
        xml.append("</w:pPr>");
        for (Words run : words) {
            needsWordProcessor |= run.look() != Look.PLAIN && run.look() != Look.BOLD;
            xml.append("<w:r><w:rPr>").append(run.look().properties).append("</w:rPr><w:t xml:space=\"preserve\">");
            xml.append(run.text()
                    .replace("&", "&amp;")
                    .replace("<", "&lt;")
                    .replace("\t", "</w:t><w:tab/><w:t xml:space=\"preserve\">"));
            xml.append("</w:t></w:r>");
        }
        return xml.append("</w:p>").toString();
    }
}
