package org.tidyleaf.web.page;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.marking.Response;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.SomeCases;

/** A response in words, a line for each part; empty for choices, which are shown with their options. */
record GivenAnswer(Response response) implements SomeCases<String> {

    private static final String BETWEEN = " \u00b7 ";

    @Override
    public String choice(ChoiceQuestion question) {
        return "";
    }

    @Override
    public String extendedText(ExtendedText question) {
        return String.join("\n", response.entered());
    }

    @Override
    public String match(Match question) {
        return parts(
                question.lefts(), question.targets().stream().map(Prose::plain).toList());
    }

    @Override
    public String order(Order question) {
        List<String> places = IntStream.rangeClosed(1, question.items().size())
                .mapToObj(String::valueOf)
                .toList();
        return parts(question.items(), places);
    }

    @Override
    public String grid(Grid question) {
        return parts(
                question.rows(), question.columns().stream().map(Prose::plain).toList());
    }

    private String parts(List<Prose> rows, List<String> choices) {
        return IntStream.range(0, Math.min(rows.size(), response.entered().size()))
                .filter(i -> response.entered().get(i).matches("\\d{1,3}"))
                .filter(i -> Integer.parseInt(response.entered().get(i)) < choices.size())
                .mapToObj(i -> rows.get(i).plain() + " = "
                        + choices.get(Integer.parseInt(response.entered().get(i))))
                .collect(Collectors.joining(BETWEEN));
    }

    @Override
    public String hottext(Hottext question) {
        List<Hottext.Word> words = question.words();
        String text = question.text().typed();
        return response.chosen().stream()
                .sorted()
                .filter(place -> place < words.size())
                .map(words::get)
                .map(word -> text.substring(word.from(), word.to()))
                .collect(Collectors.joining(BETWEEN));
    }

    @Override
    public String pictureLabel(PictureLabel question) {
        return IntStream.range(
                        0, Math.min(question.labels().size(), response.entered().size()))
                .mapToObj(i ->
                        question.labels().get(i) + " = " + response.entered().get(i))
                .collect(Collectors.joining(BETWEEN));
    }

    @Override
    public String otherwise(Question question) {
        return String.join(BETWEEN, response.entered());
    }
}
