package org.tidyleaf.reading.habit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.PrintedPairs;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;

/** Numbered lists below or within questions: statements, places to write, lists in stems. Their numbers number no questions. */
final class NumberedLists {

    /** Fewer are two things named. */
    private static final int FEWEST_CHOICES = 3;

    private NumberedLists() {}

    /**
     * "5. Which are true? / 1. … / 2. … / 3. … / a) only 1": a run that begins anew right below a question and ends right
     * above lettered options is a list of statements, though it is numbered like the questions.
     */
    static List<Seen> withoutStatementsBelow(List<Cues> all, List<Seen> members, Set<Integer> listed) {
        List<Seen> kept = new ArrayList<>(members);
        for (int first = members.size() - 1; first > 0; first--) {
            // "1b" is a part of a question and begins no list.
            if (!members.get(first).label().printed().equals("1")) {
                continue;
            }
            int last = first;
            while (last + 1 < members.size()
                    && members.get(last + 1).label().ordinal()
                            == members.get(last).label().ordinal() + 1) {
                last++;
            }
            boolean close = members.get(last).piece() - members.get(first - 1).piece() == last - first + 1;
            int below = members.get(last).piece() + 1;
            boolean blanks = members.subList(first, last + 1).stream().allMatch(seen -> isBlank(all, seen));
            boolean options = blanks
                    || below < all.size()
                            && all.get(below).labels().stream()
                                    .anyMatch(label -> label.ordinal() == 1 && label.kind() != Label.Kind.NUMBER);
            if (last > first && close && options) {
                kept.removeAll(members.subList(first, last + 1));
                members.subList(first, last + 1).forEach(seen -> listed.add(seen.piece()));
            }
        }
        return kept;
    }

    /** "5. Name two." and right below it "1. ........", "2. ........": places to write, counted by themselves. */
    static void blanksBelow(List<Cues> all, Map<String, List<Seen>> chains, Set<Integer> listed) {
        Set<Integer> numbered = new HashSet<>();
        chains.values().forEach(members -> members.forEach(seen -> numbered.add(seen.piece())));
        for (int i = 1; i < all.size(); i++) {
            boolean begins = numbered.contains(i - 1)
                    && blank(all, i, 1).isPresent()
                    && blank(all, i - 1, 0).isEmpty();
            for (int at = i;
                    begins && at < all.size() && blank(all, at, at - i + 1).isPresent();
                    at++) {
                listed.add(at);
                int piece = at;
                chains.values().forEach(members -> members.removeIf(seen -> seen.piece() == piece));
            }
        }
        chains.values().removeIf(List::isEmpty);
    }

    /** The label of a piece that is nothing but a number, that one if it is not 0, and a rule to write on. */
    private static Optional<Label> blank(List<Cues> all, int piece, int ordinal) {
        return all.get(piece).labels().stream()
                .filter(label -> label.kind() == Label.Kind.NUMBER && (ordinal == 0 || label.ordinal() == ordinal))
                .filter(label -> isBlank(all, new Seen(piece, label)))
                .findFirst();
    }

    /** "1. ........" is a place to write, with nothing asked beside it. */
    static boolean isBlank(List<Cues> all, Seen seen) {
        Cues cues = all.get(seen.piece());
        String rest = cues.line()
                .text()
                .substring(seen.label().end(), cues.piece().segment().to());
        // "3. ........ (3 points)": behind the last stands what all are worth.
        int to = PointsFinder.beside(rest).map(PointsFinder.Found::from).orElse(rest.length());
        String blank = rest.substring(0, to);
        return !blank.isBlank() && blank.codePoints().noneMatch(Character::isLetterOrDigit);
    }

