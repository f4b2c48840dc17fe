package org.tidyleaf.intake.text;

import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Format;
import org.tidyleaf.source.Source;

/** Web pages and pasted rich text: the text that a browser would show, lists numbered as it would number them. */
public final class HtmlFormat implements Format {

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
        HtmlStyles.inline(document);
        document.select("script, style, noscript, template, [aria-hidden=true], head > *:not(title)")
                .remove();
        unfold(document);
        HtmlWalker walker = new HtmlWalker();
        walker.walk(document.body());
        return new Source(name, "html", walker.lines(), walker.figures(), walker.notes());
    }

    /** What folds out, "Answer" and behind it what it is, stands there as "Answer: …" on one line. */
    private static void unfold(Document document) {
        for (Element summary : document.select("details > summary")) {
            String head = summary.text().strip().replaceFirst("[.:]$", "");
            Element behind = summary.nextElementSibling();
            if (behind != null && behind.is("p, div") && isFirst(behind, summary)) {
                behind.unwrap();
            }
            summary.replaceWith(new TextNode(head + ": "));
        }
    }

    private static boolean isFirst(Element behind, Element summary) {
        Node between = summary.nextSibling();
        return between == behind || between instanceof TextNode text && text.isBlank();
    }
}
