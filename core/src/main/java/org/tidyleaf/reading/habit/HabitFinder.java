package org.tidyleaf.reading.habit;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
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
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.tidyleaf.reading.cue.CrosswordClues;
import org.tidyleaf.reading.cue.Exercises;
import org.tidyleaf.reading.cue.ListHeads;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * Works out how the document numbers its questions and letters its options: which series of labels runs on through the
 * document, and which begins anew again and again.
 */
public final class HabitFinder {

    /** Fewer labels of a code's shape ("T1C11") are a coincidence of capitals and digits. */
    static final int CODES_IN_EARNEST = 3;

    /** A series with more members before it restarts numbers questions, not options. */
    private static final int LONGEST_OPTIONS = 12;

    private static final int MOST_POINTS = 30;

    private static final Pattern COUNTED_CODE = Pattern.compile("([A-Z])(\\d{1,2})");

    private static final Pattern MARGIN_KEY = Pattern.compile("\\s*\\(([A-H])\\)(?:\\s*\\[[^\\]]{0,80}])*\\s*");

    private static final Pattern HEADING =
            Pattern.compile("(\\p{Lu}[\\p{L}]{2,20})\\s+([A-Z]?\\d{1,2}|[IVX]{1,5}|[A-Z])(?:\\s*[.:)\u2013-]|\\s|$)");

    private static final Pattern NAMED_APART =
            Vocabulary.pattern("(?:" + Vocabulary.ALL.either("question", "section") + ")\\s(?-i:[A-H])\\s{2,4}(?=\\S)");

    private HabitFinder() {}

    /**
     * @param without places of an answer list, whose numbers are none of questions
     * @param inBlocks places of pairs and the like, which stand for a question as numbers do
     */
    public static Habits find(List<Cues> all, Set<Integer> without, Set<Integer> inBlocks) {
        Set<Integer> counted = StatementsToChoose.numbered(all);
        Set<Integer> others = new HashSet<>(without);
        others.addAll(counted);
        Map<String, List<Seen>> series = series(all, others);
        Map<String, List<Seen>> chains = new TreeMap<>();
        Set<Integer> listed = new HashSet<>();
        Set<Integer> apart = new HashSet<>(others);
        apart.removeAll(inBlocks);
        Map<String, List<Seen>> through = series(all, apart);
        series.forEach((shape, seen) -> NumberSeries.questionSeries(DownColumns.ordered(all, seen))
                .map(HabitFinder::asTheyStand)
                .map(members -> throughBlocks(members, through.get(shape), inBlocks))
                .ifPresent(members -> chains.put(shape, NumberedLists.withoutStatementsBelow(all, members, listed))));
        NumberedLists.blanksBelow(all, chains, listed);
        listed.addAll(EssayPoints.find(all));
        listed.addAll(BulletsInStems.find(all));
        Set<Integer> statements = StatementsToChoose.find(all);
        listed.addAll(statements);
        listed.addAll(counted);
        withoutStrayCodes(chains);
        Set<Integer> numberedHeads = NumberedHeads.withoutNumberedHeads(all, through, chains);
        numberedHeads.addAll(DecimalHeads.takeOut(all, chains));
        Set<Integer> worded = NumberedHeads.withoutHeads(all, series, chains, inBlocks);
        Set<Integer> numbered = new HashSet<>();
        chains.values().forEach(members -> members.forEach(seen -> numbered.add(seen.piece())));
        Map<String, Integer> options = new HashMap<>();
        Set<Integer> headings = headings(all, numbered);
        headings.addAll(worded);
        headings.addAll(numberedHeads);
        headings.addAll(directions(all));
        headings.addAll(ListHeads.dashed(all));
        IntStream.range(0, all.size())
                .filter(piece -> all.get(piece).is(Trait.EXERCISE_HEAD) && !numbered.contains(piece))
                .forEach(headings::add);
        Map<Integer, String> repeated = NumberedHeads.repeated(all, headings);
        headings.removeAll(repeated.keySet());
        Set<Integer> within = new HashSet<>(numbered);
        within.addAll(inBlocks);
        series.values().forEach(seen -> seen.removeIf(one -> statements.contains(one.piece())));
        series.values().removeIf(List::isEmpty);
        series.values().forEach(seen -> {
            Label.Kind kind = seen.get(0).label().kind();
            boolean lettered = kind == Label.Kind.LETTER || kind == Label.Kind.ROMAN;
            List<Seen> heads = lettered && !areParts(seen) && !ListHeads.are(all, seen)
                    ? ListHeads.amongOptions(all, seen, numbered)
                    : List.of();
            if (heads.size() < seen.size()) {
                heads.forEach(head -> headings.add(head.piece()));
                seen.removeAll(heads);
            }
        });
        series.forEach((shape, seen) -> {
            Label.Kind kind = seen.get(0).label().kind();
            boolean lettered = kind == Label.Kind.LETTER || kind == Label.Kind.ROMAN;
            if (lettered && !areParts(seen) && ListHeads.are(all, seen)) {
                seen.forEach(s -> headings.add(s.piece()));
                return;
            }
            int count = lettered ? countInRuns(seen, within) : 0;
            if (count > 0) {
                options.put(shape, count);
            } else if (lettered && !areParts(seen) && countInRuns(seen, Set.of()) > 0) {
                // Letters that run on over whole groups of questions head those groups.
                seen.forEach(s -> headings.add(s.piece()));
            }
        });
        withoutStatements(all, series, options);
        keepStrongerReading(series, options);
        numberedOptions(all, series, chains, options, headings);
        withoutStatements(all, series, options);
        NumberedLists.withoutListsInStems(all, chains, options, headings);
        Map<String, Integer> stems = new HashMap<>();
        Set<Integer> chained = new HashSet<>();
        chains.forEach((shape, members) -> {
            stems.put(shape, members.size());
            members.forEach(seen -> chained.add(seen.piece()));
        });
        Map<Integer, String> parts = NestedParts.find(all, chained, headings, options.keySet(), inBlocks);
        Map<Integer, String> lettered = LetteredQuestions.find(all, headings, chained, inBlocks);
        lettered.keySet().removeAll(parts.keySet());
        Stream.of(parts, lettered, repeated)
                .forEach(found -> found.forEach((piece, shape) -> {
                    chained.add(piece);
                    stems.merge(shape, 1, Integer::sum);
                }));
        return new Habits(
                Map.copyOf(stems),
                Map.copyOf(options),
                Set.copyOf(chained),
                Set.copyOf(headings),
                Set.copyOf(parts.keySet()),
                Set.copyOf(lettered.keySet()),
                Set.copyOf(listed),
                hasBarePoints(all, options, without, parts.keySet()),
                hasMarginKey(all, chained, stems));
    }

