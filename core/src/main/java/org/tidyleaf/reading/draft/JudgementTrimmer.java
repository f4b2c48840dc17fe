package org.tidyleaf.reading.draft;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.PrintedPairs;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** Takes off a statement what it is to be judged by, "True / False", boxes for it, or its judgement, "(F)". */
final class JudgementTrimmer {

    /** "Do bees sleep?            Yes". */
    private static final Pattern SAID_FAR = Pattern.compile("(?<=[.?!])(?:\\s{2,}|\\t)(\\p{Lu}\\p{L}{1,9})\\s*$");

    /** "Bees sleep in winter. (F)": the judgement itself behind the statement. */
    private static final Pattern SAID_BEHIND =
            Pattern.compile("(?<=[.!])\\s*[(\\[]\\s*(\\p{Lu}\\p{L}{0,9}|\\p{Ll}{4,9})\\s*[)\\]]\\s*$");

    private static final String BOX = "([\u2610\u25a1\u2611\u2612]|\\[\\s?[xX]?\\s?]|\\(\\s?[xX]?\\s?\\))";

    private static final Pattern BOXES_BEHIND =
            Pattern.compile("(?<!\\s)\\s{2,90}" + BOX + "\\s{1,30}" + BOX + "\\s*$");

    private static final Pattern TICKED = Pattern.compile("[\u2611\u2612]|.*[xX].*");

    /** In lines, the words above columns of boxes. */
    private static final int FARTHEST_WORDS = 30;

    private static final Pattern ROOM_BEHIND_PAIR =
            Pattern.compile("[:.]?\\s{0,9}(?<!_)_{2,}+\\s{0,3}(\\p{L}{0,10})\\s{0,3}_*+\\s*$");

    /** "Honey never goes bad. True/False? (True)": behind a sentence, for "Tick: true or false?" asks of what stands below. */
    private static final Pattern QUESTION_BEHIND_PAIR = Pattern.compile(
            "(?<=[.!?]\\s{0,2}[(\\[]?\\p{L}{1,12}\\s?[/|]\\s?\\p{L}{1,12})[?]\\s{0,9}[(\\[]?\\s?(\\p{L}{0,10})\\s?[)\\]]?\\s*$");

    private final Source source;

    JudgementTrimmer(Source source) {
        this.source = source;
    }

    /** "…    True" at the end of a line and "False" on the next: nothing is judged yet. */
    private boolean goesOnBelow(Segment segment) {
        return segment.line() < source.lines().size()
                && PrintedPairs.isPairOver(
                        source.text(segment), source.line(segment.line() + 1).text());
    }

    /** "Drones sting. (F)" below "True or false?" and above or below another such line: each is judged for itself. */
    private boolean isOneOfSeveralJudged(Draft draft, Segment segment) {
        if (draft.stem.isEmpty() || !saysJudgement(source.text(segment))) {
            return false;
        }
        Segment above = draft.stem.get(draft.stem.size() - 1);
        boolean beside = saysJudgement(source.text(above))
                || segment.line() < source.lines().size()
                        && saysJudgement(source.line(segment.line() + 1).text());
        return beside
                && JudgedBy.in(draft.stem.stream().map(source::text).collect(Collectors.joining(" ")))
                        .isPresent();
    }

    private static boolean saysJudgement(String text) {
        return Stream.of(SAID_BEHIND, SAID_FAR)
                .map(pattern -> pattern.matcher(text))
                .anyMatch(said ->
                        said.find() && AnswerParser.judgement(said.group(1)).isPresent());
    }

    /** "Drones sting. T or F ___F___": room behind the pair, filled perhaps. */
    private Segment withoutPairAndRoom(Draft draft, Segment segment, Matcher room) {
        Segment before = new Segment(segment.line(), segment.from(), segment.from() + room.start());
        Segment statement = without(draft, before);
        if (statement.equals(before)) {
            return segment;
        }
        draft.writing.add(segment.line());
        AnswerParser.judgement(room.group(1)).ifPresent(said -> draft.judgementMarked = Optional.of(said));
        return statement;
    }

