package org.tidyleaf.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;

/** An .odt (OpenDocument 1.3, OASIS) written paragraph by paragraph, as {@link WordDocument} is. */
final class OpenDocument implements PrintDocument {

    private static final String MIME = "application/vnd.oasis.opendocument.text";
    private static final String OASIS = "urn:oasis:names:tc:opendocument:xmlns:";
    private static final double TWIPS_IN_CM = 567;
    private static final double DOTS_IN_CM = 96 / 2.54;
    private static final double WIDEST = 15;

    private final XmlText body = new XmlText();
    private final Map<Look, String> paragraphs = new LinkedHashMap<>();
    private final Map<Set<Emphasis>, String> runs = new LinkedHashMap<>();
    /** Where the pictures stand in the file, and of what kind they are; they are written at once, only the text waits. */
    private final Map<String, String> pictures = new LinkedHashMap<>();

    private final List<String> formulas = new ArrayList<>();
    private boolean pageBefore;
    private int tables;
    private boolean heading;
    private final SteadyZip zip;

    OpenDocument(OutputStream out) throws IOException {
        this.zip = new SteadyZip(out);
        // The format wants its type first and unpacked.
        zip.stored("mimetype", MIME.getBytes(StandardCharsets.US_ASCII));
    }

    @Override
    public OpenDocument begin(Look look) {
        if (pageBefore) {
            body.empty("text:p", "text:style-name", "NewPage");
            pageBefore = false;
        }
        String style = paragraphs.computeIfAbsent(look, l -> "P" + (paragraphs.size() + 1));
        heading = look.style().equals("Heading1");
        if (heading) {
            body.open("text:h", "text:style-name", style, "text:outline-level", "1");
        } else {
            body.open("text:p", "text:style-name", style);
        }
        return this;
    }

    @Override
    public OpenDocument end() {
        body.close(heading ? "text:h" : "text:p");
        return this;
    }

    @Override
    public OpenDocument run(String text, Set<Emphasis> emphasis) {
        if (emphasis.isEmpty()) {
            text(text);
        } else {
            String style = runs.computeIfAbsent(new TreeSet<>(emphasis), e -> "T" + (runs.size() + 1));
            body.open("text:span", "text:style-name", style);
            text(text);
            body.close("text:span");
        }
        return this;
    }

    /** Spaces in a row collapse in this format unless they are elements. */
    private void text(String text) {
        int at = 0;
        while (at < text.length()) {
            char sign = text.charAt(at);
            if (sign == '\t') {
                body.empty("text:tab");
                at++;
            } else if (sign == ' ' && (at == 0 || text.charAt(at - 1) == ' ')) {
                body.empty("text:s");
                at++;
            } else {
                int end = at + 1;
                while (end < text.length()
                        && text.charAt(end) != '\t'
                        && !(text.charAt(end) == ' ' && text.charAt(end - 1) == ' ')) {
                    end++;
                }
                body.text(text.substring(at, end));
                at = end;
            }
        }
    }

    @Override
    public OpenDocument lineBreak() {
        body.empty("text:line-break");
        return this;
    }

    @Override
    public OpenDocument formula(String latex) {
        formulas.add(LatexMathMl.convert(latex)
                .replaceFirst("<math>", "<math xmlns=\"http://www.w3.org/1998/Math/MathML\">"));
        body.open("draw:frame", "text:anchor-type", "as-char", "draw:style-name", "Formula")
                .empty("draw:object", "xlink:href", "./" + object(formulas.size() - 1), "xlink:type", "simple")
                .close("draw:frame");
        return this;
    }

    private static String object(int formula) {
        return "Object " + (formula + 1);
    }

