package org.tidyleaf.reading.draft;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.cue.CrosswordClues;
import org.tidyleaf.reading.cue.OrLines;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.GapParser;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.PrintedPairs;
import org.tidyleaf.reading.line.TypeLabels;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.wording.GapSigns;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** Takes off a stem what is printed behind it and no part of it: points, "True / False", a blank for the answer. */
final class StemTrimmer {

    /** Each numeral within a part has points of its own; the part has them all. */
    private static final Pattern FURTHER_NUMERAL = Pattern.compile("\\s*[(\\[]?(?:ii|iii|iv|v|vi)[)\\].]\\s");

    /** "1 m = 1000 mm   [   ]" below "true (T) or false (F)": room for the letter. */
    static final Pattern BRACKETS_BEHIND = Pattern.compile("(?<!\\s)\\s{1,40}(?:\\[\\s{1,8}]|\\(\\s{2,8}\\))\\s{0,9}$");

    /** "… is the smallest?              3) _______": the number again, with room for the answer, far to the right. */
    private static final Pattern NUMBER_AGAIN =
            Pattern.compile("(?:\\s|\\t)[(]?(\\d{1,3})[.)]\\s{0,4}_{3,80}\\s{0,9}$");

    /** A blank behind the end of the sentence, with the unit perhaps, is where the answer goes and no gap in it. */
    private static final Pattern BLANK_BEHIND =
            Pattern.compile("(?:(?<=\\?)\\s*|(?<=!|[^.\\s]\\.)\\s+)[_.\u2026]{3,}\\s*\\p{L}{0,12}\\.?\\s*$");

    private static final Pattern FURTHER_PART = Pattern.compile("\\s*[(\\[]?(?:i{2,3}|iv|vi{0,3}|[b-h])[)\\].]\\s");

    private static final Pattern RULE_BEHIND = Pattern.compile("\\s+[_.\u2026]{4,}\\s*$");

    /** "3. _____ The zero mark …", "3. (   ) The zero mark …": the rule or the brackets before a whole sentence are where its answer goes. */
    private static final Pattern BLANK_BEFORE = Pattern.compile(
            "\\s*(?:(?:_{3,}|\\.{4,}|\u2026{2,})\\s+(?=(?:[(\\[][^()\\[\\]]{1,15}[)\\]]\\s*)?\\p{Lu}[^_]*[.!]\\s*$)"
                    + "|(?:\\(\\s+\\)|\\[\\s+])\\s*(?=[\u00bf\u00a1]?\\p{Lu}))");

    /** "1. ........": one of several places to write. */
    private static final Pattern NUMBERED_BLANK = Pattern.compile("\\s*[(]?\\d{1,2}[.)]\\s*[_.\u2026]{3,}\\s*");

    /** "(1 point for each right answer)" is no longer. */
    private static final int LONGEST_BRACKET = 60;

    private static final Pattern DASH_AT_END = Pattern.compile("\\s+[-\u2013]\\s*$");
    private static final Pattern DASH = Pattern.compile("\\s*[\u2013\u2014:-]\\s+(?=\\S)");
    private static final Pattern WORD_BEFORE = Vocabulary.pattern(Vocabulary.ALL.either("stem") + "\\s*:\\s+(?=\\S)");
    private static final Pattern SAID_BEFORE = Pattern.compile(
            "(?:[(\\[]\\s*(\\p{Lu}\\p{L}{0,6})\\s*[)\\]]|_+\\s*(\\p{Lu}\\p{L}{0,9})\\s*_+)\\s+(?=[\\p{Lu}\u00bf])");
    /** "__B__ Which …", "__a, c__ Which …": the letters of the right options, on a rule before what is asked. */
    private static final Pattern LETTERS_BEFORE =
            Pattern.compile("_{2,}\\s*((?i:" + AnswerParser.OPTION_NAMES + "))\\s*_+\\s+(?=[\\p{Lu}\u00bf\u201c\"(])");

