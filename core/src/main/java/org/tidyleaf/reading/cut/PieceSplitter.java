package org.tidyleaf.reading.cut;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.line.ListedOptions;
import org.tidyleaf.reading.line.PrintedPairs;
import org.tidyleaf.reading.line.SpottedErrors;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Piece;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** Cuts lines where options stand side by side ("A. oats   B. hay   C. bran"); every other line stays one piece. */
public final class PieceSplitter {

    /** From this many letters in a row, a single space between them is enough to believe in options. */
    static final int CONVINCING_RUN = 3;

    private static final Pattern NUMBERED = Pattern.compile("(?<=^|\\s)[(]?(\\d)[).]\\s+(?=\\S)");
    private static final Pattern FIRST_IN_BRACKETS = Pattern.compile("\\s*\\(1\\)");
    private static final Pattern FIRST_NUMBER = Pattern.compile("\\s*[(]?1[).]");

    /** "1. ____   2. ____   3. ____": room for the answers of what stands above. */
    private static final Pattern NUMBERED_ROOM =
            Pattern.compile("(?:\\d{1,2}\\s*[.):-]?\\s*[_.\u2026]{3,}[\\s,;]*){3,40}");

    private static final Pattern BOX = Pattern.compile("(?<=^|\\s)\\*?(?:[" + LabelFinder.BOXES
            + "]|\\[\\s?[xX\u2713\u2714]?\\s?]|\\(\\s?[xX\u2713\u2714 ]\\s?\\))(?=\\s*\\p{L}|\\s*[\\d-])");

    /** "1 (a)", "1 a)": before a part a number needs no sign of its own. */
    private static final Pattern NUMBER_OVER_PARTS = Pattern.compile("\\s*\\d{1,3}\\s+(?=[(\\[][aAi][)\\]]|a[.)]\\s)");

    /** "A               B" over two columns. */
    private static final Pattern NAMES_OF_COLUMNS = Pattern.compile("\\s*\\p{L}\\s{3,}\\p{L}\\s*");

    private static final Pattern BOX_BEFORE = Pattern.compile("(?<!\\S)([" + LabelFinder.BOXES + "]|\\[\\s?])\\s?$");

    private static final int LONGEST_BOX = 4;

    private static final Pattern BULLETS = Pattern.compile("(?<=^|\\s)\\*?\u2022\\s+(?=\\S)");

    /** "O wax      O nectar": the letter typed for a ring to tick, far from what stands before it. */
    private static final Pattern LETTER_AS_RING = Pattern.compile("(?<=^|\\s\\s|\\t)O\\s(?=\\p{L}|\\d)");

    private static final Pattern FIRST_NUMERAL =
            Pattern.compile("\\s*[(\\[]?[a-h][)\\].]\\s*([(\\[]?)i([)\\].])\\s+(?=\\S)");

    private static final Pattern BETWEEN_MENTIONED =
            Vocabulary.pattern("[\\s,;/-]*(?:" + Vocabulary.ALL.either("and", "or") + ")?\\s*");

    private static final Pattern RULE_AHEAD = Pattern.compile("\\s*[_.\u2026]{3}");

    private static final int MOST_RULES = 12;

    /** In lines: between two parts stand options, or rules to write on. */
    private static final int FARTHEST_PART = 14;

    private static final Pattern STARTS_WITH_NUMBER = Pattern.compile("\\d{1,3}[.):]\\s");

    private static final Pattern ANNOUNCED_KEY = Vocabulary.pattern(
            "\\W*" + Vocabulary.ALL.either("answer", "list") + "(?:\\s*[:=]|\\s+(?=[(\\[]?\\w{1,2}[.)\\]]))");

    /** A longer line holds no two tasks. */
    private static final int LONGEST_TASKS = 600;

    private static final Pattern LEAD = Pattern.compile("(?s).*\\p{L}{2}.*[.?!]\\s+");

    private static final Pattern ASKED = Pattern.compile("(?s).*\\p{L}{2}.*\\?\\s+");

    /** "(a) Find its volume." and what it is worth. */
    private static final Pattern WHOLE_SENTENCES = Pattern.compile(
            "[(\\[]?[a-b][).\\]]\\s+\\p{Lu}\\S*\\s\\S+.*[.?!]\\s*(?:[(\\[]\\d{1,2}(?:\\s?\\p{L}{1,8}\\.?)?[)\\]])?\\s*");