    /** "Bees sleep in winter.    \u25a1    \u25a1" below "True    False": two boxes below the words that they stand for. */
    private Optional<Segment> withoutBoxes(Draft draft, Segment segment) {
        String text = source.text(segment);
        Matcher boxes = BOXES_BEHIND.matcher(text);
        if (!draft.judgement.isEmpty() || !boxes.find()) {
            return Optional.empty();
        }
        for (int line = segment.line() - 1; line > Math.max(0, segment.line() - FARTHEST_WORDS); line--) {
            String above = source.line(line).text().strip();
            if (PrintedPairs.isPairAlone(above)) {
                boolean first = TICKED.matcher(boxes.group(1)).matches();
                boolean second = TICKED.matcher(boxes.group(2)).matches();
                List<String> words = Stream.of(above.split("\\s{2,}|\\s*[/|]\\s*|\\t+"))
                        .map(word -> word.replaceAll("[^\\p{L}\\s'\u2019]", "").strip())
                        .filter(word -> word.length() > 1)
                        .toList();
                draft.judgement = words.size() == 2 ? words : List.of("True", "False");
                draft.judgementMarked = first == second ? Optional.empty() : Optional.of(first ? 0 : 1);
                return Optional.of(new Segment(segment.line(), segment.from(), segment.from() + boxes.start()));
            }
        }
        return Optional.empty();
    }

    /** What is left of a segment of a stem; its draft takes the words to judge by, and which of them is said. */
    Segment without(Draft draft, Segment segment) {
        String text = source.text(segment);
        if (isOneOfSeveralJudged(draft, segment)) {
            return segment;
        }
        Optional<Segment> unboxed = withoutBoxes(draft, segment);
        if (unboxed.isPresent()) {
            return unboxed.get();
        }
        Matcher room = ROOM_BEHIND_PAIR.matcher(text);
        if (text.indexOf('_') > 0
                && draft.judgement.isEmpty()
                && room.find()
                && PrintedPairs.endsWithPair(text.substring(0, room.start()))) {
            return withoutPairAndRoom(draft, segment, room);
        }
        Matcher asked = QUESTION_BEHIND_PAIR.matcher(text);
        if (text.indexOf('?') > 0
                && draft.judgement.isEmpty()
                && asked.find()
                && PrintedPairs.endsWithPair(text.substring(0, asked.start()))) {
            return withoutPairAndRoom(draft, segment, asked);
        }
        Matcher said = SAID_BEHIND.matcher(text);
        boolean bracketed = text.indexOf(')') >= 0 || text.indexOf(']') >= 0;
        if (bracketed
                && draft.judgement.isEmpty()
                && said.find()
                && AnswerParser.judgement(said.group(1)).isPresent()) {
            draft.judgement = List.of("True", "False");
            draft.judgementMarked = AnswerParser.judgement(said.group(1));
            return new Segment(segment.line(), segment.from(), segment.from() + said.start());
        }
        Matcher far = SAID_FAR.matcher(text);
        boolean spaced = text.indexOf('\t') >= 0 || text.contains("  ");
        if (spaced
                && draft.judgement.isEmpty()
                && far.find()
                && !goesOnBelow(segment)
                && AnswerParser.judgement(far.group(1)).isPresent()) {
            draft.judgement = List.of("True", "False");
            draft.judgementMarked = AnswerParser.judgement(far.group(1));
            return new Segment(segment.line(), segment.from(), segment.from() + far.start());
        }
        int end = Math.max(0, text.length() - PrintedPairs.LONGEST_PAIR);
        Words words = Words.of(text.substring(end));
        // "True / False" that had no room behind the statement: it is read as if it stood there.
        String shown = draft.stem.isEmpty() ? text : " " + text;
        int from = segment.from() - (shown.length() - text.length());
        for (PrintedPairs.Judgement judgement : PrintedPairs.possible(words)) {
            if (!words.hasAll(judgement.words())
                    || PrintedPairs.IN_SENTENCE.matcher(text).matches()) {
                continue;
            }
            Matcher matcher = judgement.pattern().matcher(shown).region(end, shown.length());
            if (matcher.find() && (matcher.start() > 0 || !draft.stem.isEmpty())) {
                boolean worded = matcher.group(1).length() > 1;
                int place = source.line(segment.line())
                        .standsOut(
                                from + matcher.start(1),
                                from + matcher.end(1),
                                from + matcher.start(2),
                                from + matcher.end(2));
                if (place > 0) {
                    draft.judgementMarked = Optional.of(place - 1);
                } else {
                    PrintedPairs.ticked(matcher).ifPresent(one -> draft.judgementMarked = Optional.of(one));
                }
                draft.judgement = worded ? List.of(matcher.group(1), matcher.group(2)) : List.of("True", "False");
                return new Segment(segment.line(), segment.from(), Math.max(segment.from(), from + matcher.start()));
            }
        }
        return segment;
    }
}
