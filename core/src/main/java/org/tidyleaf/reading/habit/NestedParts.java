package org.tidyleaf.reading.habit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import org.tidyleaf.reading.cue.Exercises;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/**
 * "5. Read the scale. (a) Which …? A … B … (b) How …? A … B …": letters below a number that have lettered options of their
 * own are parts, 5a and 5b, and what the number stands before is what they share.
 */
final class NestedParts {

    private NestedParts() {}

    /**
     * The pieces that letter such parts, each with its label's shape.
     *
     * @param headings places of heads, behind which no part of a question above stands
     * @param inBlocks places of grids and the like, whose letters are no parts
     */
    static Map<Integer, String> find(
            List<Cues> all, Set<Integer> numbered, Set<Integer> headings, Set<String> letters, Set<Integer> inBlocks) {
        Map<Integer, String> found = new HashMap<>();
        int from = 0;
        while (from < all.size()) {
            int to = from + 1;
            while (to < all.size() && !numbered.contains(to) && !headings.contains(to)) {
                to++;
            }
            if (numbered.contains(from)) {
                decimalsBelow(all, from, numbered).forEach(part -> found.put(part, LabelFinder.DECIMAL_SHAPE));
                for (String shape : withNumerals(all, from + 1, to, letters)) {
                    List<Integer> parts = partsIn(all, from + 1, to, shape, letters, isBare(all, from));
                    if (parts.stream().anyMatch(inBlocks::contains)) {
                        continue;
                    }
                    for (int i = 0; i < parts.size(); i++) {
                        int next = i + 1 < parts.size() ? parts.get(i + 1) : to;
                        found.put(parts.get(i), shape);
                        for (int numeral : numeralsBelow(all, parts.get(i), next)) {
                            found.put(
                                    numeral,
                                    PartNumerals.numeral(all.get(numeral))
                                            .orElseThrow()
                                            .shape());
                        }
                    }
                }
            }
            from = to;
        }
        return found;
    }

    /** "3" and, as the next numbers, "3.1" and "3.2". */
    private static List<Integer> decimalsBelow(List<Cues> all, int number, Set<Integer> numbered) {
        List<Integer> parts = new ArrayList<>();
        Optional<Label> outer = all.get(number).number();
        for (int i = number + 1; outer.isPresent() && i < all.size(); i++) {
            if (numbered.contains(i)) {
                String expected = outer.get().printed() + "." + (parts.size() + 1);
                if (label(all.get(i), LabelFinder.DECIMAL_SHAPE)
                        .filter(label -> label.printed().equals(expected))
                        .isEmpty()) {
                    break;
                }
                parts.add(i);
            }
        }
        return parts.size() > 1 ? parts : List.of();
    }

    private static List<Integer> numeralsBelow(List<Cues> all, int part, int end) {
        boolean lettered = all.get(part).has(Label.Kind.LETTER);
        return lettered ? PartNumerals.find(all, part, end) : List.of();
    }

    /** Numerals that stand below a letter are parts of its part. */
    private static boolean isBelowLetter(List<Cues> all, int from, int first, String shape) {
        return shape.contains("i")
                && all.subList(from, first).stream()
                        .flatMap(cues -> cues.labels().stream())
                        .anyMatch(label -> label.kind() == Label.Kind.LETTER && label.ordinal() == 1);
    }

    /** "(i) … (2)  (ii) … (3)" right below a number: numerals letter parts as well, and letters that letter no options anywhere. */
    private static Set<String> withNumerals(List<Cues> all, int from, int to, Set<String> letters) {
        Set<String> shapes = new TreeSet<>(letters);
        for (int i = from; i < to; i++) {
            all.get(i).labels().stream()
                    .filter(label -> label.kind() == Label.Kind.ROMAN || label.kind() == Label.Kind.LETTER)
                    .forEach(label -> shapes.add(label.shape()));
        }
        return shapes;
    }

