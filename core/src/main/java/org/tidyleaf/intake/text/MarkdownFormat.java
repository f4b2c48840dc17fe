package org.tidyleaf.intake.text;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.Node;
import org.commonmark.parser.IncludeSourceSpans;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.html.HtmlRenderer;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Format;
import org.tidyleaf.source.Source;

/** Markdown (CommonMark with tables), as chat assistants write it; line ends stay line ends. */
public final class MarkdownFormat implements Format {

    /** \\( … \\), $$ … $$, and $ … $ where a sign of mathematics stands between, for prices have dollar signs too. */
    private static final Pattern FORMULA =
            Pattern.compile("\\\\\\((.+?)\\\\\\)|\\$\\$(.+?)\\$\\$|\\$(?=\\S)([^$\\n]*?[\\\\^_=][^$\\n]*?)(?<=\\S)\\$");

    private static final Pattern SUMMARY =
            Pattern.compile("(?i)(?:<details[^>]{0,40}>\\s*)?<summary>(?:<b>)?([^<\\n]{1,80})(?:</b>)?</summary>\\s*");

    /** A table, a heading, or a list of several. */
    private static final Pattern BLOCK = Pattern.compile("[|#]|(?:[-*+]|\\d+[.)]) [^\\n]*\\n\\s*(?:[-*+]|\\d+[.)]) ");

    private static final Pattern FOLD = Pattern.compile("(?i)</?details[^>]{0,40}>");

    /** A line without bars, and below it a table's first row over its rule. */
    private static final Pattern TABLE_BELOW_TEXT =
            Pattern.compile("(?m)^([^|\\n]*\\S[^|\\n]*)\\n(?=[ \\t]*[|][^\\n]*\\n[ \\t]*[|]?[ :]*-{3,}[-| :]*$)");

    private static final Pattern HEADING = Pattern.compile("(?m)^#{1,6} +\\p{L}");

    private static final Pattern BOLD =
            Pattern.compile("(?m)(?<![*\\w])\\*\\*(?=\\S)[^*\\n]{2,200}(?<=\\S)\\*\\*(?![*\\w])");

    /** A line in italics, a sign that stands for itself, a rule over the page. */
    private static final Pattern OTHER_SIGNS =
            Pattern.compile("(?m)^\\*(?=\\S)[^*\\n]{2,200}(?<=\\S)\\*$|\\\\[_*#]|^---$");

    /** One line with # may be a number sign. */
    private static final int HEADINGS = 2;

    private static final int BOLDS = 3;

    @Override
    public String ending() {
        return "md";
    }

    @Override
    public Source read(String name, byte[] bytes) throws IntakeException {
        return read(name, TextFormat.decode(name, bytes));
    }

    /** Whether a text is Markdown, whatever its file's name says: headings with #, words in bold between stars, signs behind strokes. */
    static boolean looksLike(String text) {
        long headings = HEADING.matcher(text).results().count();
        return headings >= HEADINGS
                || BOLD.matcher(text).results().count() >= BOLDS
                || headings > 0
                        && (BOLD.matcher(text).find()
                                || OTHER_SIGNS.matcher(text).find());
    }

    static Source read(String name, String text) throws IntakeException {
        var extensions = List.of(TablesExtension.create());
        String markdown = protectedFormulas(withTablesApart(unfolded(text)));
        Node document = Parser.builder()
                .extensions(extensions)
                .includeSourceSpans(IncludeSourceSpans.BLOCKS)
                .build()
                .parse(markdown);
        document.accept(new TypedNumbers(markdown));
        String html = HtmlRenderer.builder()
                .extensions(extensions)
                .softbreak("<br>")
                .escapeHtml(true)
                .build()
                .render(document);
        Source source = HtmlFormat.read(name, html);
        return new Source(name, "md", source.lines(), source.figures(), source.notes());
    }

    /** What folds out on a page, "Answer" and behind it what it is, stands there as "Answer: …"; a table or a list below its name. */
    private static String unfolded(String text) {
        String folded = SUMMARY.matcher(text).replaceAll(found -> {
            String head = found.group(1).strip().replaceFirst("[.:]$", "");
            boolean block =
                    BLOCK.matcher(text).region(found.end(), text.length()).lookingAt();
            return "\n\n" + Matcher.quoteReplacement(head) + (block ? "\n\n" : ": ");
        });
        return FOLD.matcher(folded).replaceAll("\n\n");
    }

    /** A table right below a sentence becomes a block of its own, as it is meant. */
    private static String withTablesApart(String text) {
        return TABLE_BELOW_TEXT.matcher(text).replaceAll("$1\n\n");
    }

    /** Formulas pass through Markdown untouched; those between dollar signs get the delimiters of all others. */
    private static String protectedFormulas(String text) {
        return FORMULA.matcher(text).replaceAll(found -> {
            String latex = Stream.of(found.group(1), found.group(2), found.group(3))
                    .filter(group -> group != null)
                    .findFirst()
                    .orElse("");
            return Matcher.quoteReplacement("\\\\(" + latex.replaceAll("([\\\\_*`\\[\\]{}])", "\\\\$1") + "\\\\)");
        });
    }
}