    private static final Pattern ROOM_ONLY =
            Pattern.compile("\\s*(?:[\u2610\u25a1]|\\[\\s*]|\\(\\s*\\)|[_.\u2026]{3,})\\s*");

    /** In lines. */
    private static final int FARTHEST_GAP = 4;

    private static final Pattern FILLED = Pattern.compile(GapParser.FILLED);

    private final Source source;
    private final boolean barePoints;
    private final JudgementTrimmer judgements;

    /** @param barePoints whether a number in brackets at the end is the points */
    StemTrimmer(Source source, boolean barePoints) {
        this.source = source;
        this.barePoints = barePoints;
        this.judgements = new JudgementTrimmer(source);
    }

    /** Cuts points and a printed "True / False" off the end, then keeps the rest. */
    void add(Draft draft, Segment whole) {
        Segment rest = whole;
        if (isWrappedPoints(draft, whole) || isWrappedJudgement(draft, whole)) {
            return;
        }
        // Where options stand above the statements, room alone behind a number waits for a letter.
        if (!draft.offered.isEmpty() && ROOM_ONLY.matcher(source.text(whole)).matches()) {
            draft.writing.add(whole.line());
            return;
        }
        rest = withoutReason(draft, rest);
        Optional<Integer> markedAbove = draft.judgementMarked;
        draft.judgementMarked = Optional.empty();
        boolean judged = false;
        for (int round = 0; round < 2; round++) {
            rest = withoutDifficulty(draft, rest);
            rest = withoutPoints(draft, rest);
            Segment statement = judgements.without(draft, rest);
            judged |= statement.to() < rest.to();
            rest = statement;
            rest = draft.stem.isEmpty() ? withoutLead(draft, withoutDash(rest)) : rest;
        }
        Segment behindRule = withoutBlanks(draft, rest);
        rest = behindRule.from() > rest.from() ? withoutPoints(draft, behindRule) : behindRule;
        boolean heads =
                OrLines.isEither(source.text(rest)) || draft.stem.isEmpty() && OrLines.isLoudOr(source.text(rest));
        if (!source.text(rest).isBlank() && !heads) {
            filledGaps(draft, source.text(rest));
            draft.stem.add(rest);
            if (judged) {
                draft.judged.put(draft.stem.size() - 1, draft.judgementMarked);
            }
        }
        draft.judgementMarked = draft.judgementMarked.or(() -> markedAbove);
    }

    /** Rules before and behind the sentence are where its answer goes. */
    private Segment withoutBlanks(Draft draft, Segment segment) {
        if (!mayHaveBlank(source.text(segment))) {
            return segment;
        }
        Segment rest = segment;
        Matcher before = BLANK_BEFORE.matcher(source.text(rest));
        if (draft.stem.isEmpty() && before.lookingAt() && GapSigns.count(source.text(rest)) == 1) {
            draft.writing.add(segment.line());
            rest = new Segment(rest.line(), rest.from() + before.end(), rest.to());
        }
        Matcher again = NUMBER_AGAIN.matcher(source.text(rest));
        boolean roomAgain =
                draft.words.isEmpty() && again.find() && again.group(1).equals(draft.number);
        if (roomAgain && !countsGaps(draft, segment)) {
            draft.writing.add(segment.line());
            String sentence = source.text(rest).substring(0, again.start());
            rest = new Segment(
                    rest.line(),
                    rest.from(),
                    rest.from() + sentence.stripTrailing().length());
        }
        Matcher blank = BLANK_BEHIND.matcher(source.text(rest));
        boolean gap = NUMBERED_BLANK.matcher(source.text(rest)).matches() || isFurtherBlank(draft, source.text(rest));
        if (!gap && blank.find()) {
            draft.writing.add(segment.line());
            rest = new Segment(rest.line(), rest.from(), rest.from() + blank.start());
        }
        return rest;
    }