    private static final Pattern FIRST_TASK =
            Pattern.compile("\\p{L}{2}[.?!]\\s{1,3}([(\\[]a[)\\]]\\s+)(?=\\p{Lu}[^.?!]{3,200}[.?!]\\s*$)");

    private static final Pattern FEW_WORDS =
            Pattern.compile("[(\\[]?[A-Ba-b][).\\]]\\s+[^.?!:;()\\s]+(?:\\s[^.?!:;()\\s]+){0,4}\\s*");

    private PieceSplitter() {}

    public static List<Piece> split(Source source) {
        List<Piece> pieces = new ArrayList<>();
        OptionColumns columns = new OptionColumns(source.lines());
        NumbersAbreast abreast = new NumbersAbreast(source);
        Verdicts verdicts = new Verdicts(source);
        ListedCells cells = new ListedCells(source);
        SlashedOptions slashed = new SlashedOptions(source);
        WideOptions wide = new WideOptions(source);
        OptionsBehind behind = new OptionsBehind(source);
        LettersWithin within = new LettersWithin(source);
        FieldsBehind fields = new FieldsBehind(source);
        FarLetters letters = new FarLetters(source);
        ArrowsBehind arrows = new ArrowsBehind(source);
        RepeatedCuts answers = AnswersBehindRoom.cuts(source);
        RepeatedCuts remarks = RemarksBehindOptions.cuts(source);
        RepeatedCuts judged = VerdictsInBrackets.cuts(source);
        RepeatedCuts verdictsBehind = AnswersBehindDashes.verdicts(source);
        RepeatedCuts answersBehind = AnswersBehindDashes.setApart(source);
        int next = 0;
        for (Line line : source.lines()) {
            if (line.number() <= next) {
                continue;
            }
            if (NUMBERED_ROOM.matcher(line.text()).matches() || PairKeys.isWorded(line.text())) {
                pieces.add(new Piece(new Segment(line.number(), 0, line.text().length()), true));
                continue;
            }
            Optional<OptionColumns.Block> block = columns.at(line.number() - 1);
            if (block.isPresent()) {
                pieces.addAll(block.get().pieces());
                next = line.number() - 1 + block.get().lines();
                continue;
            }
            List<Piece> cell = cells.pieces(line);
            List<Piece> announced = cell.isEmpty() ? ListedOptions.pieces(line) : cell;
            List<Piece> listed = Stream.of(
                            announced,
                            slashed.pieces(line),
                            wide.pieces(line),
                            behind.pieces(line),
                            within.pieces(line))
                    .filter(found -> !found.isEmpty())
                    .findFirst()
                    .orElse(List.of());
            if (!listed.isEmpty()) {
                pieces.addAll(listed);
                continue;
            }
            int from = 0;
            List<Integer> known = abreast.cuts(line).isEmpty() ? verdicts.cuts(line) : abreast.cuts(line);
            List<Integer> own = known.isEmpty()
                    ? withFirstNumeral(source, line, withFirstPart(source, line, cuts(source, line)))
                    : known;
            for (int cut : withLast(
                    own,
                    IntStream.of(
                                    arrows.cut(line),
                                    letters.cut(line),
                                    fields.cut(line),
                                    answers.cut(line),
                                    remarks.cut(line),
                                    judged.cut(line),
                                    verdictsBehind.cut(line),
                                    answersBehind.cut(line))
                            .max()
                            .orElse(0))) {
                pieces.add(new Piece(new Segment(line.number(), from, cut), from == 0));
                from = cut;
            }
            pieces.add(new Piece(new Segment(line.number(), from, line.text().length()), from == 0));
        }
        return pieces;
    }

    private static List<Integer> withLast(List<Integer> cuts, int last) {
        if (last == 0 || !cuts.isEmpty() && cuts.get(cuts.size() - 1) >= last) {
            return cuts;
        }
        List<Integer> all = new ArrayList<>(cuts);
        all.add(last);
        return all;
    }

