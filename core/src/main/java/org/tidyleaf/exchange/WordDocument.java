package org.tidyleaf.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;

/**
 * A .docx (ECMA-376, WordprocessingML) written paragraph by paragraph: plain text with emphasis, formulas, tables and
 * pictures. The same calls give the same bytes.
 */
final class WordDocument implements PrintDocument {

    private static final String W = "http://schemas.openxmlformats.org/wordprocessingml/2006/main";
    private static final String R = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
    private static final String PACKAGE = "http://schemas.openxmlformats.org/package/2006/";
    private static final String M = "http://schemas.openxmlformats.org/officeDocument/2006/math";
    /** English Metric Units in a picture's dot at 96 dots an inch, and of the widest picture: 15 cm. */
    private static final long UNITS = 9525;

    private static final long WIDEST = 15 * 360_000L;

    private final XmlText body = new XmlText();
    private final SteadyZip zip;

    /** Where the pictures stand in the file; they are written at once, only the text waits. */
    private final List<String> pictures = new ArrayList<>();

    WordDocument(OutputStream out) {
        this.zip = new SteadyZip(out);
    }

    @Override
    public WordDocument begin(Look look) {
        body.open("w:p").open("w:pPr");
        if (!look.style().isEmpty()) {
            body.empty("w:pStyle", "w:val", look.style());
        }
        if (look.keepNext()) {
            body.empty("w:keepNext");
        }
        body.empty("w:keepLines");
        body.empty("w:spacing", "w:before", String.valueOf(look.before()), "w:after", "60");
        if (look.indent() > 0) {
            body.empty("w:ind", "w:left", String.valueOf(look.indent()));
        }
        body.close("w:pPr");
        return this;
    }

    @Override
    public WordDocument end() {
        body.close("w:p");
        return this;
    }

    @Override
    public WordDocument run(String text, Set<Emphasis> emphasis) {
        if (text.isEmpty()) {
            return this;
        }
        body.open("w:r").open("w:rPr");
        flag(emphasis, Emphasis.BOLD, "w:b");
        flag(emphasis, Emphasis.ITALIC, "w:i");
        flag(emphasis, Emphasis.STRIKE, "w:strike");
        if (emphasis.contains(Emphasis.HIGHLIGHT)) {
            body.empty("w:highlight", "w:val", "yellow");
        }
        if (emphasis.contains(Emphasis.UNDERLINE)) {
            body.empty("w:u", "w:val", "single");
        }
        if (emphasis.contains(Emphasis.SUPERSCRIPT) || emphasis.contains(Emphasis.SUBSCRIPT)) {
            boolean raised = emphasis.contains(Emphasis.SUPERSCRIPT);
            body.empty("w:vertAlign", "w:val", raised ? "superscript" : "subscript");
        }
        body.close("w:rPr");
        String[] pieces = text.split("\t", -1);
        for (int i = 0; i < pieces.length; i++) {
            if (i > 0) {
                body.empty("w:tab");
            }
            body.element("w:t", pieces[i], "xml:space", "preserve");
        }
        body.close("w:r");
        return this;
    }

    private void flag(Set<Emphasis> emphasis, Emphasis one, String element) {
        if (emphasis.contains(one)) {
            body.empty(element);
        }
    }

    @Override
    public WordDocument lineBreak() {
        body.open("w:r").empty("w:br").close("w:r");
        return this;
    }

    @Override
    public WordDocument formula(String latex) {
        body.open("m:oMath").markup(MathMlToOmml.convert(latex)).close("m:oMath");
        return this;
    }

    @Override
    public WordDocument picture(Figure figure) {
        String target = "media/p" + (pictures.size() + 1) + "." + ending(figure.mediaType());
        pictures.add(target);
        zip.picture("word/" + target, figure);
        long[] size = PictureSize.of(figure.bytes());
        long wide = Math.min(WIDEST, size[0] * UNITS);
        long high = size[1] * UNITS * wide / Math.max(1, size[0] * UNITS);
        String id = String.valueOf(pictures.size());
        body.open("w:r").open("w:drawing");
        body.open("wp:inline").empty("wp:extent", "cx", String.valueOf(wide), "cy", String.valueOf(high));
        body.empty("wp:docPr", "id", id, "name", "Picture " + id, "descr", figure.alternative());
        body.open("a:graphic").open("a:graphicData", "uri", "http://schemas.openxmlformats.org/drawingml/2006/picture");
        body.open("pic:pic")
                .open("pic:nvPicPr")
                .empty("pic:cNvPr", "id", id, "name", "p" + id)
                .empty("pic:cNvPicPr")
                .close("pic:nvPicPr");
        body.open("pic:blipFill")
                .empty("a:blip", "r:embed", "rPic" + id)
                .open("a:stretch")
                .empty("a:fillRect")
                .close("a:stretch")
                .close("pic:blipFill");
        body.open("pic:spPr")
                .open("a:xfrm")
                .empty("a:off", "x", "0", "y", "0")
                .empty("a:ext", "cx", String.valueOf(wide), "cy", String.valueOf(high))
                .close("a:xfrm");
        body.open("a:prstGeom", "prst", "rect")
                .empty("a:avLst")
                .close("a:prstGeom")
                .close("pic:spPr");
        body.close("pic:pic")
                .close("a:graphicData")
                .close("a:graphic")
                .close("wp:inline")
                .close("w:drawing")
                .close("w:r");
        return this;
    }

