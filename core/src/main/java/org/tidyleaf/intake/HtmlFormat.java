package org.tidyleaf.intake;

import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
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
        HtmlStyles.inline(document);
        document.select("script, style, noscript, template, [aria-hidden=true], head > *:not(title)")
                .remove();
        HtmlWalker walker = new HtmlWalker();
        walker.walk(document.body());
        return new Source(name, "html", walker.lines(), walker.figures(), walker.notes());
    }
}