    private static List<Seen> asTheyStand(List<Seen> seen) {
        return seen.stream().sorted(Comparator.comparingInt(Seen::piece)).toList();
    }

    /** What was found to be parts heads nothing. */
    private static boolean areParts(List<Seen> seen) {
        return seen.get(0).label().shape().equals(Exercises.SHAPE_OF_PARTS);
    }

    /** Numbers that count on over the lines of a block, as 6, then pairs 7 to 9, then 10. */
    private static List<Seen> throughBlocks(List<Seen> members, List<Seen> withBlocks, Set<Integer> inBlocks) {
        List<Seen> through = NumberSeries.questionSeries(withBlocks).orElse(List.of()).stream()
                .filter(seen -> !inBlocks.contains(seen.piece()))
                .toList();
        return through.size() > members.size() ? through : members;
    }

    /** Labels of the pieces that are no answer list. */
    private static Map<String, List<Seen>> series(List<Cues> all, Set<Integer> without) {
        Map<String, List<Seen>> series = new TreeMap<>();
        boolean numbered = all.stream()
                .filter(cues -> !cues.is(Trait.POINTS_ONLY))
                .flatMap(cues -> cues.labels().stream())
                .anyMatch(label -> label.kind() == Label.Kind.NUMBER && label.ordinal() == 1);
        for (int i = 0; i < all.size(); i++) {
            // "[1]" in a line of its own is what an answer is worth, where other numbers begin.
            boolean worth = numbered && all.get(i).is(Trait.POINTS_ONLY);
            if (all.get(i).is(Trait.OFF_BODY) || without.contains(i) || worth) {
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
                        && !Label.isWorded(members.get(0).label().shape())
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
            if (runsIn(all, last + 1, shape, options)
                    || asksOf(all, last + 1) && runsIn(all, last + 2, shape, options)) {
                options.remove(shape);
            }
        }
    }

    private static boolean runsIn(List<Cues> all, int piece, String shape, Map<String, Integer> options) {
        return piece < all.size()
                && all.get(piece).labels().stream()
                        .anyMatch(label -> label.ordinal() == 1
                                && !label.shape().equals(shape)
                                && options.getOrDefault(label.shape(), 0) > options.get(shape));
    }

    /** "Which of the statements are correct?" between the statements and the options. */
    static boolean asksOf(List<Cues> all, int piece) {
        return piece < all.size()
                && all.get(piece).labels().isEmpty()
                && (all.get(piece).is(Trait.QUESTION_MARK) || all.get(piece).is(Trait.COLON));
    }

    /** "i." may be a letter or a Roman one: what explains more labels stays, the other would only confuse. */
    private static void keepStrongerReading(Map<String, List<Seen>> series, Map<String, Integer> options) {
        for (String shape : List.copyOf(options.keySet())) {
            String other = shape.replace('i', 'a').replace('I', 'A');
            if (!other.equals(shape)
                    && options.getOrDefault(other, 0) >= options.get(shape)
                    && !hasLongNumerals(series.get(shape))) {
                options.remove(shape);
            } else if (!other.equals(shape) && !hasRunApart(series, other, shape)) {
                options.remove(other);
            }
        }
    }

    /** "(ii)" and "(iii)" can be nothing else. */
    private static boolean hasLongNumerals(List<Seen> numerals) {
        return numerals.stream()
                        .filter(seen -> seen.label().printed().length() > 1)
                        .count()
                > 1;
    }

    /** Whether letters run on at places where no numeral can be read: both kinds are in use then. */
    private static boolean hasRunApart(Map<String, List<Seen>> series, String letters, String numerals) {
        Set<Integer> places = series.get(numerals).stream().map(Seen::piece).collect(Collectors.toSet());
        List<Seen> apart = series.getOrDefault(letters, List.of()).stream()
                .filter(seen -> !places.contains(seen.piece()))
                .toList();
        return countInRuns(apart, Set.of()) > 0;
    }

    /** Whether above each first number a head of an exercise stands nearer than any other question does. */
    private static boolean beginBelowHeads(List<Seen> seen, Map<String, List<Seen>> chains, Set<Integer> headings) {
        Set<Integer> others = new HashSet<>();
        chains.values().stream()
                .filter(members -> !members.equals(seen))
                .forEach(members -> members.forEach(member -> others.add(member.piece())));
        return seen.stream().filter(one -> one.label().ordinal() == 1).allMatch(one -> {
            int at = one.piece() - 1;
            while (at > 0 && !headings.contains(at) && !others.contains(at)) {
                at--;
            }
            return headings.contains(at);
        });
    }

    /** Numbers that begin anew within other numbers letter options ("1) oats 2) hay" under "Question 3."). */
    private static void numberedOptions(
            List<Cues> all,
            Map<String, List<Seen>> series,
            Map<String, List<Seen>> chains,
            Map<String, Integer> options,
            Set<Integer> headings) {
        for (String shape : List.copyOf(chains.keySet())) {
            List<Seen> seen = series.get(shape);
            long restarts = seen.stream().filter(s -> s.label().ordinal() == 1).count();
            boolean restartsOften = restarts >= 2 && seen.size() <= restarts * LONGEST_OPTIONS;
            boolean others = chains.entrySet().stream()
                    .anyMatch(e -> !e.getKey().startsWith(shape)
                            && e.getValue().size() >= restarts
                            && e.getValue().get(0).piece() < seen.get(0).piece());
            boolean asking = shape.endsWith(">")
                    && seen.stream()
                                            .filter(s -> NumberedHeads.asks(all, s.piece())
                                                    || NumberedHeads.isPointed(all, s.piece()))
                                            .count()
                                    * 3
                            >= seen.size() * 2;
            if (seen.get(0).label().kind() == Label.Kind.NUMBER
                    && restartsOften
                    && others
                    && !asking
                    && !beginBelowHeads(seen, chains, headings)
                    && !Label.isWorded(shape)) {
                chains.remove(shape);
                options.put(shape, countInRuns(seen, Set.of()));
            }
        }
    }

    private static Set<Integer> headings(List<Cues> all, Set<Integer> chained) {
        Map<String, Map<String, Integer>> seen = new TreeMap<>();
        for (int i = 0; i < all.size(); i++) {
            Matcher matcher = HEADING.matcher(all.get(i).text());
            if (matcher.lookingAt()
                    && !chained.contains(i)
                    && (all.get(i).is(Trait.SHORT)
                            || all.get(i).is(Trait.SECTION_WORD)
                            || isNamedApart(all.get(i).text()))
                    && !all.get(i).is(Trait.GAP)
                    && !Vocabulary.ALL.has("option", matcher.group(1))
                    && !isStatement(all.get(i), matcher.end())) {
                seen.computeIfAbsent(matcher.group(1), w -> new TreeMap<>()).put(matcher.group(2), i);
            }
        }
        Set<Integer> headings = new HashSet<>();
        seen.values().stream()
                .filter(places -> places.size() >= 2)
                // "Hive 3" right above "Hive 4": words to choose from.
                .filter(places -> places.values().stream().noneMatch(place -> places.containsValue(place + 1)))
                .forEach(places -> headings.addAll(places.values()));
        return headings;
    }

    /** "Task B   Are the statements right or wrong?": a name with its letter, and far behind it what is to be done. */
    public static boolean isNamedApart(String text) {
        return NAMED_APART.matcher(text).lookingAt();
    }

    /** "Plan A costs less.": a sentence that begins like a head. */
    private static boolean isStatement(Cues cues, int behind) {
        String text = cues.text();
        return cues.is(Trait.ENDS_SENTENCE) && behind < text.length() && Character.isLowerCase(text.charAt(behind));
    }

    /** "Directions: …" again and again, with no heading above any of them, heads the questions below it. */
    private static List<Integer> directions(List<Cues> all) {
        List<Integer> places = new ArrayList<>();
        for (int i = 1; i < all.size(); i++) {
            boolean directs = Directions.HEAD.matcher(all.get(i).text()).lookingAt();
            if (directs && all.get(i - 1).looksLikeHeading()) {
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
        int strokes = 0;
        Set<Integer> totals = new HashSet<>();
        for (int i = 0; i < all.size(); i++) {
            if (Vocabulary.ALL.mentions(all.get(i).words(), "points")) {
                PointsFinder.beside(all.get(i).text())
                        .ifPresent(found -> totals.add(found.points().intValue()));
            }
            boolean option = !parts.contains(i)
                    && all.get(i).labels().stream().anyMatch(label -> options.containsKey(label.shape()));
            String text = all.get(i).text();
            boolean counts = !CrosswordClues.isOne(all.get(i)) && (!option || PointsFinder.isTabbed(text));
            if (counts && !without.contains(i) && !all.get(i).is(Trait.OFF_BODY)) {
                Optional<PointsFinder.Found> found =
                        PointsFinder.bareBeside(text).filter(points -> points.from() > 0);
                found.ifPresent(points ->
                        values.add(points.points().setScale(0, RoundingMode.UP).intValue()));
                strokes += found.filter(points ->
                                        text.substring(points.from()).strip().startsWith("/"))
                                .isPresent()
                        ? 1
                        : 0;
            }
        }
        boolean counting = true;
        for (int i = 1; i < values.size(); i++) {
            counting &= values.get(i) == values.get(i - 1) + 1;
        }
        boolean small = values.stream().allMatch(value -> value > 0 && value <= MOST_POINTS);
        boolean enough = values.size() >= CODES_IN_EARNEST
                // Nothing else is said by a stroke and a number far behind, nor by the two of them again.
                || strokes > 1
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
    public static Optional<MatchResult> marginKey(Cues cues, Label label) {
        var matcher = MARGIN_KEY
                .matcher(cues.line().text())
                .region(label.end(), cues.piece().segment().to());
        return matcher.lookingAt() ? Optional.of(matcher.toMatchResult()) : Optional.empty();
    }

    /** What stands behind a question's label, without a key in the margin. */
    public static String textBehind(Cues cues, Label label, Habits habits) {
        int start = habits.marginKey()
                ? marginKey(cues, label).map(MatchResult::end).orElse(label.end())
                : label.end();
        return cues.line().text().substring(start, cues.piece().segment().to());
    }
}