    @Override
    public WordDocument beginTable(int columns) {
        body.open("w:tbl")
                .open("w:tblPr")
                .empty("w:tblW", "w:w", "5000", "w:type", "pct")
                .open("w:tblBorders");
        for (String side : List.of("top", "left", "bottom", "right", "insideH", "insideV")) {
            body.empty("w:" + side, "w:val", "single", "w:sz", "4", "w:color", "888888");
        }
        body.close("w:tblBorders").close("w:tblPr").open("w:tblGrid");
        for (int i = 0; i < columns; i++) {
            body.empty("w:gridCol", "w:w", String.valueOf(9000 / columns));
        }
        body.close("w:tblGrid");
        return this;
    }

    @Override
    public WordDocument beginRow() {
        body.open("w:tr").open("w:trPr").empty("w:cantSplit").close("w:trPr");
        return this;
    }

    @Override
    public WordDocument beginCell() {
        body.open("w:tc")
                .open("w:tcPr")
                .empty("w:tcW", "w:w", "0", "w:type", "auto")
                .close("w:tcPr");
        return this;
    }

    @Override
    public WordDocument endCell() {
        body.close("w:tc");
        return this;
    }

    @Override
    public WordDocument endRow() {
        body.close("w:tr");
        return this;
    }

    @Override
    public WordDocument endTable() {
        body.close("w:tbl");
        return this;
    }

    @Override
    public WordDocument newPage() {
        body.open("w:p")
                .open("w:r")
                .empty("w:br", "w:type", "page")
                .close("w:r")
                .close("w:p");
        return this;
    }

    @Override
    public void finish() throws IOException {
        zip.entry("[Content_Types].xml", contentTypes());
        zip.entry(
                "_rels/.rels",
                "<Relationships xmlns=\"" + PACKAGE + "relationships\"><Relationship Id=\"r1\" Type=\"" + R
                        + "/officeDocument\" Target=\"word/document.xml\"/></Relationships>");
        zip.entry("word/document.xml", document());
        zip.entry("word/styles.xml", styles());
        zip.entry("word/_rels/document.xml.rels", relations());
        zip.finish();
    }

    private String document() {
        return new XmlText()
                .open(
                        "w:document",
                        "xmlns:w",
                        W,
                        "xmlns:r",
                        R,
                        "xmlns:m",
                        M,
                        "xmlns:wp",
                        "http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing",
                        "xmlns:a",
                        "http://schemas.openxmlformats.org/drawingml/2006/main",
                        "xmlns:pic",
                        "http://schemas.openxmlformats.org/drawingml/2006/picture")
                .open("w:body")
                .markup(body.toString())
                .open("w:sectPr")
                .empty("w:pgSz", "w:w", "11906", "w:h", "16838")
                .empty(
                        "w:pgMar",
                        "w:top",
                        "1134",
                        "w:right",
                        "1134",
                        "w:bottom",
                        "1134",
                        "w:left",
                        "1134",
                        "w:header",
                        "567",
                        "w:footer",
                        "567",
                        "w:gutter",
                        "0")
                .close("w:sectPr")
                .close("w:body")
                .close("w:document")
                .toString();
    }

    private static String styles() {
        return "<w:styles xmlns:w=\"" + W
                + "\"><w:docDefaults><w:rPrDefault><w:rPr><w:sz w:val=\"23\"/></w:rPr></w:rPrDefault></w:docDefaults>"
                + style("Title", "Title", 34) + style("Heading1", "heading 1", 27) + "</w:styles>";
    }

    private static String style(String id, String name, int size) {
        return "<w:style w:type=\"paragraph\" w:styleId=\"" + id + "\"><w:name w:val=\"" + name
                + "\"/><w:rPr><w:b/><w:sz w:val=\"" + size + "\"/></w:rPr></w:style>";
    }

    private static String ending(String mediaType) {
        return switch (mediaType) {
            case "image/jpeg" -> "jpeg";
            case "image/gif" -> "gif";
            default -> "png";
        };
    }

    private String relations() {
        XmlText out = new XmlText().open("Relationships", "xmlns", PACKAGE + "relationships");
        out.empty("Relationship", "Id", "rStyles", "Type", R + "/styles", "Target", "styles.xml");
        for (int i = 0; i < pictures.size(); i++) {
            out.empty("Relationship", "Id", "rPic" + (i + 1), "Type", R + "/image", "Target", pictures.get(i));
        }
        return out.close("Relationships").toString();
    }

    private static String contentTypes() {
        XmlText out = new XmlText().open("Types", "xmlns", PACKAGE + "content-types");
        out.empty(
                "Default",
                "Extension",
                "rels",
                "ContentType",
                "application/vnd.openxmlformats-package.relationships+xml");
        out.empty("Default", "Extension", "xml", "ContentType", "application/xml");
        for (String image : List.of("png", "jpeg", "gif")) {
            out.empty("Default", "Extension", image, "ContentType", "image/" + image);
        }
        String word = "application/vnd.openxmlformats-officedocument.wordprocessingml.";
        out.empty("Override", "PartName", "/word/document.xml", "ContentType", word + "document.main+xml");
        out.empty("Override", "PartName", "/word/styles.xml", "ContentType", word + "styles+xml");
        return out.close("Types").toString();
    }
}
