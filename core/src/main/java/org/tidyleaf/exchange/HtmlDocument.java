package org.tidyleaf.exchange;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;

/** The printed test as XHTML with its pictures beside it: what the PDF is made of. */
abstract class HtmlDocument implements PrintDocument {

    /** The widest picture, in points: 15 cm. */
    private static final long WIDEST = 425;

    /** Points for a dot at 96 dots an inch. */
    private static final double POINT = 0.75;

    private static final double TWIP = 20;

    private static final List<Map.Entry<Emphasis, String>> ELEMENTS = List.of(
            Map.entry(Emphasis.BOLD, "b"),
            Map.entry(Emphasis.ITALIC, "i"),
            Map.entry(Emphasis.UNDERLINE, "u"),
            Map.entry(Emphasis.STRIKE, "s"),
            Map.entry(Emphasis.SUPERSCRIPT, "sup"),
            Map.entry(Emphasis.SUBSCRIPT, "sub"),
            Map.entry(Emphasis.HIGHLIGHT, "mark"));

    /** The scheme of the addresses of its pictures, which are their places among them: "picture:0". */
    static final String PICTURE = "picture";

    private final XmlText body = new XmlText();
    private final PictureSpool pictures = new PictureSpool();
    private final String title;
    private boolean inGroup;
    private boolean inTable;

    /** Whether the open paragraph is the last one of its group. */
    private boolean closing;

    HtmlDocument(String title) {
        this.title = title;
    }

    /** Paragraphs that stay with the one below are held together by a block around all of them. */
    @Override
    public HtmlDocument begin(Look look) {
        if (look.keepNext() && !inGroup && !inTable) {
            body.open("div", "class", "together");
            inGroup = true;
        }
        closing = inGroup && !look.keepNext() && !inTable;
        String css = look.style().isEmpty() ? "text" : look.style().toLowerCase(java.util.Locale.ROOT);
        String place = "margin-left:" + look.indent() / TWIP + "pt;padding-top:" + look.before() / TWIP + "pt";
        body.open("p", "class", css, "style", place);
        return this;
    }

    @Override
    public HtmlDocument end() {
        body.close("p");
        if (closing) {
            endGroup();
        }
        return this;
    }

    private void endGroup() {
        if (inGroup) {
            body.close("div");
        }
        inGroup = false;
        closing = false;
    }

    @Override
    public HtmlDocument run(String text, Set<Emphasis> emphasis) {
        String markup = XmlText.escape(text).replace("\t", " &#160; &#160; ").replaceAll("  ", " &#160;");
        for (Map.Entry<Emphasis, String> element : ELEMENTS) {
            if (emphasis.contains(element.getKey())) {
                markup = "<" + element.getValue() + ">" + markup + "</" + element.getValue() + ">";
            }
        }
        body.markup(markup);
        return this;
    }

    @Override
    public HtmlDocument lineBreak() {
        body.empty("br");
        return this;
    }

    @Override
    public HtmlDocument formula(String latex) {
        body.markup(LatexMathMl.convert(latex)
                .replaceAll("<annotation.*?</annotation>", "")
                .replaceFirst("<math>", "<math xmlns=\"http://www.w3.org/1998/Math/MathML\">"));
        return this;
    }

    @Override
    public HtmlDocument picture(Figure figure) {
        long[] size = PictureSize.of(figure.bytes());
        double wide = Math.min(WIDEST, size[0] * POINT);
        body.empty(
                "img",
                "src",
                PICTURE + ":" + pictures.size(),
                "alt",
                figure.alternative(),
                "style",
                "width:" + wide + "pt");
        pictures.add(figure.bytes());
        return this;
    }

    @Override
    public HtmlDocument beginTable(int columns) {
        body.open("table");
        inTable = true;
        return this;
    }

    @Override
    public HtmlDocument beginRow() {
        body.open("tr");
        return this;
    }

    @Override
    public HtmlDocument beginCell() {
        body.open("td");
        return this;
    }

    @Override
    public HtmlDocument endCell() {
        body.close("td");
        return this;
    }

    @Override
    public HtmlDocument endRow() {
        body.close("tr");
        return this;
    }

    @Override
    public HtmlDocument endTable() {
        body.close("table");
        inTable = false;
        endGroup();
        return this;
    }

    @Override
    public HtmlDocument newPage() {
        endGroup();
        body.element("div", "", "class", "new-page");
        return this;
    }

    /** The picture of such an address. */
    final byte[] picture(String address) {
        return pictures.get(Integer.parseInt(address.substring(PICTURE.length() + 1)));
    }

    /** Lets go of its pictures. */
    final void forget() throws IOException {
        pictures.close();
    }

    /** All that was written so far. */
    final String xhtml() {
        endGroup();
        return new XmlText()
                .open("html", "xmlns", "http://www.w3.org/1999/xhtml")
                .open("head")
                .element("title", title)
                .element("style", STYLE)
                .close("head")
                .open("body")
                .markup(body.toString())
                .close("body")
                .close("html")
                .toString();
    }

    private static final String STYLE = """
            @page { size: A4; margin: 20mm; @bottom-right { content: counter(page) " / " counter(pages); font: 8.5pt print; } }
            body { font-family: print; font-size: 11pt; line-height: 1.4; }
            p { margin: 0 0 3pt 0; page-break-inside: avoid; }
            p.title { font-size: 17pt; font-weight: bold; }
            p.heading1 { font-size: 13.5pt; font-weight: bold; }
            .together { page-break-inside: avoid; }
            .new-page { page-break-after: always; }
            table { border-collapse: collapse; width: 100%; margin: 4pt 0; }
            tr { page-break-inside: avoid; }
            td { border: 0.5pt solid #888; padding: 2pt 5pt; }
            mark { background: #ff0; }
            """;
}
