package org.tidyleaf.reading.habit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.reading.cue.ExerciseHeads;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.PrintedPairs;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;

/** Numbers and worded numbers that head groups of questions instead of numbering questions. */
final class NumberedHeads {

    /** Between a head and its list stand no more lines than an instruction and an example. */
    private static final int FARTHEST_LIST = 3;

    private static final int FIRST_OF_LIST = 3;

    /** "Why did they follow? (2 marks)": behind the question there is room for its points. */
    static final Pattern ASKS = Pattern.compile("\\?[^?]{0,16}$");

    private NumberedHeads() {}

    /**
     * "Exercise 1 … 1) 2) 3) Exercise 2 … 4) 5)": where plain numbers count on through worded ones and ask something, the
     * worded ones head groups of questions. Takes those out and gives their places.
     */
    static Set<Integer> withoutHeads(
            List<Cues> all, Map<String, List<Seen>> series, Map<String, List<Seen>> chains, Set<Integer> inBlocks) {
        for (String shape : List.copyOf(chains.keySet())) {
            List<Seen> outer = chains.get(shape);
            if (askBelow(all, outer) || askThemselves(all, outer)) {
                continue;
            }
            // What is printed in bold may ask itself where no list stands below.
            boolean bold = shape.startsWith(ExerciseHeads.SHAPE);
            boolean heads = Label.isWorded(shape)
                    && !bold
                    && chains.entrySet().stream()
                            .filter(e -> e.getValue().get(0).label().kind() == Label.Kind.NUMBER
                                    && !e.getKey().equals(shape))
                            .anyMatch(e -> countsOnThrough(all, outer, series.get(e.getKey()), inBlocks)
                                    || isWordedOtherwise(all, outer, series.get(e.getKey()))
                                            && asksInEach(all, outer, series.get(e.getKey())));
            if (heads) {
                List<Seen> asking = askAlone(all, outer, chains);
                chains.put(shape, asking);
                chains.values().removeIf(List::isEmpty);
                return outer.stream()
                        .filter(seen -> !asking.contains(seen))
                        .map(Seen::piece)
                        .collect(Collectors.toSet());
            }
            List<Seen> overLists = Label.isWorded(shape) ? overLists(all, outer, chains, inBlocks) : List.of();
            if (!overLists.isEmpty()) {
                List<Seen> questions = new ArrayList<>(outer);
                questions.removeAll(overLists);
                chains.put(shape, questions);
                chains.values().removeIf(List::isEmpty);
                return overLists.stream().map(Seen::piece).collect(Collectors.toSet());
            }
        }
        return Set.of();
    }

    /**
     * "4. Complete the table (6 points)" right below "3. Complete the table": the words of a heading again, with a number, ask
     * what it heads. Their places, each with its label's shape.
     */
    static Map<Integer, String> repeated(List<Cues> all, Set<Integer> headings) {
        Map<Integer, String> repeated = new HashMap<>();
        for (int head : headings) {
            boolean again = head > 0
                    && (headings.contains(head - 1) || all.get(head - 1).is(Trait.HEADING))
                    && all.get(head).number().isPresent()
                    && words(all.get(head)).equals(words(all.get(head - 1)));
            if (again) {
                repeated.put(head, all.get(head).number().orElseThrow().shape());
            }
        }
        return repeated;
    }

    private static String words(Cues cues) {
        String text = cues.text();
        int end = PointsFinder.beside(text)
                .map(PointsFinder.Found::from)
                .filter(from -> from > 0)
                .orElse(text.length());
        return text.substring(0, end).replaceAll("^[\\d.\\s]+|\\s+$", "");
    }

    /** "Exercise 4. In ten lines, explain …" with nothing numbered below it, beside heads over lists. */
    private static List<Seen> askAlone(List<Cues> all, List<Seen> outer, Map<String, List<Seen>> chains) {
        Set<Integer> numbered = new HashSet<>();
        chains.values().forEach(members -> members.forEach(seen -> numbered.add(seen.piece())));
        List<Seen> asking = new ArrayList<>();
        for (int i = 0; i < outer.size(); i++) {
            int from = outer.get(i).piece();
            int to = i + 1 < outer.size() ? outer.get(i + 1).piece() : all.size();
            boolean list = numbered.stream().anyMatch(piece -> piece > from && piece < to);
            Cues cues = all.get(from);
            if (!list && cues.is(Trait.ENDS_SENTENCE) && Directions.asksToExplain(cues.text())) {
                asking.add(outer.get(i));
            }
        }
        return asking;
    }

