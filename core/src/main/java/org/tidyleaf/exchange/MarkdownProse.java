package org.tidyleaf.exchange;

import java.util.stream.Collectors;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;
import org.tidyleaf.source.Emphasis;

/** Prose as Markdown (CommonMark 0.31): bold and italic by stars, formulas between dollar signs, gaps as rules. */
final class MarkdownProse {

    private MarkdownProse() {}

    static String lines(Prose prose) {
        return prose.parts().stream()
                .map(MarkdownProse::part)
                .collect(Collectors.joining())
                .strip();
    }

    private static String part(Inline part) {
        if (part instanceof Inline.Text text) {
            return set(text);
        }
        if (part instanceof Inline.Formula formula) {
            return "$" + formula.latex() + "$";
        }
        if (part instanceof Inline.Gap) {
            return escaped("__________");
        }
        return part instanceof Inline.Break ? "\n" : "";
    }

    /** Marks stand right at the words: spaces at either end stay outside. */
    private static String set(Inline.Text text) {
        String mark = (text.emphasis().contains(Emphasis.BOLD) ? "**" : "")
                + (text.emphasis().contains(Emphasis.ITALIC) ? "*" : "");
        String words = text.text().strip();
        if (mark.isEmpty() || words.isEmpty()) {
            return escaped(text.text());
        }
        int from = text.text().indexOf(words);
        String closing = new StringBuilder(mark).reverse().toString();
        return text.text().substring(0, from)
                + mark
                + escaped(words)
                + closing
                + text.text().substring(from + words.length());
    }

    /** What Markdown would read as marks is written as it is. */
    static String escaped(String text) {
        return text.replaceAll("([\\\\*_`<\\[\\]|$])", "\\\\$1").replaceAll("(?m)^(#+|>|-|\\+)(?=\\s)", "\\\\$1");
    }
}
