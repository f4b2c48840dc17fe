package org.tidyleaf.web.review;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.SomeCases;
import org.tidyleaf.question.TableEntry;

/** What the card of a question of several parts lists besides its key. */
record PrintedParts() implements SomeCases<List<String>> {

    /** Where the key shows every pair, only the targets that are left over are listed. */
    @Override
    public List<String> match(Match question) {
        List<Prose> left = new ArrayList<>(question.targets());
        question.key().forEach(place -> left.remove(question.targets().get(place)));
        List<String> parts = new ArrayList<>();
        if (!question.isKeyed()) {
            parts.addAll(question.lefts().stream().map(Prose::plain).toList());
        }
        if (!left.isEmpty()) {
            parts.add((question.isKeyed() ? "left over: " : "to choose from: ") + joined(left));
        }
        return parts;
    }

    @Override
    public List<String> order(Order question) {
        return question.items().stream().map(Prose::plain).toList();
    }

    @Override
    public List<String> grid(Grid question) {
        List<String> parts =
                new ArrayList<>(question.rows().stream().map(Prose::plain).toList());
        parts.add("columns: " + String.join(" \u00b7 ", question.columns()));
        return parts;
    }

    @Override
    public List<String> gapMatch(GapMatch question) {
        return List.of("words: " + String.join(" \u00b7 ", question.words()));
    }

    private static String joined(List<Prose> proses) {
        return proses.stream().map(Prose::plain).collect(Collectors.joining(" \u00b7 "));
    }

    @Override
    public List<String> tableEntry(TableEntry question) {
        return question.rows().stream()
                .map(row -> row.stream()
                        .map(cell -> cell.plain().replaceAll("\\[\\[\\d+]]", "____"))
                        .collect(Collectors.joining(" \u00b7 ")))
                .toList();
    }

    @Override
    public List<String> pictureLabel(PictureLabel question) {
        List<String> parts = new ArrayList<>(List.of("places: " + String.join(" \u00b7 ", question.labels())));
        if (!question.words().isEmpty()) {
            parts.add("words: " + String.join(" \u00b7 ", question.words()));
        }
        return parts;
    }

    @Override
    public List<String> otherwise(Question question) {
        return List.of();
    }
}