    /** "Question 1" and nothing else. */
    private static boolean isAlone(List<Cues> all, Seen seen) {
        return all.get(seen.piece()).line().text().substring(seen.label().end()).isBlank();
    }

    /** Most end with a question mark, whatever stands behind it. */
    private static boolean askThemselves(List<Cues> all, List<Seen> outer) {
        long asking = outer.stream()
                .map(seen -> all.get(seen.piece()).text())
                .filter(text -> ASKS.matcher(text).find() && JudgedBy.in(text).isEmpty())
                .count();
        return asking * 2 > outer.size();
    }

    /** "Question 1" and nothing else, most with a question on the line below: what is listed further down are options. */
    private static boolean askBelow(List<Cues> all, List<Seen> outer) {
        long asking = outer.stream()
                .filter(seen -> isAlone(all, seen) && seen.piece() + 1 < all.size())
                .map(seen -> all.get(seen.piece() + 1))
                .filter(below -> below.labels().isEmpty()
                        && (below.is(Trait.QUESTION_MARK)
                                || PointsFinder.beside(below.text()).isPresent()))
                .count();
        return asking * 2 > outer.size();
    }

    /** "4. Short answers (6 marks)" in the type of headings, and right below it a list that begins with 1: the number counts parts. */
    static Set<Integer> withoutNumberedHeads(
            List<Cues> all, Map<String, List<Seen>> series, Map<String, List<Seen>> chains) {
        Set<Integer> ones = new HashSet<>();
        series.values()
                .forEach(seen -> seen.stream()
                        .filter(s -> s.label().kind() == Label.Kind.NUMBER
                                && s.label().ordinal() == 1)
                        .forEach(s -> ones.add(s.piece())));
        Set<Integer> heads = new HashSet<>();
        for (String shape : List.copyOf(chains.keySet())) {
            List<Seen> kept = new ArrayList<>();
            for (Seen seen : chains.get(shape)) {
                Cues cues = all.get(seen.piece());
                boolean headed = ones.contains(seen.piece() + 1)
                        && cues.is(Trait.HEADING)
                        && !cues.is(Trait.QUESTION_MARK)
                        && !Label.isWorded(shape)
                        && seen.label().kind() == Label.Kind.NUMBER;
                boolean head = headed || isOverDeeperQuestions(all, seen, series.get(shape + ">"));
                if (head) {
                    heads.add(seen.piece());
                } else {
                    kept.add(seen);
                }
            }
            if (!kept.isEmpty()) {
                chains.put(shape, kept);
            } else if (areOverQuestions(all, chains.get(shape), series)) {
                chains.remove(shape);
            }
        }
        return heads;
    }

    /** Whether most of what is numbered below headings, that all count parts, asks by itself and offers no answers. */
    private static boolean areOverQuestions(List<Cues> all, List<Seen> heads, Map<String, List<Seen>> series) {
        Set<Integer> own = heads.stream().map(Seen::piece).collect(Collectors.toSet());
        int first = heads.get(0).piece();
        return series.values().stream()
                .map(seen -> seen.stream()
                        .filter(s -> s.label().kind() == Label.Kind.NUMBER)
                        .filter(s -> s.piece() > first && !own.contains(s.piece()))
                        .toList())
                .anyMatch(inner -> inner.size() > heads.size()
                        && inner.stream().filter(s -> asks(all, s.piece())).count() * 3 >= inner.size() * 2);
    }

    /** "1. Tick the right answer." and right below, further in, numbers from 1 that have their own places to answer. */
    private static boolean isOverDeeperQuestions(List<Cues> all, Seen head, @Nullable List<Seen> deeper) {
        if (deeper == null || Directions.asksForOrder(all.get(head.piece()))) {
            return false;
        }
        int answered = 0;
        int count = 0;
        for (Seen seen : deeper) {
            boolean next = seen.piece() > head.piece() && seen.label().ordinal() == count + 1;
            if (next) {
                count++;
                answered += isAnswered(all, seen.piece()) && !NumberedLists.isBlank(all, seen) ? 1 : 0;
            } else if (count > 0) {
                break;
            }
        }
        boolean close = deeper.stream().anyMatch(seen -> seen.piece() == head.piece() + 1);
        return close && count > 1 && answered * 3 >= count * 2;
    }

