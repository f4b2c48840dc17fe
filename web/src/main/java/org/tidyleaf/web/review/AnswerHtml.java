package org.tidyleaf.web.review;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.SomeCases;
import org.tidyleaf.reading.AnswerText;
import org.tidyleaf.web.page.ProseHtml;

/** What is right where there are no options, with its formulas and pictures, as safe HTML. */
record AnswerHtml(ProseHtml html) implements SomeCases<String> {

    private static final String LINE = "<br>";

    @Override
    public String match(Match question) {
        return IntStream.range(0, question.key().size())
                .mapToObj(i -> pair(
                        question.lefts().get(i),
                        html.html(question.targets().get(question.key().get(i)))))
                .collect(Collectors.joining(LINE));
    }

    @Override
    public String grid(Grid question) {
        return IntStream.range(0, question.key().size())
                .mapToObj(i -> pair(
                        question.rows().get(i),
                        question.key().get(i).stream()
                                .sorted()
                                .map(column -> html.html(question.columns().get(column)))
                                .collect(Collectors.joining(" / "))))
                .collect(Collectors.joining(LINE));
    }

    private String pair(Prose left, String right) {
        return html.html(left) + " = " + right;
    }

    @Override
    public String order(Order question) {
        List<Prose> items = question.items();
        return question.key().stream().map(items::get).map(html::html).collect(Collectors.joining(LINE));
    }

    @Override
    public String otherwise(Question question) {
        return html.html(Prose.written(AnswerText.of(question)));
    }
}