    /** "(2) ____ … (3) ____" in question 3, or "(1) ____" in question 1 with "(2) ____" soon below it: gaps that it counts. */
    private boolean countsGaps(Draft draft, Segment segment) {
        if (draft.stem.stream().anyMatch(part -> GapSigns.count(source.text(part)) > 0)) {
            return true;
        }
        if (!draft.number.matches("\\d{1,3}")) {
            return false;
        }
        Pattern next = Pattern.compile("[(\\[]" + (Integer.parseInt(draft.number) + 1) + "[)\\]]\\s*[_.\u2026]{3}");
        int end = Math.min(source.lines().size(), segment.line() + FARTHEST_GAP);
        return source.lines().subList(segment.line() - 1, end).stream()
                .anyMatch(line -> next.matcher(line.text()).find());
    }

    private static boolean mayHaveBlank(String text) {
        return text.indexOf('_') >= 0
                || text.indexOf('\u2026') >= 0
                || text.contains("..")
                || text.contains("( ")
                || text.contains("[ ");
    }

    /** "(i) an open cell, ........" above "(ii) a sealed cell. ........": what is a gap in the one is a gap in the other. */
    private boolean isFurtherBlank(Draft draft, String text) {
        return FURTHER_PART.matcher(text).lookingAt()
                && draft.stem.stream().anyMatch(above -> GapSigns.count(source.text(above)) > 0);
    }

    /** "… T / F  ........": behind the pair to judge by, room to say why. */
    private Segment withoutReason(Draft draft, Segment segment) {
        Matcher rule = RULE_BEHIND.matcher(source.text(segment));
        boolean reason = mayHaveBlank(source.text(segment))
                && rule.find()
                && PrintedPairs.endsWithPair(source.text(segment).substring(0, rule.start()));
        if (!reason) {
            return segment;
        }
        draft.writing.add(segment.line());
        return new Segment(segment.line(), segment.from(), segment.from() + rule.start());
    }

    /** An instructor's copy has the answers on the rules. */
    private static void filledGaps(Draft draft, String text) {
        Matcher matcher = FILLED.matcher(text);
        while (text.indexOf('_') >= 0 && matcher.find()) {
            draft.gapAnswers.add(GapParser.accepted(matcher.group("filled"), 1).get(0));
            draft.gapsFilled = true;
        }
    }

    /** "… it work? -" above "2 points": the dash belongs to the points. */
    void withoutDash(Draft draft) {
        int last = draft.stem.size() - 1;
        if (last >= 0) {
            Segment segment = draft.stem.get(last);
            int length =
                    DASH_AT_END.matcher(source.text(segment)).replaceFirst("").length();
            draft.stem.set(last, new Segment(segment.line(), segment.from(), segment.from() + length));
        }
    }

    /** "… (4" with "points)" on the next line. */
    private boolean isWrappedPoints(Draft draft, Segment second) {
        if (draft.stem.isEmpty() || source.text(second).length() > PrintedPairs.LONGEST_JUDGEMENT) {
            return false;
        }
        Segment first = draft.stem.get(draft.stem.size() - 1);
        String above = source.text(first).stripTrailing();
        Optional<PointsFinder.Found> found =
                PointsFinder.beside(above + " " + source.text(second).strip());
        boolean over = found.filter(points -> points.from() > 0 && points.from() < above.length())
                .isPresent();
        if (over) {
            draft.points = Optional.of(found.get().points());
            int end = first.from()
                    + DASH_AT_END
                            .matcher(above.substring(0, found.get().from()))
                            .replaceFirst("")
                            .length();
            // "True / False - 2" above "points": what was cut at the end of a line is looked at once more.
            Segment trimmed = judgements.without(draft, new Segment(first.line(), first.from(), end));
            draft.stem.set(draft.stem.size() - 1, trimmed);
        }
        return over;
    }