    /** Where the question stands: beside its number, or below one that stands alone. */
    private static int asking(List<Cues> all, Seen seen) {
        return isAlone(all, seen) ? seen.piece() + 1 : seen.piece();
    }

    /** Plain numbers, or numbers behind another word than the outer ones. */
    private static boolean isWordedOtherwise(List<Cues> all, List<Seen> outer, List<Seen> inner) {
        Set<String> words = outer.stream().map(seen -> wordBefore(all, seen)).collect(Collectors.toSet());
        return inner.stream().map(seen -> wordBefore(all, seen)).noneMatch(words::contains);
    }

    private static String wordBefore(List<Cues> all, Seen seen) {
        String text = all.get(seen.piece()).line().text();
        return text.substring(
                        seen.label().from(),
                        Math.max(seen.label().from(), seen.label().end()))
                .replaceAll("[^\\p{L}].*", "")
                .toLowerCase(Locale.ROOT);
    }

    private static boolean countsOnThrough(List<Cues> all, List<Seen> outer, List<Seen> inner, Set<Integer> inBlocks) {
        long restarts = inner.stream().filter(s -> s.label().ordinal() == 1).count();
        long asking = inner.stream()
                .map(s -> asking(all, s))
                .filter(piece -> piece < all.size() && (asks(all, piece) || isPointed(all, piece)))
                .count();
        int first = outer.get(0).piece();
        boolean behind = inner.stream().allMatch(s -> s.piece() > first);
        // The first numbers may be those of pairs.
        int begins = inner.stream().mapToInt(Seen::piece).min().orElse(first);
        boolean paired = restarts == 0 && inBlocks.stream().anyMatch(piece -> piece > first && piece < begins);
        return (restarts == 1 || paired) && inner.size() > outer.size() && asking * 2 >= inner.size() && behind;
    }

    /** "Exercise 1: 1) … 2) … Exercise 2: 1) … 2) …": numbers that begin anew in several and ask by themselves. */
    private static boolean asksInEach(List<Cues> all, List<Seen> outer, List<Seen> inner) {
        long restarts = inner.stream().filter(s -> s.label().ordinal() == 1).count();
        long asking = inner.stream()
                .map(s -> asking(all, s))
                .filter(piece -> piece < all.size() && (isAnswered(all, piece) || isPointed(all, piece)))
                .count();
        long questions = outer.stream()
                .filter(s -> ASKS.matcher(all.get(s.piece()).text()).find())
                .count();
        if (questions * 2 > outer.size()) {
            return false;
        }
        int first = outer.get(0).piece();
        boolean behind = inner.stream().allMatch(s -> s.piece() > first);
        return restarts > 1 && inner.size() > restarts && behind && asking * 3 >= inner.size() * 2;
    }

    /**
     * "Exercise 1. 1. … 2. … Exercise 2. 1) … 2) … Exercise 3. Explain …": below several of them numbers begin with 1 and
     * have their own places to answer, however each list prints them. Those are heads, the others questions.
     */
    private static List<Seen> overLists(
            List<Cues> all, List<Seen> outer, Map<String, List<Seen>> chains, Set<Integer> inBlocks) {
        Map<Integer, Seen> inner = new HashMap<>();
        chains.forEach((shape, members) -> {
            if (!Label.isWorded(shape)) {
                members.stream()
                        .filter(seen -> !inBlocks.contains(seen.piece()))
                        .forEach(seen -> inner.put(seen.piece(), seen));
            }
        });
        List<Seen> heads = new ArrayList<>();
        int questions = 0;
        for (int i = 0; i < outer.size(); i++) {
            int from = outer.get(i).piece();
            int to = i + 1 < outer.size() ? outer.get(i + 1).piece() : all.size();
            // "Exercise 2: true or false?" asks nothing yet.
            boolean asks = ASKS.matcher(all.get(from).text()).find();
            boolean judged = JudgedBy.in(all.get(from).text()).isPresent();
            boolean bold = outer.get(i).label().shape().startsWith(ExerciseHeads.SHAPE);
            boolean over = bold
                    ? ExerciseHeads.isOverList(all, from, to)
                    : (!asks || judged) && isOverList(all, from, to, inner);
            if (over || isOverTable(all, from, to, inner)) {
                heads.add(outer.get(i));
            }
            questions += asks ? 1 : 0;
        }
        boolean several = heads.size() > 1
                || heads.size() == 1 && isOverTable(all, heads.get(0).piece(), all.size(), inner)
                || heads.size() == 1 && isOverChoices(all, heads.get(0), inner, outer.size() == 1);
        return several && questions * 2 <= outer.size() ? heads : List.of();
    }

