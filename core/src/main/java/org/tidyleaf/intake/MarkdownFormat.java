package org.tidyleaf.intake;

import java.util.List;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.Node;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.html.HtmlRenderer;
import org.tidyleaf.source.Source;

/** Markdown (CommonMark with tables), as chat assistants write it; line ends stay line ends. */
final class MarkdownFormat implements Format {

    @Override
    public String ending() {
        return "md";
    }

    @Override
    public Source read(String name, byte[] bytes) throws IntakeException {
        var extensions = List.of(TablesExtension.create());
        Node document = Parser.builder().extensions(extensions).build().parse(TextFormat.decode(name, bytes));
        String html = HtmlRenderer.builder()
                .extensions(extensions)
                .softbreak("<br>")
                .escapeHtml(true)
                .build()
                .render(document);
        Source source = HtmlFormat.read(name, html);
        return new Source(name, "md", source.lines(), source.figures());
    }
}
