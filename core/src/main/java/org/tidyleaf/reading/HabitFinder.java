package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.reading.Cues.Trait;

/**
 * Works out how the document numbers its questions and letters its options: which series of labels runs on through the
 * document, and which begins anew again and again.
 */
final class HabitFinder {

    /** Fewer labels of a code's shape ("T1C11") are a coincidence of capitals and digits. */
    static final int CODES_IN_EARNEST = 3;

    /** A series with more members before it restarts numbers questions, not options. */
    private static final int LONGEST_OPTIONS = 12;

    private static final int MOST_POINTS = 30;

    private static final Pattern COUNTED_CODE = Pattern.compile("([A-Z])(\\d{1,2})");

    private static final Pattern MARGIN_KEY = Pattern.compile("\\s*\\(([A-H])\\)(?:\\s*\\[[^\\]]{0,80}])*\\s*");

    private static final Pattern ORDER = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("order") + "\\b");

    /** What a line of directions begins with. */
    static final Pattern DIRECTIONS = Vocabulary.pattern(Vocabulary.ALL.either("directions") + "\\s*[:.]\\s+(?=\\S)");

    private static final Pattern HEADING =
            Pattern.compile("(\\p{Lu}[\\p{L}]{2,20})\\s+([A-Z]?\\d{1,2}|[IVX]{1,5}|[A-Z])(?:\\s*[.:)\u2013-]|\\s|$)");

    private HabitFinder() {}

    /**
     * @param without places of an answer list, whose numbers are none of questions
     * @param inBlocks places of pairs and the like, which stand for a question as numbers do
     */
    static Habits find(List<Cues> all, Set<Integer> without, Set<Integer> inBlocks) {
        Map<String, List<Seen>> series = series(all, without);
        Map<String, List<Seen>> chains = new TreeMap<>();
        Set<Integer> listed = new HashSet<>();
        Set<Integer> apart = new HashSet<>(without);
        apart.removeAll(inBlocks);
        Map<String, List<Seen>> through = series(all, apart);
        series.forEach((shape, seen) -> NumberSeries.questionSeries(seen)
                .map(members -> throughBlocks(members, through.get(shape), inBlocks))
                .ifPresent(members -> chains.put(shape, withoutStatementsBelow(all, members, listed))));
        blanksBelow(all, chains, listed);
        withoutStrayCodes(chains);
        Set<Integer> numberedHeads = withoutNumberedHeads(all, through, chains);
        numberedHeads.addAll(DecimalHeads.takeOut(all, chains));
        Set<Integer> worded = withoutHeads(all, series, chains);
        Set<Integer> numbered = new HashSet<>();
        chains.values().forEach(members -> members.forEach(seen -> numbered.add(seen.piece())));
        Map<String, Integer> options = new HashMap<>();
        Set<Integer> headings = headings(all, numbered);
        headings.addAll(worded);
        headings.addAll(numberedHeads);
        headings.addAll(directions(all));
        headings.addAll(ListHeads.dashed(all));
        Set<Integer> within = new HashSet<>(numbered);
        within.addAll(inBlocks);
        series.forEach((shape, seen) -> {
            Label.Kind kind = seen.get(0).label().kind();
            boolean lettered = kind == Label.Kind.LETTER || kind == Label.Kind.ROMAN;
            if (lettered && ListHeads.are(all, seen)) {
                seen.forEach(s -> headings.add(s.piece()));
                return;
            }
            int count = lettered ? countInRuns(seen, within) : 0;
            if (count > 0) {
                options.put(shape, count);
            } else if (lettered && countInRuns(seen, Set.of()) > 0) {
                // Letters that run on over whole groups of questions head those groups.
                seen.forEach(s -> headings.add(s.piece()));
            }
        });
        withoutStatements(all, series, options);
        keepStrongerReading(series, options);
        numberedOptions(all, series, chains, options);
        withoutStatements(all, series, options);
        withoutListsInStems(all, chains, options);
        Map<String, Integer> stems = new HashMap<>();
        Set<Integer> chained = new HashSet<>();
        chains.forEach((shape, members) -> {
            stems.put(shape, members.size());
            members.forEach(seen -> chained.add(seen.piece()));
        });
        Map<Integer, String> parts = NestedParts.find(all, chained, options.keySet());
        parts.forEach((piece, shape) -> {
            chained.add(piece);
            stems.merge(shape, 1, Integer::sum);
        });
        return new Habits(
                Map.copyOf(stems),
                Map.copyOf(options),
                Set.copyOf(chained),
                Set.copyOf(headings),
                Set.copyOf(parts.keySet()),
                Set.copyOf(listed),
                hasBarePoints(all, options, without, parts.keySet()),
                hasMarginKey(all, chained, stems));
    }

    /**
     * "Exercise 1 … 1) 2) 3) Exercise 2 … 4) 5)": where plain numbers count on through worded ones and ask something, the
     * worded ones head groups of questions. Takes those out and gives their places.
     */
    private static Set<Integer> withoutHeads(
            List<Cues> all, Map<String, List<Seen>> series, Map<String, List<Seen>> chains) {
        for (String shape : List.copyOf(chains.keySet())) {
            List<Seen> outer = chains.get(shape);
            boolean heads = isWorded(shape)
                    && chains.entrySet().stream()
                            .filter(e ->
                                    e.getValue().get(0).label().kind() == Label.Kind.NUMBER && !isWorded(e.getKey()))
                            .anyMatch(e -> countsOnThrough(all, outer, series.get(e.getKey()))
                                    || asksInEach(all, outer, series.get(e.getKey())));
            if (heads) {
                chains.remove(shape);
                return outer.stream().map(Seen::piece).collect(Collectors.toSet());
            }
        }
        return Set.of();
    }

    /**
     * "5. Which are true? / 1. … / 2. … / 3. … / a) only 1": a run that begins anew right below a question and ends right
     * above lettered options is a list of statements, though it is numbered like the questions.
     */
    private static List<Seen> withoutStatementsBelow(List<Cues> all, List<Seen> members, Set<Integer> listed) {
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

    /** Numbers that count on over the lines of a block, as 6, then pairs 7 to 9, then 10. */
    private static List<Seen> throughBlocks(List<Seen> members, List<Seen> withBlocks, Set<Integer> inBlocks) {
        List<Seen> through = NumberSeries.questionSeries(withBlocks).orElse(List.of()).stream()
                .filter(seen -> !inBlocks.contains(seen.piece()))
                .toList();
        return through.size() > members.size() ? through : members;
    }

    /** "4. Short answers (6 marks)" in the type of headings, and right below it a list that begins with 1: the number counts parts. */
    private static Set<Integer> withoutNumberedHeads(
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
                        && !isWorded(shape)
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
            }
        }
        return heads;
    }

    /** "1. Tick the right answer." and right below, further in, numbers from 1 that have their own places to answer. */
    private static boolean isOverDeeperQuestions(List<Cues> all, Seen head, @Nullable List<Seen> deeper) {
        if (deeper == null || asksForOrder(all.get(head.piece()))) {
            return false;
        }
        int answered = 0;
        int count = 0;
        for (Seen seen : deeper) {
            boolean next = seen.piece() > head.piece() && seen.label().ordinal() == count + 1;
            if (next) {
                count++;
                answered += isAnswered(all, seen.piece()) && !isBlank(all, seen) ? 1 : 0;
            } else if (count > 0) {
                break;
            }
        }
        boolean close = deeper.stream().anyMatch(seen -> seen.piece() == head.piece() + 1);
        return close && count > 1 && answered * 3 >= count * 2;
    }

    private static boolean isPointed(List<Cues> all, int piece) {
        String text = all.get(piece).text();
        return PointsFinder.beside(text).isPresent()
                || PointsFinder.bareBeside(text).isPresent();
    }

    private static boolean asks(List<Cues> all, int piece) {
        Cues cues = all.get(piece);
        boolean judged = cues.text().matches(".*\\b[TVRWJP]\\s*/?\\s*[FOWN]\\W*");
        boolean lettered = piece + 1 < all.size()
                && all.get(piece + 1).labels().stream().anyMatch(label -> label.kind() == Label.Kind.LETTER);
        return judged || lettered || cues.is(Trait.QUESTION_MARK) || cues.is(Trait.GAP) || cues.is(Trait.ENDS_SENTENCE);
    }

    private static boolean countsOnThrough(List<Cues> all, List<Seen> outer, List<Seen> inner) {
        long restarts = inner.stream().filter(s -> s.label().ordinal() == 1).count();
        long asking = inner.stream().filter(s -> asks(all, s.piece())).count();
        int first = outer.get(0).piece();
        boolean behind = inner.stream().allMatch(s -> s.piece() > first);
        return restarts == 1 && inner.size() > outer.size() && asking * 2 >= inner.size() && behind;
    }

    /** "5. Name two." and right below it "1. ........", "2. ........": places to write, counted by themselves. */
    private static void blanksBelow(List<Cues> all, Map<String, List<Seen>> chains, Set<Integer> listed) {
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
    private static boolean isBlank(List<Cues> all, Seen seen) {
        Cues cues = all.get(seen.piece());
        String rest = cues.line()
                .text()
                .substring(seen.label().end(), cues.piece().segment().to());
        // "3. ........ (3 points)": behind the last stands what all are worth.
        int to = PointsFinder.beside(rest).map(PointsFinder.Found::from).orElse(rest.length());
        String blank = rest.substring(0, to);
        return !blank.isBlank() && blank.codePoints().noneMatch(Character::isLetterOrDigit);
    }

    /** "Exercise 1: 1) … 2) … Exercise 2: 1) … 2) …": numbers that begin anew in several and ask by themselves. */
    private static boolean asksInEach(List<Cues> all, List<Seen> outer, List<Seen> inner) {
        long restarts = inner.stream().filter(s -> s.label().ordinal() == 1).count();
        long asking = inner.stream().filter(s -> isAnswered(all, s.piece())).count();
        long questions = outer.stream()
                .filter(s -> all.get(s.piece()).is(Trait.QUESTION_MARK))
                .count();
        if (questions * 2 > outer.size()) {
            return false;
        }
        int first = outer.get(0).piece();
        boolean behind = inner.stream().allMatch(s -> s.piece() > first);
        return restarts > 1 && inner.size() > restarts && behind && asking * 3 >= inner.size() * 2;
    }

    /** Whether a line has its own place to answer: a gap, a pair to judge by, or options right below it. */
    private static boolean isAnswered(List<Cues> all, int piece) {
        Cues cues = all.get(piece);
        boolean options = piece + 1 < all.size()
                && all.get(piece + 1).labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.BOX
                                || label.kind() == Label.Kind.LETTER && label.ordinal() == 1);
        boolean sentence = cues.is(Trait.ENDS_SENTENCE) && cues.words().size() > 2;
        return options || sentence || cues.is(Trait.GAP) || StemTrimmer.endsWithPair(cues.text());
    }

    /** Labels of the pieces that are no answer list. */
    private static Map<String, List<Seen>> series(List<Cues> all, Set<Integer> without) {
        Map<String, List<Seen>> series = new TreeMap<>();
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).is(Trait.OFF_BODY) || without.contains(i)) {
                continue;
            }
            for (Label label : all.get(i).labels()) {
                series.computeIfAbsent(label.shape(), s -> new ArrayList<>()).add(new Seen(i, label));
            }
        }
        return series;
    }

    /** Codes number the questions of a pool; where plain numbers number more, they are train or part numbers. */
    private static void withoutStrayCodes(Map<String, List<Seen>> chains) {
        int numbers = chains.values().stream()
                .filter(members -> members.get(0).label().kind() == Label.Kind.NUMBER)
                .mapToInt(List::size)
                .max()
                .orElse(0);
        chains.values()
                .removeIf(members -> members.get(0).label().kind() == Label.Kind.CODE
                        && !isWorded(members.get(0).label().shape())
                        && members.size() <= numbers
                        && !countOn(members)
                        && !members.get(0).label().shape().equals(LabelFinder.DECIMAL_SHAPE));
    }

    /** A1, A2, A3, B1, B2: codes that go on by one or begin anew with the next letter are no coincidence. */
    private static boolean countOn(List<Seen> codes) {
        String letter = "";
        int last = 0;
        for (Seen seen : codes) {
            Matcher code = COUNTED_CODE.matcher(seen.label().printed());
            if (!code.matches()) {
                return false;
            }
            int number = Integer.parseInt(code.group(2));
            boolean next = code.group(1).equals(letter)
                    ? number == last + 1
                    : number == 1 && code.group(1).compareTo(letter) > 0;
            if (!next) {
                return false;
            }
            letter = code.group(1);
            last = number;
        }
        return codes.size() >= CODES_IN_EARNEST;
    }

    /** How many labels stand in runs that begin with the first letter and have at least two members, no number between. */
    private static int countInRuns(List<Seen> seen, Set<Integer> numbered) {
        int count = 0;
        int run = 0;
        int above = 0;
        for (Seen s : seen) {
            int ordinal = s.label().ordinal();
            run = containsBetween(numbered, above, s.piece()) ? 0 : run;
            above = s.piece();
            if (ordinal == run + 1 && run > 0) {
                run++;
                count += run == 2 ? 2 : 1;
            } else {
                run = ordinal == 1 ? 1 : ordinal == run + 2 && run > 0 ? ordinal : 0;
            }
        }
        return count;
    }

    private static boolean containsBetween(Set<Integer> places, int from, int to) {
        for (int i = from + 1; i <= to; i++) {
            if (places.contains(i)) {
                return true;
            }
        }
        return false;
    }

    /** "I. … II. … a) only I": what runs right into the first letter of a stronger series are statements to choose among. */
    private static void withoutStatements(
            List<Cues> all, Map<String, List<Seen>> series, Map<String, Integer> options) {
        for (String shape : List.copyOf(options.keySet())) {
            List<Seen> seen = series.get(shape);
            int last = seen.get(seen.size() - 1).piece();
            boolean runsIn = last + 1 < all.size()
                    && all.get(last + 1).labels().stream()
                            .anyMatch(label -> label.ordinal() == 1
                                    && !label.shape().equals(shape)
                                    && options.getOrDefault(label.shape(), 0) > options.get(shape));
            if (runsIn) {
                options.remove(shape);
            }
        }
    }

    /** "i." may be a letter or a Roman one: what explains more labels stays, the other would only confuse. */
    private static void keepStrongerReading(Map<String, List<Seen>> series, Map<String, Integer> options) {
        for (String shape : List.copyOf(options.keySet())) {
            String other = shape.replace('i', 'a').replace('I', 'A');
            if (!other.equals(shape) && options.getOrDefault(other, 0) >= options.get(shape)) {
                options.remove(shape);
            } else if (!other.equals(shape) && !hasRunApart(series, other, shape)) {
                options.remove(other);
            }
        }
    }

    /** Whether letters run on at places where no numeral can be read: both kinds are in use then. */
    private static boolean hasRunApart(Map<String, List<Seen>> series, String letters, String numerals) {
        Set<Integer> places = series.get(numerals).stream().map(Seen::piece).collect(Collectors.toSet());
        List<Seen> apart = series.getOrDefault(letters, List.of()).stream()
                .filter(seen -> !places.contains(seen.piece()))
                .toList();
        return countInRuns(apart, Set.of()) > 0;
    }

    /** Numbers that begin anew within other numbers letter options ("1) oats 2) hay" under "Question 3."). */
    private static void numberedOptions(
            List<Cues> all,
            Map<String, List<Seen>> series,
            Map<String, List<Seen>> chains,
            Map<String, Integer> options) {
        for (String shape : List.copyOf(chains.keySet())) {
            List<Seen> seen = series.get(shape);
            long restarts = seen.stream().filter(s -> s.label().ordinal() == 1).count();
            boolean restartsOften = restarts >= 2 && seen.size() <= restarts * LONGEST_OPTIONS;
            boolean others = chains.entrySet().stream()
                    .anyMatch(e -> !e.getKey().startsWith(shape) && e.getValue().size() >= restarts);
            boolean asking = shape.endsWith(">")
                    && seen.stream()
                                            .filter(s -> asks(all, s.piece()) || isPointed(all, s.piece()))
                                            .count()
                                    * 3
                            >= seen.size() * 2;
            if (seen.get(0).label().kind() == Label.Kind.NUMBER
                    && restartsOften
                    && others
                    && !asking
                    && !isWorded(shape)) {
                chains.remove(shape);
                options.put(shape, countInRuns(seen, Set.of()));
            }
        }
    }

    /** A short series wholly between two questions of a longer one, with no heading before it, is a list in a stem. */
    private static void withoutListsInStems(
            List<Cues> all, Map<String, List<Seen>> chains, Map<String, Integer> options) {
        for (String shape : List.copyOf(chains.keySet())) {
            List<Seen> inner = chains.get(shape);
            int first = inner.get(0).piece();
            int last = inner.get(inner.size() - 1).piece();
            boolean enclosed = !shape.equals(LabelFinder.DECIMAL_SHAPE)
                    && chains.entrySet().stream()
                            .filter(e -> !e.getKey().startsWith(shape)
                                    && e.getValue().size() > inner.size())
                            .anyMatch(e -> isEnclosed(all, e.getValue(), first, last)
                                    || isWorded(e.getKey()) && isBelowLast(all, e.getValue(), inner));
            if (enclosed) {
                chains.remove(shape);
                boolean judged = inner.size() > 1
                        && inner.stream()
                                .allMatch(s -> StemTrimmer.endsWithPair(
                                        all.get(s.piece()).text()));
                if (judged || asksForOrder(all.get(Math.max(0, first - 1)))) {
                    options.put(shape, inner.size());
                }
            }
        }
    }

    private static boolean isEnclosed(List<Cues> all, List<Seen> outer, int first, int last) {
        for (int i = 0; i + 1 < outer.size(); i++) {
            int from = outer.get(i).piece();
            int to = outer.get(i + 1).piece();
            if (from < first && last < to) {
                return all.subList(from + 1, first).stream().noneMatch(HabitFinder::looksLikeHeading);
            }
        }
        return false;
    }

    /** Below the last "Question 6" a list that begins with 1 belongs to it, as one between two questions does. */
    private static boolean isBelowLast(List<Cues> all, List<Seen> outer, List<Seen> inner) {
        int from = outer.get(outer.size() - 1).piece();
        int first = inner.get(0).piece();
        return outer.size() > 2
                && inner.get(0).label().ordinal() == 1
                && from < first
                && all.subList(from + 1, first).stream().noneMatch(HabitFinder::looksLikeHeading);
    }

    private static boolean asksForOrder(Cues cues) {
        return Vocabulary.ALL.mentions(cues.words(), "order")
                && ORDER.matcher(cues.text()).find();
    }

    private static boolean looksLikeHeading(Cues cues) {
        return cues.is(Trait.SECTION_WORD)
                || cues.is(Trait.HEADING)
                || cues.is(Trait.SHORT) && (cues.is(Trait.BOLD) || cues.is(Trait.CAPITALS));
    }

    static boolean isWorded(String shape) {
        return shape.startsWith("Q");
    }

    private static Set<Integer> headings(List<Cues> all, Set<Integer> chained) {
        Map<String, Map<String, Integer>> seen = new TreeMap<>();
        for (int i = 0; i < all.size(); i++) {
            Matcher matcher = HEADING.matcher(all.get(i).text());
            if (matcher.lookingAt() && !chained.contains(i) && all.get(i).is(Trait.SHORT)) {
                seen.computeIfAbsent(matcher.group(1), w -> new TreeMap<>()).put(matcher.group(2), i);
            }
        }
        Set<Integer> headings = new HashSet<>();
        seen.values().stream().filter(places -> places.size() >= 2).forEach(places -> headings.addAll(places.values()));
        return headings;
    }

    /** "Directions: …" again and again, with no heading above any of them, heads the questions below it. */
    private static List<Integer> directions(List<Cues> all) {
        List<Integer> places = new ArrayList<>();
        for (int i = 1; i < all.size(); i++) {
            boolean directs = DIRECTIONS.matcher(all.get(i).text()).lookingAt();
            if (directs && looksLikeHeading(all.get(i - 1))) {
                return List.of();
            }
            if (directs) {
                places.add(i);
            }
        }
        return places.size() > 1 ? places : List.of();
    }

    /** "… its name. (2)": several lines end so, and the numbers don't count on as those of gaps or equations would. */
    private static boolean hasBarePoints(
            List<Cues> all, Map<String, Integer> options, Set<Integer> without, Set<Integer> parts) {
        List<Integer> values = new ArrayList<>();
        Set<Integer> totals = new HashSet<>();
        for (int i = 0; i < all.size(); i++) {
            if (Vocabulary.ALL.mentions(all.get(i).words(), "points")) {
                PointsFinder.beside(all.get(i).text())
                        .ifPresent(found -> totals.add(found.points().intValue()));
            }
            boolean option = !parts.contains(i)
                    && all.get(i).labels().stream().anyMatch(label -> options.containsKey(label.shape()));
            if (!option && !without.contains(i) && !all.get(i).is(Trait.OFF_BODY)) {
                PointsFinder.bareBeside(all.get(i).text())
                        .filter(found -> found.from() > 0)
                        .ifPresent(found -> values.add(found.points().intValue()));
            }
        }
        boolean counting = true;
        for (int i = 1; i < values.size(); i++) {
            counting &= values.get(i) == values.get(i - 1) + 1;
        }
        boolean small = values.stream().allMatch(value -> value > 0 && value <= MOST_POINTS);
        boolean enough = values.size() >= CODES_IN_EARNEST
                // Two are enough where they add up to what the head above them says.
                || values.size() == 2 && totals.contains(values.get(0) + values.get(1));
        return enough && small && !counting;
    }

    private static boolean hasMarginKey(List<Cues> all, Set<Integer> chained, Map<String, Integer> stems) {
        long withKey = chained.stream()
                .filter(i -> all.get(i).labels().stream()
                        .filter(label -> stems.containsKey(label.shape()))
                        .anyMatch(label -> marginKey(all.get(i), label).isPresent()))
                .count();
        return withKey >= 2 && withKey * 2 > chained.size();
    }

    /** The letter in brackets right behind a question's label, as a matcher's match over the line, if there is one. */
    static Optional<MatchResult> marginKey(Cues cues, Label label) {
        var matcher = MARGIN_KEY
                .matcher(cues.line().text())
                .region(label.end(), cues.piece().segment().to());
        return matcher.lookingAt() ? Optional.of(matcher.toMatchResult()) : Optional.empty();
    }

    /** What stands behind a question's label, without a key in the margin. */
    static String textBehind(Cues cues, Label label, Habits habits) {
        int start = habits.marginKey()
                ? marginKey(cues, label).map(MatchResult::end).orElse(label.end())
                : label.end();
        return cues.line().text().substring(start, cues.piece().segment().to());
    }
}