    /** A short series wholly between two questions of a longer one, with no heading before it, is a list in a stem. */
    static void withoutListsInStems(
            List<Cues> all, Map<String, List<Seen>> chains, Map<String, Integer> options, Set<Integer> headings) {
        for (String shape : List.copyOf(chains.keySet())) {
            List<Seen> inner = chains.get(shape);
            int first = inner.get(0).piece();
            int last = inner.get(inner.size() - 1).piece();
            boolean enclosed = !shape.equals(LabelFinder.DECIMAL_SHAPE)
                    && !Label.isWorded(shape)
                    && chains.entrySet().stream()
                            .filter(e -> !e.getKey().startsWith(shape)
                                    && e.getValue().size() > inner.size())
                            .anyMatch(e -> isEnclosed(all, e.getValue(), first, last, headings)
                                    || Label.isWorded(e.getKey()) && isBelowLast(all, e.getValue(), inner, headings));
            if (enclosed) {
                chains.remove(shape);
                boolean judged = inner.size() > 1
                        && inner.stream()
                                .allMatch(s -> PrintedPairs.endsWithPair(
                                        all.get(s.piece()).text()));
                boolean ordered = Directions.asksForOrder(all.get(Math.max(0, first - 1)));
                if (judged || ordered || isChosenFrom(all, inner)) {
                    options.put(shape, inner.size());
                }
            }
        }
    }

    /** "Where did they settle? 1) on the gate 2) in a pear tree 3) on a ladder": brief lines right below what asks, to choose from. */
    private static boolean isChosenFrom(List<Cues> all, List<Seen> list) {
        int first = list.get(0).piece();
        int last = list.get(list.size() - 1).piece();
        boolean together = first > 0 && last - first + 1 == list.size() && list.size() >= FEWEST_CHOICES;
        List<Cues> items = all.subList(first, last + 1);
        boolean brief = items.stream()
                .allMatch(item -> item.is(Cues.Trait.SHORT)
                        && !item.is(Cues.Trait.QUESTION_MARK)
                        && !item.is(Cues.Trait.GAP)
                        && PointsFinder.beside(item.text()).isEmpty());
        boolean lettered = last + 1 < all.size()
                && all.get(last + 1).labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.LETTER && label.ordinal() == 1);
        if (!together || !brief || lettered) {
            return false;
        }
        boolean sentences = items.stream().anyMatch(item -> item.is(Cues.Trait.ENDS_SENTENCE));
        long marked = items.stream().filter(item -> item.sign().isPresent()).count();
        boolean told = last + 1 < all.size()
                && all.get(last + 1).announces(Cues.Announces.KEY)
                && all.get(last + 1).text().matches(".*\\W\\d(?:\\s*,\\s*\\d)*\\W*");
        return told || marked > 0 && marked < list.size() || asks(all.get(first - 1)) && !sentences;
    }

    /** With a question mark at its end, or before the points behind it. */
    private static boolean asks(Cues cues) {
        return cues.is(Cues.Trait.QUESTION_MARK)
                || NumberedHeads.ASKS.matcher(cues.text()).find();
    }

    private static boolean isEnclosed(List<Cues> all, List<Seen> outer, int first, int last, Set<Integer> headings) {
        for (int i = 0; i + 1 < outer.size(); i++) {
            int from = outer.get(i).piece();
            int to = outer.get(i + 1).piece();
            if (from < first && last < to) {
                return !isHeadBetween(all, from, first, headings);
            }
        }
        return false;
    }

    /** Below the last "Question 6" a list that begins with 1 belongs to it, as one between two questions does. */
    private static boolean isBelowLast(List<Cues> all, List<Seen> outer, List<Seen> inner, Set<Integer> headings) {
        int from = outer.get(outer.size() - 1).piece();
        int first = inner.get(0).piece();
        return outer.size() > 2
                && inner.get(0).label().ordinal() == 1
                && from < first
                && !isHeadBetween(all, from, first, headings);
    }

    /** Whether what stands between heads a group, by its looks or because it counts groups. */
    private static boolean isHeadBetween(List<Cues> all, int from, int to, Set<Integer> headings) {
        return IntStream.range(from + 1, to)
                .anyMatch(i -> headings.contains(i) || all.get(i).looksLikeHeading());
    }
}