    /** "7. (a) What is a swarm?" with "(b) …" on the next line, or below rules to write on: the first part begins behind the number. */
    private static List<Integer> withFirstPart(Source source, Line line, List<Integer> cuts) {
        boolean more = cuts.isEmpty() && line.number() < source.lines().size();
        if (!more) {
            return cuts;
        }
        String text = line.text();
        Matcher bare = NUMBER_OVER_PARTS.matcher(text);
        Stream<Integer> ends = bare.lookingAt()
                ? Stream.of(bare.end())
                : LabelFinder.find(text, 0, text.length()).stream()
                        .filter(label -> label.kind() == Label.Kind.NUMBER)
                        .map(Label::end);
        return ends.flatMap(end -> LabelFinder.lettersAt(text, end, text.length()).stream())
                .filter(first -> first.ordinal() == 1)
                .filter(first -> goesOnBelow(source, line.number() + 1, first))
                .findFirst()
                .or(() -> firstTask(source, line))
                .map(first -> List.of(first.from()))
                .orElse(cuts);
    }

    /** "4) A drawer is 12 cm high. (a) Find its volume." over "(b) How many …": a whole sentence behind another. */
    private static Optional<Label> firstTask(Source source, Line line) {
        Matcher task = FIRST_TASK.matcher(line.text());
        boolean numbered =
                STARTS_WITH_NUMBER.matcher(line.text().stripLeading()).lookingAt();
        return numbered && task.find()
                ? LabelFinder.lettersAt(line.text(), task.start(1), line.text().length()).stream()
                        .filter(first -> beginsBelow(source, line.number() + 1, first))
                        .findFirst()
                : Optional.empty();
    }

    /** Whether the next line begins with the second part. */
    private static boolean beginsBelow(Source source, int line, Label first) {
        String below = source.line(line).text();
        return LabelFinder.find(below, 0, below.length()).stream()
                .anyMatch(label -> label.shape().equals(first.shape()) && label.ordinal() == 2);
    }

    /** "(c) (i) What …" with "(ii) …" soon below it: the first numeral begins behind the letter. */
    private static List<Integer> withFirstNumeral(Source source, Line line, List<Integer> cuts) {
        Matcher first = FIRST_NUMERAL.matcher(line.text());
        if (!cuts.isEmpty() || !first.lookingAt()) {
            return cuts;
        }
        String second = first.group(1) + "ii" + first.group(2);
        int end = Math.min(source.lines().size(), line.number() + MOST_RULES);
        boolean more = source.lines().subList(line.number(), end).stream()
                .anyMatch(below -> below.text().strip().startsWith(second));
        return more ? List.of(first.start(1)) : cuts;
    }

    private static boolean isSmall(Label label) {
        return Character.isLowerCase(label.printed().charAt(0));
    }

    /** Whether a second part stands soon below a first, behind no other number; a capital right below rules to write on. */
    private static boolean goesOnBelow(Source source, int from, Label first) {
        int end = Math.min(source.lines().size(), from + FARTHEST_PART);
        for (int at = from; at <= end; at++) {
            String below = source.line(at).text().stripLeading();
            List<Label> labels = LabelFinder.lettersAt(below, 0, below.length()).stream()
                    .filter(label -> label.shape().equals(first.shape()))
                    .toList();
            if (!labels.isEmpty()) {
                return labels.stream().anyMatch(label -> label.ordinal() == 2);
            }
            boolean otherwise = !isSmall(first) && below.chars().anyMatch(Character::isLetterOrDigit);
            if (otherwise || STARTS_WITH_NUMBER.matcher(below).lookingAt()) {
                return false;
            }
        }
        return false;
    }

    private static List<Integer> cuts(Source source, Line line) {
        Map<String, List<Label>> byShape = new TreeMap<>();
        String text = line.text();
        if (ANNOUNCED_KEY.matcher(text).lookingAt() || SpottedErrors.areIn(line) || beginsWithBoxedPair(line)) {
            return List.of();
        }
        List<Integer> pictures = PicturesBeforeLetters.cuts(text);
        if (!pictures.isEmpty()) {
            return pictures;
        }
        for (int at = 0; at < text.length(); at++) {
            if (at == 0 || Character.isWhitespace(text.charAt(at - 1)) || text.charAt(at - 1) == '*') {
                LabelFinder.lettersAt(text, at, text.length())
                        .forEach(label -> byShape.computeIfAbsent(label.shape(), s -> new ArrayList<>())
                                .add(label));
            }
        }
        byShape.values().removeIf(labels -> areOfGaps(text, labels) || areMentioned(text, labels));
        List<Integer> best = List.of();
        boolean fromStart = false;
        for (List<Label> labels : byShape.values()) {
            List<Integer> cuts = run(text, labels, WrappedRun.of(source, line, labels));
            // What the line begins with counts before what stands within it.
            boolean begins = textBefore(text, labels.get(0).from()).isEmpty();
            if (cuts.size() > best.size() || cuts.size() == best.size() && begins && !fromStart) {
                best = cuts;
                fromStart = begins;
            }
        }
        if (best.isEmpty()) {
            best = numbers(text);
        }
        if (best.isEmpty()
                && line.layout().cell().isEmpty()
                && !NAMES_OF_COLUMNS.matcher(text).matches()) {
            List<Integer> pair = BareLetters.pairCut(source.lines(), line.number() - 1);
            best = pair.isEmpty() ? BareLetters.cuts(text) : pair;
        }
        return LineEnds.cuts(line, best.isEmpty() ? boxes(text) : best);
    }

