package org.tidyleaf.reading.draft;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.block.OfferedSequences;
import org.tidyleaf.reading.line.Alternatives;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.BankWords;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.line.Equations;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.PrintedPairs;
import org.tidyleaf.reading.line.SpottedErrors;
import org.tidyleaf.reading.line.WordBanks;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.Step;
import org.tidyleaf.reading.wording.GapSigns;
import org.tidyleaf.reading.wording.Reckoning;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/**
 * "6. Convert. (a) 3 cm = ____ mm (b) …": lettered lines that each ask something are no options but questions 6a and 6b,
 * with what stands above them as their passage.
 */
final class PartSplitter {

    /** "Write short notes on:" wants words about each of the lettered lines. */
    private static final Pattern NOTES = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("notes") + "\\b");

    /** "Underline the odd word out." in each of the lettered lists. */
    private static final Pattern ODD = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("odd") + "\\b");

    private static final int FEWEST_WORDS = 3;
    private static final int LONGEST_ASKED = 110;

    private final Source source;
    private final StemTrimmer stems;
    private final List<Assigned> roles;
    private final int[] owners;

    /** @param owners for each piece the 1-based place of its question; changed where questions are split */
    PartSplitter(Source source, StemTrimmer stems, List<Assigned> roles, int[] owners) {
        this.source = source;
        this.stems = stems;
        this.roles = new ArrayList<>(roles);
        this.owners = owners;
    }

    /** The roles as they are after splitting. */
    List<Assigned> roles() {
        return List.copyOf(roles);
    }

    List<Draft> split(List<Draft> questions) {
        List<Draft> result = new ArrayList<>();
        questions.forEach(JudgedBullets::gather);
        if (questions.stream().noneMatch(this::hasParts)) {
            return questions;
        }
        int[] before = owners.clone();
        for (int place = 1; place <= questions.size(); place++) {
            Draft draft = questions.get(place - 1);
            if (areStatements(draft) && JudgedBullets.areRows(draft)) {
                asRows(draft, place, before);
                keep(draft, place, before, result);
            } else if (hasParts(draft)) {
                List<Draft> parts = parts(draft, place, before);
                recast(before, place, parts, result.size());
                result.addAll(parts);
            } else {
                keep(draft, place, before, result);
            }
        }
        return result;
    }

    private void keep(Draft draft, int place, int[] before, List<Draft> result) {
        result.add(draft);
        for (int i = 0; i < before.length; i++) {
            owners[i] = before[i] == place ? result.size() : owners[i];
        }
    }

    /** What would be its options are statements that each are judged. */
    private void asRows(Draft draft, int place, int[] before) {
        for (int i = 0; i < draft.options.size(); i++) {
            Draft.OptionDraft option = draft.options.get(i);
            int next = i + 1 < draft.options.size()
                    ? draft.options.get(i + 1).segments.get(0).line()
                    : Integer.MAX_VALUE;
            Draft row = new Draft(draft.id, draft.number, draft.section);
            addStatement(row, option, true);
            draft.keys.stream()
                    .filter(key ->
                            key.segment().line() >= option.segments.get(0).line()
                                    && key.segment().line() < next)
                    .forEach(row.keys::add);
            draft.statements.add(row);
        }
        draft.options.clear();
        for (int i = 0; i < before.length; i++) {
            Assigned piece = roles.get(i);
            if (before[i] == place && piece.step().role() == Role.OPTION) {
                roles.set(
                        i,
                        new Assigned(
                                piece.cues(), new Step(Role.ROW, piece.step().more(), 0), piece.doubt()));
            }
        }
    }

    private void addStatement(Draft part, Draft.OptionDraft option, boolean judged) {
        pairBefore(option).ifPresent(pair -> {
            part.judgement = pair.words();
            part.judgementMarked = pair.marked();
        });
        option.segments.forEach(segment -> stems.add(part, judged ? withoutBrackets(segment) : segment));
    }

    /** Whether all of its options are there to be judged, by what stands before, behind or above them. */
    private boolean areStatements(Draft draft) {
        boolean several = draft.options.size() > 1
                && draft.words.isEmpty()
                && draft.ranks.isEmpty()
                && draft.options.stream().noneMatch(option -> option.signed);
        return several && (havePairs(draft) || areJudged(draft));
    }

    /** "True / False" printed behind each, or before each. */
    private boolean havePairs(Draft draft) {
        return draft.options.stream().allMatch(option -> !option.signed && PrintedPairs.endsWithPair(text(option)))
                || draft.options.stream().allMatch(option -> pairBefore(option).isPresent());
    }

    private boolean hasParts(Draft draft) {
        if (draft.options.size() > 1 && havePairs(draft)) {
            return true;
        }
        boolean boxed = draft.options.size() > 1
                && draft.options.stream().allMatch(option -> option.label.isEmpty() && !option.signed);
        boolean toChoose = boxed && draft.options.stream().allMatch(option -> Alternatives.hasBrackets(text(option)));
        if (boxed && draft.words.isEmpty() && draft.ranks.isEmpty() && (areJudged(draft) || toChoose)) {
            return true;
        }
        boolean lettered = draft.options.size() > 1
                && draft.options.stream()
                        .allMatch(option -> option.label.matches("[a-z]|[ivx]{1,4}") && !option.signed);
        if (!lettered || !draft.ranks.isEmpty()) {
            return false;
        }
        if (draft.options.stream().allMatch(option -> OfferedSequences.isOne(text(option)))) {
            return false;
        }
        boolean onlyBlanks = draft.options.stream().anyMatch(option -> isBlank(text(option)));
        if (onlyBlanks) {
            return false;
        }
        boolean gaps = draft.options.stream().allMatch(option -> GapSigns.count(text(option)) > 0);
        if (!draft.words.isEmpty()) {
            return gaps;
        }
        boolean ask = draft.options.stream().allMatch(option -> Directions.asksSomething(text(option)));
        boolean pointed = draft.options.stream()
                .allMatch(option -> PointsFinder.beside(text(option)).isPresent()
                        || text(option).endsWith(")")
                                && PointsFinder.bareBeside(text(option)).isPresent());
        boolean alternatives = draft.options.stream().allMatch(option -> Alternatives.hasAlternatives(text(option)));
        boolean odd = ODD.matcher(text(draft.stem)).find()
                && draft.options.stream().allMatch(option -> Alternatives.isListed(text(option)));
        boolean errors = draft.options.stream()
                .allMatch(option ->
                        SpottedErrors.areIn(source.line(option.segments.get(0).line())));
        boolean room = haveRoom(draft);
        boolean worked = draft.options.stream()
                .allMatch(option -> option.segments.stream()
                        .anyMatch(part -> Equations.endsEquation(source.line(part.line()), part)));
        boolean reckoned = Reckoning.isLead(text(draft.stem))
                && draft.options.stream().allMatch(option -> Reckoning.isSum(text(option)));
        boolean notes = NOTES.matcher(text(draft.stem)).find();
        if (areJudged(draft)) {
            return true;
        }
        return gaps && !text(draft.stem).endsWith("?")
                || ask
                || eachIsAskedOfStatement(draft)
                || pointed
                || notes
                || alternatives
                || odd
                || errors
                || room
                || worked
                || reckoned
                || eachAsksInItsWay(draft);
    }

    /** "T   F" before the option on its line. */
    private Optional<PrintedPairs.Before> pairBefore(Draft.OptionDraft option) {
        Segment first = option.segments.get(0);
        return PrintedPairs.before(source.line(first.line()), 0, first.to()).filter(pair -> pair.end() == first.from());
    }

    /** "A tank is 40 cm long." over "a) How much does it hold?" and "b) Show that …": what the stem tells is asked below it. */
    private boolean eachIsAskedOfStatement(Draft draft) {
        List<String> texts = draft.options.stream().map(this::text).toList();
        return text(draft.stem).strip().endsWith(".")
                && texts.stream().anyMatch(said -> said.strip().endsWith("?"))
                && texts.stream().allMatch(Directions::asks);
    }

    /** "(a) How far …? ____ km" above "(b) Say why." and a rule to write on: each asks, and most have room for an answer. */
    private boolean eachAsksInItsWay(Draft draft) {
        int room = 0;
        for (int i = 0; i < draft.options.size(); i++) {
            String text = text(draft.options.get(i));
            boolean written = hasRoom(draft, i);
            boolean gap = GapSigns.count(text) > 0;
            if (!written && !gap && !Directions.asksSomething(text)) {
                return false;
            }
            room += written || gap ? 1 : 0;
        }
        return room * 2 > draft.options.size() && !text(draft.stem).endsWith("?");
    }

    /** "a) Measure twice." and a rule to write on below it, and so for each: what is lettered is to be answered. */
    private static boolean haveRoom(Draft draft) {
        return IntStream.range(0, draft.options.size()).allMatch(i -> hasRoom(draft, i));
    }

    private static boolean hasRoom(Draft draft, int option) {
        int from = draft.options.get(option).segments.get(0).line();
        int to = option + 1 < draft.options.size()
                ? draft.options.get(option + 1).segments.get(0).line()
                : Integer.MAX_VALUE;
        return draft.writing.stream().anyMatch(line -> line >= from && line < to);
    }

    /** "True or false? a) Bees sleep. b) …": each lettered line is a statement to judge by itself. */
    private boolean areJudged(Draft draft) {
        List<String> texts = draft.options.stream().map(this::text).toList();
        String asked = text(draft.stem);
        boolean statements = texts.stream()
                .allMatch(said -> said.split("\\s+").length >= FEWEST_WORDS
                        && AnswerParser.leadingJudgement(said).isEmpty());
        return texts.stream().allMatch(PrintedPairs::endsWithPair)
                || statements
                        && asked.length() < LONGEST_ASKED
                        && JudgedBy.in(asked).isPresent();
    }

    private static boolean isBlank(String text) {
        return !text.codePoints().anyMatch(Character::isLetterOrDigit);
    }

    private String text(Draft.OptionDraft option) {
        return text(option.segments);
    }

    private String text(List<Segment> segments) {
        return String.join(" ", segments.stream().map(source::text).toList()).strip();
    }

    private List<Draft> parts(Draft draft, int place, int[] before) {
        List<Draft> parts = new ArrayList<>();
        int end = firstPart(place, before);
        List<Segment> lead = SharedLead.of(draft, place, roles, before, end).stream()
                .filter(segment -> !isOnlyWorth(source.text(segment)))
                .toList();
        Optional<BigDecimal> each = PointsFinder.each(text(draft.stem)).map(PointsFinder.Found::points);
        Set<String> shared = SharedLead.figureIds(place, roles, before, end);
        draft.pictures.removeIf(picture -> shared.contains(picture.figure()));
        for (Draft.OptionDraft option : draft.options) {
            Segment first = option.segments.get(0);
            String id = "q" + first.line() + (parts.isEmpty() || !isSameLine(draft, first) ? "" : "-" + first.from());
            String letter = option.label.isEmpty() ? String.valueOf((char) ('a' + parts.size() % 26)) : option.label;
            String between = Character.isDigit(letter.charAt(0)) ? "." : "";
            Draft part = new Draft(id, draft.number + between + letter, draft.section);
            part.lead.addAll(lead);
            part.stimulus = draft.stimulus;
            List<String> named = WordBanks.named(text(draft.stem));
            List<String> offered = draft.words.isEmpty() ? draft.bank : BankWords.of(draft.words);
            part.bank = named.isEmpty() ? offered : named;
            part.inSequence = true;
            part.points = each;
            part.doubt = draft.doubt;
            part.feedback.addAll(option.feedback);
            addStatement(part, option, JudgedBy.in(text(draft.stem)).isPresent());
            parts.add(part);
        }
        for (Cues cues : draft.cues) {
            Draft part = part(parts, draft, cues.line().number());
            part.cues.add(cues);
            draft.pictures.stream()
                    .filter(picture -> SharedLead.figureIds(cues).contains(picture.figure()))
                    .forEach(part.pictures::add);
        }
        parts.stream().filter(part -> part.cues.isEmpty()).forEach(part -> part.cues.add(draft.cues.get(0)));
        draft.keys.forEach(key -> part(parts, draft, key.segment().line()).keys.add(key));
        draft.models.forEach(
                key -> part(parts, draft, key.segment().line()).models.add(key));
        draft.feedback.forEach(
                said -> part(parts, draft, said.segment().line()).feedback.add(said));
        draft.hints.forEach(
                said -> part(parts, draft, said.segment().line()).hints.add(said));
        draft.writing.forEach(line -> part(parts, draft, line).writing.add(line));
        draft.ruledPoints.forEach((line, points) -> part(parts, draft, line).points = Optional.of(points));
        if (!DraftPoints.shareByTerms(draft, parts)) {
            shareOut(draft.points, parts, parts.size() > 2);
        }
        return parts;
    }

    /** "1 point for each" and nothing to read. */
    /** "2 points each" and nothing else. */
    static boolean isOnlyWorth(String text) {
        return PointsFinder.each(text).isPresent()
                && PointsFinder.withoutEach(text).codePoints().noneMatch(Character::isLetterOrDigit);
    }

    private Segment withoutBrackets(Segment segment) {
        Matcher brackets = StemTrimmer.BRACKETS_BEHIND.matcher(source.text(segment));
        return brackets.find()
                ? new Segment(segment.line(), segment.from(), segment.from() + brackets.start())
                : segment;
    }

    private static boolean isSameLine(Draft draft, Segment segment) {
        return draft.options.stream()
                        .filter(option -> option.segments.get(0).line() == segment.line())
                        .count()
                > 1;
    }

    /** The part that a line belongs to: the last one that begins at or above it. */
    private static Draft part(List<Draft> parts, Draft whole, int line) {
        int found = 0;
        for (int i = 0; i < parts.size(); i++) {
            found = whole.options.get(i).segments.get(0).line() <= line ? i : found;
        }
        return parts.get(found);
    }

    private int firstPart(int place, int[] before) {
        return IntStream.range(0, before.length)
                .filter(i -> before[i] == place && roles.get(i).step().role() == Role.OPTION)
                .findFirst()
                .orElse(before.length);
    }

    /** The lead's lines become a passage, the parts' lines stems, and all of them get their new owners. */
    private void recast(int[] before, int place, List<Draft> parts, int earlier) {
        // "1 (a) What …": a number alone is nothing to read.
        if (!text(parts.get(0).lead).isEmpty()) {
            SharedLead.asPassage(place, roles, before, firstPart(place, before));
        }
        int part = 0;
        boolean begun = false;
        for (int i = 0; i < before.length; i++) {
            if (before[i] != place) {
                continue;
            }
            Assigned piece = roles.get(i);
            Step step = piece.step();
            if (step.role() == Role.OPTION) {
                part += !step.more() && begun && part + 1 < parts.size() ? 1 : 0;
                begun = true;
                roles.set(i, new Assigned(piece.cues(), new Step(Role.STEM, step.more(), 0), piece.doubt()));
            }
            owners[i] = earlier + part + 1;
        }
    }

    /**
     * What the whole is worth, said of it or behind the last of its parts alone, is parted among them where it comes out even.
     *
     * @param halves whether each may be worth less than a point, as one of several statements may
     */
    static void shareOut(Optional<BigDecimal> whole, List<Draft> parts, boolean halves) {
        Optional<BigDecimal> behindLast = parts.get(parts.size() - 1).points;
        long pointed = parts.stream().filter(part -> part.points.isPresent()).count();
        Optional<BigDecimal> said = pointed == 0 ? whole : pointed == 1 ? behindLast : Optional.empty();
        said.flatMap(points -> PointsFinder.share(points, parts.size()))
                .filter(each -> halves && pointed == 0 || each.compareTo(BigDecimal.ONE) >= 0)
                .ifPresent(points -> parts.forEach(part -> part.points = Optional.of(points)));
    }
}