    @Override
    public OpenDocument picture(Figure figure) {
        String path = "Pictures/p" + (pictures.size() + 1) + "." + ending(figure.mediaType());
        pictures.put(path, figure.mediaType());
        zip.picture(path, figure);
        long[] size = PictureSize.of(figure.bytes());
        double wide = Math.min(WIDEST, size[0] / DOTS_IN_CM);
        double high = size[1] / DOTS_IN_CM * wide / Math.max(0.01, size[0] / DOTS_IN_CM);
        body.open(
                        "draw:frame",
                        "text:anchor-type",
                        "as-char",
                        "svg:width",
                        centimetres(wide),
                        "svg:height",
                        centimetres(high))
                .open("draw:image", "xlink:href", path, "xlink:type", "simple")
                .close("draw:image")
                .element("svg:desc", figure.alternative())
                .close("draw:frame");
        return this;
    }

    private static String centimetres(double length) {
        return String.format(java.util.Locale.ROOT, "%.3fcm", length);
    }

    private static String ending(String mediaType) {
        return switch (mediaType) {
            case "image/jpeg" -> "jpg";
            case "image/gif" -> "gif";
            default -> "png";
        };
    }

    @Override
    public OpenDocument beginTable(int columns) {
        tables++;
        body.open("table:table", "table:name", "Table" + tables)
                .empty("table:table-column", "table:number-columns-repeated", String.valueOf(columns));
        return this;
    }

    @Override
    public OpenDocument beginRow() {
        body.open("table:table-row", "table:style-name", "Row");
        return this;
    }

    @Override
    public OpenDocument beginCell() {
        body.open("table:table-cell", "table:style-name", "Cell", "office:value-type", "string");
        return this;
    }

    @Override
    public OpenDocument endCell() {
        body.close("table:table-cell");
        return this;
    }

    @Override
    public OpenDocument endRow() {
        body.close("table:table-row");
        return this;
    }

    @Override
    public OpenDocument endTable() {
        body.close("table:table");
        return this;
    }

    @Override
    public OpenDocument newPage() {
        pageBefore = true;
        return this;
    }

    @Override
    public void finish() throws IOException {
        zip.entry("content.xml", content());
        zip.entry("styles.xml", styles());
        for (int i = 0; i < formulas.size(); i++) {
            zip.entry(object(i) + "/content.xml", "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n" + formulas.get(i));
        }
        zip.entry("META-INF/manifest.xml", manifest());
        zip.finish();
    }

    private static XmlText root(String name) {
        return new XmlText()
                .markup("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n")
                .open(
                        name,
                        "xmlns:office",
                        OASIS + "office:1.0",
                        "xmlns:text",
                        OASIS + "text:1.0",
                        "xmlns:table",
                        OASIS + "table:1.0",
                        "xmlns:style",
                        OASIS + "style:1.0",
                        "xmlns:draw",
                        OASIS + "drawing:1.0",
                        "xmlns:fo",
                        OASIS + "xsl-fo-compatible:1.0",
                        "xmlns:svg",
                        OASIS + "svg-compatible:1.0",
                        "xmlns:xlink",
                        "http://www.w3.org/1999/xlink",
                        "office:version",
                        "1.3");
    }

    private String content() {
        XmlText out = root("office:document-content").open("office:automatic-styles");
        paragraphs.forEach((look, name) -> paragraph(out, look, name));
        runs.forEach((emphasis, name) -> {
            out.open("style:style", "style:name", name, "style:family", "text");
            out.empty("style:text-properties", attributes(emphasis));
            out.close("style:style");
        });
        out.open("style:style", "style:name", "NewPage", "style:family", "paragraph")
                .empty("style:paragraph-properties", "fo:break-before", "page")
                .close("style:style");
        out.open("style:style", "style:name", "Row", "style:family", "table-row")
                .empty("style:table-row-properties", "fo:keep-together", "always")
                .close("style:style");
        out.open("style:style", "style:name", "Cell", "style:family", "table-cell")
                .empty("style:table-cell-properties", "fo:border", "0.5pt solid #888888", "fo:padding", "0.1cm")
                .close("style:style");
        out.open("style:style", "style:name", "Formula", "style:family", "graphic")
                .empty("style:graphic-properties", "style:vertical-pos", "middle", "style:vertical-rel", "text")
                .close("style:style");
        return out.close("office:automatic-styles")
                .open("office:body")
                .open("office:text")
                .markup(body.toString())
                .close("office:text")
                .close("office:body")
                .close("office:document-content")
                .toString();
    }