    /** "Exercise 1", and below it "1/" and "2/" with options each (or "true  false" below the only one): that one is a head, whatever the others are. */
    private static boolean isOverChoices(List<Cues> all, Seen head, Map<Integer, Seen> inner, boolean only) {
        int count = 0;
        for (int i = head.piece() + 1; i + 1 < all.size(); i++) {
            Seen seen = inner.get(i);
            boolean next = seen != null && seen.label().ordinal() == count + 1;
            boolean pair = only && PrintedPairs.endsWithPair(all.get(i).text());
            if (next && !hasOptionsBelow(all, i) && !pair) {
                return false;
            }
            count += next ? 1 : 0;
        }
        return count > 1;
    }

    /** Whether a table with numbers 1, 2 and on before what asks stands below a head and above the next. */
    private static boolean isOverTable(List<Cues> all, int head, int to, Map<Integer, Seen> inner) {
        int count = 0;
        for (int i = head + 1; i < to; i++) {
            Seen seen = inner.get(i);
            boolean counts = seen != null
                    && seen.label().ordinal() == count + 1
                    && all.get(i).line().layout().cell().isPresent();
            count += counts ? 1 : 0;
        }
        return count > 1;
    }

    private static boolean isOverList(List<Cues> all, int head, int to, Map<Integer, Seen> inner) {
        List<Seen> list = new ArrayList<>();
        int answered = 0;
        for (int i = head + 1; i < to; i++) {
            Seen seen = inner.get(i);
            boolean first = list.isEmpty() && i <= head + FARTHEST_LIST;
            boolean next = seen != null
                    && seen.label().ordinal() == list.size() + 1
                    && (first
                            || !list.isEmpty()
                                    && seen.label()
                                            .shape()
                                            .equals(list.get(0).label().shape()));
            if (next) {
                list.add(seen);
                // What counts on behind the list may be questions of another kind.
                boolean asked = isAnswered(all, i) || all.get(i).is(Trait.QUESTION_MARK);
                answered += list.size() <= FIRST_OF_LIST && asked && !NumberedLists.isBlank(all, seen) ? 1 : 0;
            }
        }
        return list.size() > 1 && answered > 1 && !Directions.asksForOrder(all.get(head));
    }

    static boolean asks(List<Cues> all, int piece) {
        Cues cues = all.get(piece);
        boolean judged = cues.text().matches(".*\\b[TVRWJP]\\s*/?\\s*[FOWN]\\W*");
        boolean lettered = piece + 1 < all.size() && all.get(piece + 1).has(Label.Kind.LETTER);
        return judged || lettered || cues.is(Trait.QUESTION_MARK) || cues.is(Trait.GAP) || cues.is(Trait.ENDS_SENTENCE);
    }

    static boolean isPointed(List<Cues> all, int piece) {
        String text = all.get(piece).text();
        return PointsFinder.beside(text).isPresent()
                || PointsFinder.bareBeside(text).isPresent();
    }

    private static boolean hasOptionsBelow(List<Cues> all, int piece) {
        return piece + 1 < all.size()
                && all.get(piece + 1).labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.BOX
                                || label.kind() == Label.Kind.LETTER && label.ordinal() == 1);
    }

    /** Whether a line has its own place to answer: a gap, a pair to judge by, or options right below it. */
    private static boolean isAnswered(List<Cues> all, int piece) {
        Cues cues = all.get(piece);
        boolean sentence = cues.is(Trait.ENDS_SENTENCE) && cues.words().size() > 2;
        return hasOptionsBelow(all, piece) || sentence || cues.is(Trait.GAP) || PrintedPairs.endsWithPair(cues.text());
    }
}