    private static boolean isFirstNumeral(List<Cues> all, List<Integer> parts) {
        return !parts.isEmpty()
                && all.get(parts.get(0)).labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.ROMAN && label.ordinal() == 1);
    }

    private static List<Integer> partsIn(
            List<Cues> all, int from, int to, String shape, Set<String> letters, boolean bare) {
        List<Integer> parts = new ArrayList<>();
        int nested = 0;
        int last = 0;
        for (int i = from; i < to; i++) {
            int expected = parts.size() + 1;
            if (label(all.get(i), shape)
                    .filter(label -> label.ordinal() == expected)
                    .isPresent()) {
                parts.add(i);
            } else if (!parts.isEmpty() && beginsOptions(all, i, to, shape, letters)) {
                nested += last == parts.size() ? 0 : 1;
                last = parts.size();
            }
        }
        // What only the last of them runs into are statements above the question's own options.
        boolean inEarnest = shape.equals(Exercises.SHAPE_OF_PARTS)
                || nested > 1
                || nested == 1 && last < parts.size()
                || havePoints(all, parts, to)
                        && (bare
                                || shape.contains("i") && isFirstNumeral(all, parts)
                                || hasRoom(all, parts, to)
                                || haveNumerals(all, parts, to)
                                || havePointsBelow(all, parts, to)
                                || areAnswered(all, parts, to));
        boolean right = parts.size() > 1 && !isBelowLetter(all, from, parts.get(0), shape);
        return right && inEarnest ? parts : List.of();
    }

    /** "Question 1   [10 marks]": a number with a line for itself and nothing but its points behind it. */
    private static boolean isBare(List<Cues> all, int piece) {
        Cues cues = all.get(piece);
        if (piece + 1 < all.size()
                && all.get(piece + 1).line().number() == cues.line().number()) {
            return false;
        }
        int to = cues.piece().segment().to();
        return cues.labels().stream()
                .filter(label -> label.kind() == Label.Kind.NUMBER)
                .map(label -> cues.line().text().substring(label.end(), to).strip())
                .anyMatch(behind -> behind.isEmpty()
                        || PointsFinder.only(behind).isPresent()
                        || behind.matches("[(\\[]\\d{1,3}[)\\]]"));
    }

    /** "(a) Define … (2)  (b) Explain … (3)": what has points of its own is asked and not offered. */
    private static boolean havePoints(List<Cues> all, List<Integer> parts, int end) {
        return eachHas(all, parts, end, PointsFinder::isPointed) && parts.size() > 1;
    }

    /** A line of nothing but points below each of them. */
    private static boolean havePointsBelow(List<Cues> all, List<Integer> parts, int end) {
        return eachHas(all, parts, end, cues -> cues.is(Cues.Trait.POINTS_ONLY));
    }

    /** Whether there is such a line from each part on to the next. */
    private static boolean eachHas(List<Cues> all, List<Integer> parts, int end, Predicate<Cues> wanted) {
        for (int i = 0; i < parts.size(); i++) {
            int next = i + 1 < parts.size() ? parts.get(i + 1) : end;
            if (all.subList(parts.get(i), next).stream().noneMatch(wanted)) {
                return false;
            }
        }
        return true;
    }

    /** Below or within one of them there is room to write: options, all of them with points, have none. */
    private static boolean hasRoom(List<Cues> all, List<Integer> parts, int end) {
        return all.subList(parts.get(0), end).stream()
                .anyMatch(cues -> cues.is(Cues.Trait.WRITING_LINE) || cues.is(Cues.Trait.GAP));
    }

    /** "(b) … (i) … [2] (ii) … [1]": numerals with points of their own below one of them. */
    private static boolean haveNumerals(List<Cues> all, List<Integer> parts, int end) {
        for (int i = 0; i < parts.size(); i++) {
            int next = i + 1 < parts.size() ? parts.get(i + 1) : end;
            if (havePoints(all, numeralsBelow(all, parts.get(i), next), next)) {
                return true;
            }
        }
        return false;
    }

    /** Several answers stand below them, where options have one. */
    private static boolean areAnswered(List<Cues> all, List<Integer> parts, int end) {
        return all.subList(parts.get(0), end).stream()
                        .filter(cues -> cues.announces(Cues.Announces.KEY) || cues.announces(Cues.Announces.MODEL))
                        .count()
                > 1;
    }

    /** Whether two boxes, or a first and a second letter of another series, stand beside or below each other. */
    private static boolean beginsOptions(List<Cues> all, int piece, int to, String shape, Set<String> letters) {
        return piece + 1 < to
                && (isBox(all.get(piece)) && isBox(all.get(piece + 1))
                        || isCircle(all.get(piece)) && isCircle(all.get(piece + 1))
                        || letters.stream()
                                .filter(other -> !other.equals(shape))
                                .anyMatch(
                                        other -> isAt(all.get(piece), other, 1) && isAt(all.get(piece + 1), other, 2)));
    }

    private static boolean isBox(Cues cues) {
        return cues.has(Label.Kind.BOX);
    }

    /** "O two   O four": letters for circles to mark. */
    private static boolean isCircle(Cues cues) {
        return cues.labels().stream()
                .anyMatch(label -> label.kind() == Label.Kind.BULLET
                        && label.printed().strip().matches("[Oo\u25cb\u25ef]"));
    }

    private static boolean isAt(Cues cues, String shape, int ordinal) {
        return label(cues, shape).filter(label -> label.ordinal() == ordinal).isPresent();
    }

    private static Optional<Label> label(Cues cues, String shape) {
        return cues.labels().stream()
                .filter(label -> label.shape().equals(shape))
                .findFirst();
    }
}