    private static void paragraph(XmlText out, Look look, String name) {
        String parent = switch (look.style()) {
            case "Title" -> "Title";
            case "Heading1" -> "Heading_20_1";
            default -> "Standard";
        };
        out.open("style:style", "style:name", name, "style:family", "paragraph", "style:parent-style-name", parent);
        List<String> properties = new ArrayList<>(List.of(
                "fo:margin-left",
                centimetres(look.indent() / TWIPS_IN_CM),
                "fo:margin-top",
                centimetres(look.before() / TWIPS_IN_CM),
                "fo:margin-bottom",
                "0.1cm",
                "fo:keep-together",
                "always"));
        if (look.keepNext()) {
            properties.addAll(List.of("fo:keep-with-next", "always"));
        }
        out.empty("style:paragraph-properties", properties.toArray(String[]::new))
                .close("style:style");
    }

    private static String[] attributes(Set<Emphasis> emphasis) {
        List<String> attributes = new ArrayList<>();
        for (Emphasis one : emphasis) {
            attributes.addAll(
                    switch (one) {
                        case BOLD -> List.of("fo:font-weight", "bold");
                        case ITALIC -> List.of("fo:font-style", "italic");
                        case UNDERLINE -> List.of("style:text-underline-style", "solid");
                        case STRIKE -> List.of("style:text-line-through-style", "solid");
                        case SUPERSCRIPT -> List.of("style:text-position", "super 58%");
                        case SUBSCRIPT -> List.of("style:text-position", "sub 58%");
                        case HIGHLIGHT -> List.of("fo:background-color", "#ffff00");
                        case COLOR -> List.<String>of();
                    });
        }
        return attributes.toArray(String[]::new);
    }

    private static String styles() {
        XmlText out = root("office:document-styles").open("office:styles");
        style(out, "Standard", "", "11.5pt", false);
        style(out, "Title", "Title", "17pt", true);
        style(out, "Heading_20_1", "Heading 1", "13.5pt", true);
        out.close("office:styles").open("office:automatic-styles");
        out.open("style:page-layout", "style:name", "A4")
                .empty(
                        "style:page-layout-properties",
                        "fo:page-width",
                        "21cm",
                        "fo:page-height",
                        "29.7cm",
                        "fo:margin",
                        "2cm")
                .close("style:page-layout");
        return out.close("office:automatic-styles")
                .open("office:master-styles")
                .empty("style:master-page", "style:name", "Standard", "style:page-layout-name", "A4")
                .close("office:master-styles")
                .close("office:document-styles")
                .toString();
    }

    private static void style(XmlText out, String name, String shown, String size, boolean bold) {
        out.open(
                        "style:style",
                        "style:name",
                        name,
                        "style:display-name",
                        shown.isEmpty() ? name : shown,
                        "style:family",
                        "paragraph")
                .empty("style:text-properties", "fo:font-size", size, "fo:font-weight", bold ? "bold" : "normal")
                .close("style:style");
    }

    private String manifest() {
        String space = OASIS + "manifest:1.0";
        XmlText out = new XmlText()
                .markup("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n")
                .open("manifest:manifest", "xmlns:manifest", space, "manifest:version", "1.3");
        file(out, "/", MIME);
        file(out, "content.xml", "text/xml");
        file(out, "styles.xml", "text/xml");
        pictures.forEach((path, type) -> file(out, path, type));
        for (int i = 0; i < formulas.size(); i++) {
            file(out, object(i) + "/", "application/vnd.oasis.opendocument.formula");
            file(out, object(i) + "/content.xml", "text/xml");
        }
        return out.close("manifest:manifest").toString();
    }

    private static void file(XmlText out, String path, String type) {
        out.empty("manifest:file-entry", "manifest:full-path", path, "manifest:media-type", type);
    }
}