    /** "… True /" with "False" on the next line: the pair is taken off both lines. */
    private boolean isWrappedJudgement(Draft draft, Segment second) {
        if (draft.stem.isEmpty()
                || !draft.judgement.isEmpty()
                || source.text(second).length() > PrintedPairs.LONGEST_JUDGEMENT) {
            return false;
        }
        Segment first = draft.stem.get(draft.stem.size() - 1);
        String above = source.text(first);
        Words words = Words.of(source.text(second));
        Optional<PointsFinder.Found> points =
                PointsFinder.beside(source.text(second)).filter(found -> found.from() > 0);
        String below = source.text(second)
                .substring(0, points.map(PointsFinder.Found::from).orElse(second.to() - second.from()));
        for (PrintedPairs.Judgement judgement : PrintedPairs.possible(words)) {
            if (judgement.words().stream().noneMatch(words::has)) {
                continue;
            }
            Matcher matcher = judgement.pattern().matcher(above + " " + below);
            if (matcher.find()
                    && matcher.start() > 0
                    && matcher.start() < above.stripTrailing().length()) {
                points.ifPresent(found -> draft.points = Optional.of(found.points()));
                draft.judgement = matcher.group(1).length() > 1
                        ? List.of(matcher.group(1), matcher.group(2))
                        : List.of("True", "False");
                draft.stem.set(
                        draft.stem.size() - 1, new Segment(first.line(), first.from(), first.from() + matcher.start()));
                return true;
            }
        }
        return false;
    }

    /** "(Easy) What is …": how hard it is says the author to himself. */
    private Segment withoutDifficulty(Draft draft, Segment segment) {
        String text = source.text(segment);
        if (text.indexOf('(') < 0 && text.indexOf('[') < 0 && text.indexOf('{') < 0) {
            return segment;
        }
        Matcher matcher = TypeLabels.TYPE_OR_DIFFICULTY.matcher(text);
        while (matcher.find()) {
            if (draft.judgement.isEmpty()) {
                draft.judgement = JudgedBy.in(matcher.group()).orElse(List.of());
            }
            boolean all = matcher.start() == 0 && matcher.end() == text.length();
            if (matcher.start() == 0 || matcher.end() == text.length()) {
                TypeLabels.levelIn(matcher.group()).ifPresent(draft.labels::add);
            }
            if (all) {
                return new Segment(segment.line(), segment.to(), segment.to());
            }
            if (matcher.start() == 0 && matcher.end() < text.length()) {
                return new Segment(segment.line(), segment.from() + matcher.end(), segment.to());
            }
            if (matcher.end() == text.length() && matcher.start() > 0) {
                return new Segment(segment.line(), segment.from(), segment.from() + matcher.start());
            }
        }
        return segment;
    }

    private Segment withoutPoints(Draft draft, Segment segment) {
        String text = source.text(segment);
        if (countsLetters(draft, text)) {
            return segment;
        }
        Optional<PointsFinder.Found> sum = PointsFinder.sumAtEnd(text);
        if (sum.isPresent()) {
            draft.points = Optional.of(sum.get().points());
            draft.pointed = true;
            draft.pointsOfParts = PointsFinder.sum(text);
            return new Segment(
                    segment.line(), segment.from(), segment.from() + sum.get().from());
        }
        Optional<PointsFinder.Found> product = PointsFinder.product(text)
                .or(() -> PointsFinder.factorsAtEnd(text).filter(factors -> factors.from() > 0));
        if (product.isPresent()) {
            draft.points = Optional.of(product.get().points());
            draft.pointsPerPair = false;
            return new Segment(
                    segment.line(),
                    segment.from(),
                    segment.from() + product.get().from());
        }
        Optional<PointsFinder.Found> each =
                !draft.pointsPerPair && draft.pairs.isEmpty() ? Optional.empty() : PointsFinder.each(text);
        if (each.isPresent() && text.substring(each.get().to()).matches("[\\s:.]*")) {
            draft.points = Optional.of(each.get().points());
            draft.pointsPerPair = true;
            return new Segment(
                    segment.line(), segment.from(), segment.from() + each.get().from());
        }
        boolean bracketed = text.length() < LONGEST_BRACKET && (text.indexOf('(') >= 0 || text.indexOf('[') >= 0);
        Optional<BigDecimal> ofEach = bracketed && draft.stem.isEmpty()
                ? PointsFinder.each(text)
                        .filter(found ->
                                found.to() - found.from() >= text.strip().length())
                        .map(PointsFinder.Found::points)
                : Optional.empty();
        if (ofEach.isPresent()) {
            draft.pointsOfEach = ofEach;
            draft.points = Optional.empty();
            return new Segment(segment.line(), segment.to(), segment.to());
        }
        Optional<BigDecimal> alone = draft.stem.isEmpty()
                ? PointsFinder.only(text.strip())
                        .or(() -> barePoints ? PointsFinder.bare(text.strip()) : Optional.empty())
                : Optional.empty();
        if (alone.isPresent()) {
            draft.points = alone;
            draft.pointed = true;
            return new Segment(segment.line(), segment.to(), segment.to());
        }
        Optional<PointsFinder.Found> found = PointsFinder.beside(text)
                .or(() -> barePoints
                        ? PointsFinder.bareBeside(text).filter(points -> points.from() > 0 || !draft.stem.isEmpty())
                        : GapSigns.count(text) > 0 ? Optional.empty() : PointsFinder.behindSentence(text));
        // What its section says of each question is no part of the sum.
        boolean more = draft.pointed && FURTHER_NUMERAL.matcher(text).lookingAt();
        draft.pointed |= found.isPresent();
        found.ifPresent(points -> draft.points = draft.points
                .filter(before -> more)
                .map(before -> before.add(points.points()))
                .or(() -> Optional.of(points.points())));
        return found.map(points -> points.from() == 0
                        ? new Segment(segment.line(), segment.from() + points.to(), segment.to())
                        : new Segment(segment.line(), segment.from(), segment.from() + points.from()))
                .orElse(segment);
    }