    /** "The bees fetch (a) ______ and carry it into the (b) ______ .": letters of gaps within a sentence. */
    private static boolean areOfGaps(String text, List<Label> labels) {
        boolean begun = text.substring(0, labels.get(0).from()).chars().anyMatch(Character::isLetter);
        int last = labels.get(labels.size() - 1).end();
        boolean goesOn = text.substring(last).chars().anyMatch(Character::isLetter);
        return labels.size() > 1
                && begun
                && goesOn
                && labels.stream()
                        .allMatch(label -> RULE_AHEAD
                                .matcher(text)
                                .region(label.end(), text.length())
                                .lookingAt());
    }

    /** "the codes (a), (b), (c) and (d) below": letters that a sentence speaks of, with nothing between them. */
    private static boolean areMentioned(String text, List<Label> labels) {
        if (labels.size() < 2) {
            return false;
        }
        int last = labels.size() - 1;
        for (int i = 0; i < last; i++) {
            String between =
                    text.substring(labels.get(i).end(), labels.get(i + 1).from());
            if (!BETWEEN_MENTIONED.matcher(between).matches()) {
                return false;
            }
        }
        return text.substring(0, labels.get(0).from()).chars().anyMatch(Character::isLetter)
                && text.substring(labels.get(last).end()).chars().anyMatch(Character::isLetter);
    }

    /** "\u2610 T  \u2610 F   Bees sleep." */
    private static boolean beginsWithBoxedPair(Line line) {
        String text = line.text();
        int first = text.isEmpty() ? 0 : text.codePointAt(0);
        boolean boxed = first == '[' || first == '(' || LabelFinder.BOXES.indexOf(first) >= 0;
        return boxed && PrintedPairs.before(line, 0, text.length()).isPresent();
    }

    /** "1) north      2) south      3) east" from the line's beginning on, wide spaces between. */
    private static List<Integer> numbers(String text) {
        if (text.isEmpty() || !FIRST_NUMBER.matcher(text).lookingAt()) {
            return List.of();
        }
        List<Integer> starts = new ArrayList<>();
        Matcher matcher = NUMBERED.matcher(text);
        while (matcher.find()) {
            boolean next = Integer.parseInt(matcher.group(1)) == starts.size() + 1;
            boolean bracketed = text.charAt(matcher.start()) == '('
                    && FIRST_IN_BRACKETS.matcher(text).lookingAt();
            boolean placed = starts.isEmpty()
                    ? text.substring(0, matcher.start()).isBlank()
                    : bracketed || isWide(text, matcher.start());
            if (next && placed) {
                starts.add(matcher.start());
            }
        }
        return starts.size() >= CONVINCING_RUN ? starts.stream().skip(1).toList() : List.of();
    }

    /** A cheap look before the pattern is tried: typed boxes begin with a bracket, drawn ones are signs of no alphabet. */
    private static boolean mayHaveBox(String text) {
        return text.chars().anyMatch(sign -> sign == '[' || sign == '(' || sign >= '\u2022');
    }

