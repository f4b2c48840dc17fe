package org.tidyleaf.web.review;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.web.util.HtmlUtils;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.SomeCases;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.web.page.ProseHtml;

/** What the card of a question of several parts lists besides its key, as safe HTML. */
record PrintedParts(ProseHtml html) implements SomeCases<List<String>> {

    private static final String BETWEEN = " \u00b7 ";

    /** Where the key shows every pair, only the targets that are left over are listed. */
    @Override
    public List<String> match(Match question) {
        List<Prose> left = new ArrayList<>(question.targets());
        question.key().forEach(place -> left.remove(question.targets().get(place)));
        List<String> parts = new ArrayList<>();
        if (!question.isKeyed()) {
            parts.addAll(question.lefts().stream().map(html::html).toList());
        }
        if (!left.isEmpty()) {
            parts.add((question.isKeyed() ? "left over: " : "to choose from: ") + joined(left));
        }
        return parts;
    }

    @Override
    public List<String> order(Order question) {
        return question.items().stream().map(html::html).toList();
    }

    @Override
    public List<String> grid(Grid question) {
        List<String> parts =
                new ArrayList<>(question.rows().stream().map(html::html).toList());
        parts.add("columns: " + joined(question.columns()));
        return parts;
    }

    @Override
    public List<String> gapMatch(GapMatch question) {
        return List.of("words: " + escaped(question.words()));
    }

    private String joined(List<Prose> proses) {
        return proses.stream().map(html::html).collect(Collectors.joining(BETWEEN));
    }

    private static String escaped(List<String> words) {
        return words.stream().map(HtmlUtils::htmlEscape).collect(Collectors.joining(BETWEEN));
    }

    @Override
    public List<String> tableEntry(TableEntry question) {
        return question.rows().stream()
                .map(row -> row.stream().map(html::html).collect(Collectors.joining(BETWEEN)))
                .toList();
    }

    @Override
    public List<String> pictureLabel(PictureLabel question) {
        List<String> parts = new ArrayList<>(List.of("places: " + escaped(question.labels())));
        if (!question.words().isEmpty()) {
            parts.add("words: " + escaped(question.words()));
        }
        return parts;
    }

    @Override
    public List<String> otherwise(Question question) {
        return List.of();
    }
}