    /** "A male bee (5)" among the clues of a crossword. */
    private static boolean countsLetters(Draft draft, String text) {
        return CrosswordClues.isOne(draft) && PointsFinder.bareBeside(text).isPresent();
    }

    /** Between the number or the points and the text a dash or colon is left over. */
    private Segment withoutDash(Segment segment) {
        Matcher dash = DASH.matcher(source.text(segment));
        return dash.lookingAt() ? new Segment(segment.line(), segment.from() + dash.end(), segment.to()) : segment;
    }

    /** "STEM: …", "T/F …", "( F ) …", "__F__ …": what stands before the text and is no part of it. */
    private Segment withoutLead(Draft draft, Segment segment) {
        Matcher word = WORD_BEFORE.matcher(source.text(segment));
        if (word.lookingAt()) {
            return new Segment(segment.line(), segment.from() + word.end(), segment.to());
        }
        Optional<PrintedPairs.Before> pair = draft.judgement.isEmpty()
                ? PrintedPairs.before(source.line(segment.line()), segment.from(), segment.to())
                : Optional.empty();
        if (pair.isPresent()) {
            draft.judgement = pair.get().words();
            draft.judgementMarked = pair.get().marked();
            return new Segment(segment.line(), pair.get().end(), segment.to());
        }
        Matcher said = SAID_BEFORE.matcher(source.text(segment));
        if (!draft.judgement.isEmpty() || !said.lookingAt()) {
            return withoutLetters(draft, segment);
        }
        Optional<String> written = Optional.ofNullable(said.group(1)).or(() -> Optional.ofNullable(said.group(2)));
        Optional<Integer> judged = written.flatMap(AnswerParser::judgement);
        if (judged.isEmpty()) {
            return withoutLetters(draft, segment);
        }
        draft.judgement = List.of("True", "False");
        draft.judgementMarked = judged;
        return new Segment(segment.line(), segment.from() + said.end(), segment.to());
    }

    private Segment withoutLetters(Draft draft, Segment segment) {
        Matcher letters = LETTERS_BEFORE.matcher(source.text(segment));
        if (draft.marginKey.isPresent() || !letters.lookingAt()) {
            return segment;
        }
        draft.marginKey = Optional.of(new Draft.Announced(
                letters.group(1), new Segment(segment.line(), segment.from(), segment.from() + letters.end())));
        return new Segment(segment.line(), segment.from() + letters.end(), segment.to());
    }
}
