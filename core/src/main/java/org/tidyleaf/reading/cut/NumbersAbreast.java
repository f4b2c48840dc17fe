package org.tidyleaf.reading.cut;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/**
 * "1) 3 + 4 = ____      2) 12 - 5 = ____": questions side by side on one line, which the numbers on the lines around
 * count on; or "1) … 5) …" over "2) … 6) …", where they count on down the columns.
 */
final class NumbersAbreast {

    /** A number at the beginning of a line or behind a wide gap. */
    private record Place(String shape, int ordinal) {}

    private final Map<Integer, List<Integer>> cuts = new HashMap<>();

    NumbersAbreast(Source source) {
        Map<Integer, List<Label>> byLine = new TreeMap<>();
        Set<Place> leading = new HashSet<>();
        for (Line line : source.lines()) {
            List<Label> labels = abreast(line.text());
            if (!labels.isEmpty()) {
                leading.add(new Place(labels.get(0).shape(), labels.get(0).ordinal()));
            }
            if (labels.size() > 1) {
                byLine.put(line.number(), labels);
            }
        }
        byLine.forEach((line, labels) -> {
            if (isAcross(labels)
                    ? isContinued(labels, byLine.values(), leading)
                    : countsDown(labels, byLine.values())) {
                cuts.put(line, labels.stream().skip(1).map(Label::from).toList());
            }
        });
    }

    private static boolean isAcross(List<Label> labels) {
        return labels.get(1).ordinal() == labels.get(0).ordinal() + 1;
    }

    /** Whether a line below goes on with the next number, or one above ends with the one before. */
    private static boolean isContinued(List<Label> labels, Collection<List<Label>> others, Set<Place> leading) {
        Label first = labels.get(0);
        Label last = labels.get(labels.size() - 1);
        return leading.contains(new Place(first.shape(), last.ordinal() + 1))
                || others.stream()
                        .anyMatch(other -> other.get(other.size() - 1).ordinal() + 1 == first.ordinal()
                                && other.get(0).shape().equals(first.shape()));
    }

    /** Whether the numbers of a line above or below are all one less or one more: they count down the columns. */
    private static boolean countsDown(List<Label> labels, Collection<List<Label>> others) {
        return others.stream().anyMatch(other -> isBelow(labels, other) || isBelow(other, labels));
    }

    private static boolean isBelow(List<Label> above, List<Label> below) {
        return above.size() >= below.size()
                && IntStream.range(0, below.size())
                        .allMatch(column -> below.get(column)
                                        .shape()
                                        .equals(above.get(column).shape())
                                && below.get(column).ordinal()
                                        == above.get(column).ordinal() + 1);
    }

    /** Where the further questions of a line begin; empty for most lines. */
    List<Integer> cuts(Line line) {
        return cuts.getOrDefault(line.number(), List.of());
    }

    /** The number that begins the line and the greater ones behind wide gaps, of one shape. */
    private static List<Label> abreast(String text) {
        List<Label> labels = new ArrayList<>();
        number(text, 0).ifPresent(labels::add);
        for (int at = 1; !labels.isEmpty() && at < text.length(); at++) {
            boolean wide = text.charAt(at - 1) == '\t'
                    || at >= 3 && text.substring(at - 3, at).isBlank();
            if (wide && Character.isLetterOrDigit(text.charAt(at)) || wide && text.charAt(at) == '(') {
                Label last = labels.get(labels.size() - 1);
                number(text, at)
                        .filter(label -> label.shape().equals(last.shape()) && label.ordinal() > last.ordinal())
                        .filter(label -> label.end() < text.length())
                        .ifPresent(labels::add);
            }
        }
        return labels;
    }

    private static Optional<Label> number(String text, int at) {
        return LabelFinder.find(text, at, text.length()).stream()
                .filter(label -> label.kind() == Label.Kind.NUMBER)
                .findFirst();
    }
}
