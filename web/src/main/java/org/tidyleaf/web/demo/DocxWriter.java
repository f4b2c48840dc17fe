package org.tidyleaf.web.demo;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * Writes small .docx files the way a busy teacher does: some numbers typed, some automatic, bold here and there, a picture.
 * Runs are written with marks: {@code **bold**}, {@code //italic//}.
 */
final class DocxWriter {
    private static final String W = "http://schemas.openxmlformats.org/wordprocessingml/2006/main";
    private static final String R = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
    private static final long STAMP = 1_767_225_600_000L;

    private final StringBuilder body = new StringBuilder();
    private final List<byte[]> pictures = new ArrayList<>();

    DocxWriter paragraph(String text) {
        return paragraph("", text);
    }

    DocxWriter centered(String text) {
        return paragraph("<w:jc w:val=\"center\"/>", text);
    }

    DocxWriter indented(String text) {
        return paragraph("<w:ind w:left=\"567\"/>", text);
    }

    /** A paragraph that the word processor numbers: level 0 counts 1. 2. 3., level 1 letters a) b) c). */
    DocxWriter numbered(int level, String text) {
        return paragraph("<w:numPr><w:ilvl w:val=\"" + level + "\"/><w:numId w:val=\"1\"/></w:numPr>", text);
    }

    /** A table of plain texts, row by row. */
    DocxWriter table(List<List<String>> rows) {
        body.append("<w:tbl><w:tblPr><w:tblW w:w=\"0\" w:type=\"auto\"/></w:tblPr>");
        for (List<String> row : rows) {
            body.append("<w:tr>");
            for (String cell : row) {
                body.append("<w:tc><w:tcPr/>");
                paragraph(cell);
                body.append("</w:tc>");
            }
            body.append("</w:tr>");
        }
        body.append("</w:tbl>");
        return this;
    }

    DocxWriter empty() {
        body.append("<w:p/>");
        return this;
    }

    DocxWriter picture(byte[] png, int width, int height, String alternative) {
        pictures.add(png);
        long wide = width * 9525L;
        long high = height * 9525L;
        int id = pictures.size();
        body.append(
                        "<w:p><w:r><w:drawing><wp:inline xmlns:wp=\"http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing\"><wp:extent cx=\"")
                .append(wide)
                .append("\" cy=\"")
                .append(high)
                .append("\"/><wp:docPr id=\"")
                .append(id)
                .append("\" name=\"Picture ")
                .append(id)
                .append("\" descr=\"")
                .append(escape(alternative))
                .append(
                        "\"/><a:graphic xmlns:a=\"http://schemas.openxmlformats.org/drawingml/2006/main\"><a:graphicData uri=\"http://schemas.openxmlformats.org/drawingml/2006/picture\"><pic:pic xmlns:pic=\"http://schemas.openxmlformats.org/drawingml/2006/picture\"><pic:nvPicPr><pic:cNvPr id=\"")
                .append(id)
                .append("\" name=\"p\"/><pic:cNvPicPr/></pic:nvPicPr><pic:blipFill><a:blip r:embed=\"rPic")
                .append(id)
                .append(
                        "\"/><a:stretch><a:fillRect/></a:stretch></pic:blipFill><pic:spPr><a:xfrm><a:off x=\"0\" y=\"0\"/><a:ext cx=\"")
                .append(wide)
                .append("\" cy=\"")
                .append(high)
                .append(
                        "\"/></a:xfrm><a:prstGeom prst=\"rect\"><a:avLst/></a:prstGeom></pic:spPr></pic:pic></a:graphicData></a:graphic></wp:inline></w:drawing></w:r></w:p>");
        return this;
    }

    private DocxWriter paragraph(String properties, String text) {
        body.append("<w:p>");
        if (!properties.isEmpty()) {
            body.append("<w:pPr>").append(properties).append("</w:pPr>");
        }
        boolean bold = false;
        for (String part : text.split("\\*\\*", -1)) {
            boolean italic = false;
            for (String run : part.split("//", -1)) {
                run(run, bold, italic);
                italic = !italic;
            }
            bold = !bold;
        }
        body.append("</w:p>");
        return this;
    }

    private void run(String text, boolean bold, boolean italic) {
        if (text.isEmpty()) {
            return;
        }
        body.append("<w:r>");
        if (bold || italic) {
            body.append("<w:rPr>")
                    .append(bold ? "<w:b/>" : "")
                    .append(italic ? "<w:i/>" : "")
                    .append("</w:rPr>");
        }
        String[] pieces = text.split("\t", -1);
        for (int i = 0; i < pieces.length; i++) {
            body.append(i > 0 ? "<w:tab/>" : "")
                    .append("<w:t xml:space=\"preserve\">")
                    .append(escape(pieces[i]))
                    .append("</w:t>");
        }
        body.append("</w:r>");
    }

    private static String escape(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;");
    }

    byte[] bytes() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            part(
                    zip,
                    "[Content_Types].xml",
                    "<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\"><Default Extension=\"rels\" ContentType=\"application/vnd.openxmlformats-package.relationships+xml\"/><Default Extension=\"xml\" ContentType=\"application/xml\"/><Default Extension=\"png\" ContentType=\"image/png\"/><Override PartName=\"/word/document.xml\" ContentType=\"application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml\"/><Override PartName=\"/word/numbering.xml\" ContentType=\"application/vnd.openxmlformats-officedocument.wordprocessingml.numbering+xml\"/></Types>");
            part(
                    zip,
                    "_rels/.rels",
                    "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Id=\"r1\" Type=\""
                            + R + "/officeDocument\" Target=\"word/document.xml\"/></Relationships>");
            part(
                    zip,
                    "word/document.xml",
                    "<w:document xmlns:w=\"" + W + "\" xmlns:r=\"" + R + "\"><w:body>" + body
                            + "<w:sectPr/></w:body></w:document>");
            part(zip, "word/numbering.xml", numbering());
            part(zip, "word/_rels/document.xml.rels", relations());
            for (int i = 0; i < pictures.size(); i++) {
                part(zip, "word/media/p" + (i + 1) + ".png", pictures.get(i));
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toByteArray();
    }

    private String relations() {
        StringBuilder xml = new StringBuilder(
                "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Id=\"rNum\" Type=\""
                        + R + "/numbering\" Target=\"numbering.xml\"/>");
        for (int i = 1; i <= pictures.size(); i++) {
            xml.append("<Relationship Id=\"rPic")
                    .append(i)
                    .append("\" Type=\"")
                    .append(R)
                    .append("/image\" Target=\"media/p")
                    .append(i)
                    .append(".png\"/>");
        }
        return xml.append("</Relationships>").toString();
    }

    private static String numbering() {
        return "<w:numbering xmlns:w=\"" + W
                + "\"><w:abstractNum w:abstractNumId=\"0\"><w:multiLevelType w:val=\"multilevel\"/>"
                + level(0, "decimal", "%1.", 360) + level(1, "lowerLetter", "%2)", 794)
                + "</w:abstractNum><w:num w:numId=\"1\"><w:abstractNumId w:val=\"0\"/></w:num></w:numbering>";
    }

    private static String level(int level, String format, String text, int left) {
        return "<w:lvl w:ilvl=\"" + level + "\"><w:start w:val=\"1\"/><w:numFmt w:val=\"" + format
                + "\"/><w:lvlText w:val=\"" + text + "\"/><w:lvlJc w:val=\"left\"/><w:pPr><w:ind w:left=\"" + left
                + "\" w:hanging=\"360\"/></w:pPr></w:lvl>";
    }

    private static void part(ZipOutputStream zip, String name, String text) throws IOException {
        part(zip, name, text.getBytes(StandardCharsets.UTF_8));
    }

    private static void part(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        // A fixed time keeps the files the same, byte for byte, on every start.
        entry.setTime(STAMP);
        zip.putNextEntry(entry);
        zip.write(bytes);
        zip.closeEntry();
    }
}