    /** "[ ] 45°   [x] 90°": boxes side by side, each with its option. */
    private static List<Integer> boxes(String text) {
        List<Integer> starts = new ArrayList<>();
        List<Integer> rings = new ArrayList<>();
        Matcher matcher = BOX.matcher(text);
        while (mayHaveBox(text) && matcher.find()) {
            starts.add(matcher.start());
        }
        Matcher ring = LETTER_AS_RING.matcher(text);
        while (starts.isEmpty() && text.indexOf('O') >= 0 && ring.find()) {
            rings.add(ring.start());
        }
        starts.addAll(rings.size() > 1 ? rings : List.of());
        starts.addAll(starts.isEmpty() ? bullets(text) : List.of());
        if (starts.size() == 2 && isPair(text)) {
            // On a line of their own the two are options, behind a statement they are how it is judged.
            return List.of(starts.get(1));
        }
        if (starts.size() == 2 && PrintedPairs.endsWithPair(text)) {
            return List.of();
        }
        boolean apart = starts.size() > 1
                && starts.stream().skip(1).allMatch(start -> isWide(text, start) || starts.size() > 2);
        return apart
                ? starts.stream()
                        .filter(start -> start > 0 && !text.substring(0, start).isBlank())
                        .toList()
                : List.of();
    }

    /** "• wax   • honey   • pollen": bullets side by side; between words that begin with none they part a list of words. */
    private static List<Integer> bullets(String text) {
        List<Integer> starts = new ArrayList<>();
        Matcher matcher = BULLETS.matcher(text);
        while (text.indexOf('\u2022') >= 0 && matcher.find()) {
            starts.add(matcher.start());
        }
        boolean begins =
                !starts.isEmpty() && text.substring(0, starts.get(0)).strip().matches("|(?s).*[?.:)\\]\u2026]");
        return begins ? starts : List.of();
    }

    /** "[ ] Yes [x] No" and nothing else. */
    private static boolean isPair(String text) {
        String words = BOX.matcher(text)
                .replaceAll(" ")
                .strip()
                .toLowerCase(Locale.ROOT)
                .replaceAll("\\s+", " ");
        return Vocabulary.ALL.pairs().stream().anyMatch(pair -> words.equals(pair[0] + " " + pair[1]));
    }

    /** The places to cut for one series of labels: those of its longest run A, B, C, … or one that begins the line. */
    private static List<Integer> run(String text, List<Label> labels, WrappedRun wrapped) {
        List<Integer> starts = new ArrayList<>();
        int next = 0;
        boolean wide = true;
        for (Label label : labels) {
            boolean begins = starts.isEmpty()
                    && (label.ordinal() == 1
                            || wrapped.fromAbove()
                            || textBefore(text, label.from()).isEmpty());
            if (begins || label.ordinal() == next) {
                int from = withSign(text, label.from());
                if (!starts.isEmpty()) {
                    wide &= isWide(text, from);
                }
                starts.add(from);
                next = label.ordinal() + 1;
            }
        }
        boolean convincing = wrapped.convincing()
                || starts.size() >= 2 && (wide || starts.size() >= CONVINCING_RUN)
                || starts.size() == 2 && areTwoBehindSentence(text, starts);
        if (!convincing) {
            return List.of();
        }
        return starts.stream().filter(start -> start > 0).toList();
    }

    /** "… 12 cm high. (a) Find its volume. (b) Find …?": whole sentences behind one; "Which is longer? (a) a metre (b) a yard". */
    private static boolean areTwoBehindSentence(String text, List<Integer> starts) {
        if (text.length() > LONGEST_TASKS) {
            return false;
        }
        String lead = text.substring(0, starts.get(0));
        String first = text.substring(starts.get(0), starts.get(1));
        String second = text.substring(starts.get(1));
        boolean tasks = LEAD.matcher(lead).matches()
                && WHOLE_SENTENCES.matcher(first).matches()
                && WHOLE_SENTENCES.matcher(second).matches();
        return tasks
                || ASKED.matcher(lead).matches()
                        && FEW_WORDS.matcher(first).matches()
                        && FEW_WORDS.matcher(second).matches();
    }

    private static String textBefore(String text, int at) {
        return text.substring(0, at).replace("*", "").strip();
    }

    /** A star that marks the key belongs to the option behind it. */
    private static int withSign(String text, int from) {
        if (from > 0 && text.charAt(from - 1) == '*') {
            return from - 1;
        }
        // "\u25a1 a. wax   \u25a1 b. honey": so does a box to tick.
        Matcher box = BOX_BEFORE
                .matcher(text)
                .region(Math.max(0, from - LONGEST_BOX), from)
                .useTransparentBounds(true);
        return box.find() ? box.start(1) : from;
    }

    private static boolean isWide(String text, int at) {
        return at >= 1
                && (text.charAt(at - 1) == '\t'
                        || at >= 2 && text.substring(at - 2, at).isBlank());
    }
}
