package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.cut.AnswersBehindDashes;
import org.tidyleaf.reading.cut.AnswersBehindRoom;
import org.tidyleaf.reading.cut.BareLetters;
import org.tidyleaf.reading.cut.FarLetters;
import org.tidyleaf.reading.cut.LabelsInStrokes;
import org.tidyleaf.reading.cut.OptionsBehind;
import org.tidyleaf.reading.cut.PairKeys;
import org.tidyleaf.reading.cut.PicturesBeforeLetters;
import org.tidyleaf.reading.cut.RemarksBehindOptions;
import org.tidyleaf.reading.cut.SlashedOptions;
import org.tidyleaf.reading.cut.Verdicts;
import org.tidyleaf.reading.cut.VerdictsInBrackets;
import org.tidyleaf.reading.cut.WideOptions;
import org.tidyleaf.reading.line.FullLines;
import org.tidyleaf.reading.line.JudgementLegends;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.line.LabelLines;
import org.tidyleaf.reading.line.ListedOptions;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.WrappedWords;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Announces;
import org.tidyleaf.reading.model.Cues.Lead;
import org.tidyleaf.reading.model.Cues.Margin;
import org.tidyleaf.reading.model.Cues.Sign;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Piece;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** Looks at each piece by itself and notes what can be seen, without deciding what it is. */
public final class CueFinder {
    private static final Vocabulary WORDS = Vocabulary.ALL;

    private static final String DELIMITER = "\\s*(?:\\.?[:=]|[.)](?=\\s)|\\s[-\u2013](?=\\s)|-(?=\\s?[A-Ha-h]\\b))\\s*";

    private static final Pattern LEAD = Vocabulary.pattern("[(\\[]?("
            + WORDS.either("answer", "list", "model", "feedback", "hint", "label") + ")"
            + "(?:\\s?/\\s?\\p{L}{3,14})?(?:\\s*\\([^)]{1,40}\\)|\\s+(?:to|for|of)\\s[^:=]{1,24}(?=:))?" + DELIMITER);

    /** "R : B": the word for an answer by its first letter alone; "R = 4" is a formula. */
    private static final Pattern INITIAL_LEAD =
            Vocabulary.pattern(Vocabulary.ALL.either("answer_initial") + "\\s?:\\s*(?=\\S)");

    /** "The correct answer is: c": a sentence needs no colon. */
    private static final Pattern SENTENCE_LEAD =
            Vocabulary.pattern(WORDS.either("answer_sentence") + "\\s*:?\\s+(?=\\S)");

    /** "-> gut" below a question. */
    private static final Pattern ARROW = Pattern.compile(
            "\\s*(?:(?:->|=>|--+>|>>|<-+|<=+|\u2190)\\s*(?=\\S)|\u2192\\s*(?=[A-Ha-h](?:[).]?|(?:\\s*[,;>\u2192\u2013-]\\s*[A-Ha-h]){2,7})\\s*$))");

    /** "{easy}" behind the last of what stands side by side. */
    private static final Pattern DIFFICULTY =
            Vocabulary.pattern("\\s*[(\\[{]\\s*" + WORDS.either("difficulty") + "\\s*[)\\]}]\\s*");

    /** The line breaks between the words of "True / False". */
    private static final Pattern HALF_PAIR = Pattern.compile("(?:/|[\u2610\u25a1\u25cb\u25ef]|\\[\\s?])\\s*$");

    /** "________ (1)": room to write, and what is written there is worth. */
    private static final Pattern RULE_WITH_POINTS = Pattern.compile("[_.\u2026]{10,}\\s*[(\\[]\\d{1,2}[)\\]]");

    /** "– End of the test –": a dash that begins no list. */
    private static final Pattern BETWEEN_DASHES = Pattern.compile("([\u2013\u2014*-])\\s.*\\s\\1");

    private static final Pattern SENTENCE_WITH_ROOM = Pattern.compile(
            "\\p{L}[^_\u2026]{4,120}?\\s(?:_{4,}+|\\.{5,}+|\u2026{2,}+)\\s?(?=[^_\u2026]*\\p{L}{2})[^_\u2026]{0,80}");

    private static final Pattern END_OF_RULE = Pattern.compile("[_.\u2026]{1,2}");

    private CueFinder() {}

    public static List<Cues> find(Source source, List<Piece> pieces) {
        List<Cues> all = new ArrayList<>(pieces.size());
        for (Piece piece : pieces) {
            all.add(find(source.line(piece.segment().line()), piece));
        }
        FullLines.mark(all);
        markWrappedRules(all);
        markTotalsInCode(all);
        markLoneJudgements(all);
        NumberedTitles.unlabel(all);
        RangedHeads.mark(all);
        WordsAsBullets.unlabel(all);
        DataCodes.unlabel(all);
        GluedLabels.label(all);
        BareLetters.label(all);
        PicturesBeforeLetters.label(all);
        DialogueLines.unlabel(all);
        NumeralsTold.unletter(all);
        NumberedGaps.label(all);
        FormRows.label(all);
        PointsBeforeNumbers.label(all);
        LevelsBesideNumbers.label(all);
        CrosswordClues.label(all);
        IndentedNumbers.label(all);
        BoxesBehind.label(all);
        BracketsBehindLetters.mark(all);
        BoxCells.label(all);
        BoxedLetters.label(all);
        JudgedLines.label(all);
        JudgedUnderHeads.label(all);
        BlankBoxes.label(all);
        ListedOptions.label(all);
        SlashedOptions.label(all);
        WideOptions.label(all);
        OptionsBehind.label(all);
        ClozeNumbers.label(all);
        SpacedNumbers.label(all);
        NumberedBoxes.label(all);
        NumberCells.label(all);
        BoldNumbers.mark(all);
        BareNumbers.label(all);
        AnsweredBullets.mark(all);
        ChoicesInLines.label(all);
        NumberRuns.label(all);
        NumberedStatements.label(all);
        CountedLines.unlabel(all);
        NumberRanges.label(all);
        NumberedRoom.unlabel(all);
        FiguresAlone.unlabel(all);
        ClozeExercises.unlabel(all);
        CountedParts.label(all);
        LettersGoingOn.label(all);
        ExerciseHeads.label(all);
        BoldLetterHeads.mark(all);
        Exercises.label(all);
        TypesBehindNumbers.label(all);
        LoneWordedNumbers.label(all);
        NamedNumbers.mark(all);
        UnsignedNumerals.label(all);
        LettersBelowNumbers.mark(all);
        WrappedWords.mark(all);
        AnswerLetters.mark(all);
        PairKeys.mark(all);
        PointsAlone.mark(all);
        FilledMarks.mark(all);
        PlusSigns.mark(all);
        FarLetters.mark(all);
        AnswersBehindRoom.mark(all);
        AnswersBehindDashes.mark(all);
        RemarksBehindOptions.mark(all);
        VerdictsInBrackets.mark(all);
        OddSigns.mark(all);
        PercentsBefore.mark(all);
        LabelLines.mark(all);
        LabelsInStrokes.mark(all);
        RoomBelowPictures.mark(all);
        RulesOfPaper.mark(all);
        EntryForms.mark(all);
        PageTops.mark(all);
        Verdicts.mark(all);
        OptionRemarks.mark(all);
        ArrowRemarks.mark(all);
        RemarksBelow.mark(all);
        LinesSetApart.mark(all);
        QuotedAnswers.mark(all);
        AnswersBeside.mark(all);
        BracketedKeys.mark(all);
        LeadsOfTheirOwn.mark(all);
        BracketedModels.mark(all);
        ModelBullets.mark(all);
        JudgementLegends.mark(all);
        PassageTitles.mark(all);
        GroupHeads.mark(all);
        CountedHeads.mark(all);
        ScoredHeads.mark(all);
        OrLines.mark(all);
        GappedTexts.label(all);
        LetteredBanks.label(all);
        withoutLoneClozes(all);
        return all;
    }

    /** Numbered gaps make a passage only where questions with their numbers stand below. */
    private static void withoutLoneClozes(List<Cues> all) {
        Set<Integer> below = new HashSet<>();
        for (int i = all.size() - 1; i >= 0; i--) {
            Cues cues = all.get(i);
            if (cues.is(Trait.CLOZE)) {
                Set<Integer> gaps = TraitFinder.numberedGaps(cues.text());
                long asked = gaps.stream().filter(below::contains).count();
                if (asked * 2 < gaps.size()) {
                    cues.traits().remove(Trait.CLOZE);
                }
            }
            cues.labels().stream()
                    .filter(label -> label.kind() == Label.Kind.NUMBER)
                    .forEach(label -> below.add(label.ordinal()));
        }
    }

    /** "__" below a rule to write on is what had no room in its line. */
    private static void markWrappedRules(List<Cues> all) {
        for (int i = 1; i < all.size(); i++) {
            boolean wrapped = all.get(i - 1).is(Trait.WRITING_LINE)
                    && END_OF_RULE.matcher(all.get(i).text()).matches();
            if (wrapped) {
                // No further line to write on: room for a word does not become room for a text.
                all.get(i).traits().add(Trait.RULE);
            }
        }
    }

    /** "total = 0" above or below a line of a program is one, and sums up no points. */
    private static void markTotalsInCode(List<Cues> all) {
        for (int i = 0; i < all.size(); i++) {
            boolean beside = i > 0 && all.get(i - 1).is(Trait.CODE)
                    || i + 1 < all.size() && all.get(i + 1).is(Trait.CODE);
            if (beside && all.get(i).is(Trait.END_WORD) && all.get(i).text().contains(" = ")) {
                all.get(i).traits().remove(Trait.END_WORD);
                all.get(i).traits().add(Trait.CODE);
            }
        }
    }

    private static void markLoneJudgements(List<Cues> all) {
        for (int i = 0; i < all.size(); i++) {
            // "… True /" wraps: the word below it is half of the pair.
            if (i > 0
                    && all.get(i).is(Trait.JUDGEMENT_WORD)
                    && HALF_PAIR.matcher(all.get(i - 1).text()).find()) {
                all.get(i).traits().remove(Trait.JUDGEMENT_WORD);
            }
            boolean above = i > 0 && all.get(i - 1).is(Trait.JUDGEMENT_WORD);
            boolean below = i + 1 < all.size() && all.get(i + 1).is(Trait.JUDGEMENT_WORD);
            if (all.get(i).is(Trait.JUDGEMENT_WORD) && !above && !below) {
                all.get(i).traits().add(Trait.LONE_JUDGEMENT);
            }
        }
    }

    private static Cues find(Line line, Piece piece) {
        Segment segment = piece.segment();
        String text = line.text().substring(segment.from(), segment.to()).strip();
        Words words = Words.of(text);
        Optional<Lead> announced = lead(line, segment, words);
        boolean room = announced.filter(l -> isRoom(line, segment, l)).isPresent();
        boolean sentence =
                announced.filter(l -> isSentenceWithRoom(line, segment, l)).isPresent();
        Optional<Lead> lead = room || sentence ? Optional.empty() : announced;
        // "✅ Answer: B": what decorates a word that announces something marks nothing itself.
        Optional<Sign> before = lead.isPresent() ? Optional.empty() : SignFinder.before(line, segment);
        Optional<Margin> margin = before.isPresent() ? Optional.empty() : SignFinder.margin(line, segment);
        int start = before.map(Sign::to).or(() -> margin.map(Margin::to)).orElse(segment.from());
        int labelAt = skipBlank(line.text(), start, segment.to());
        List<Label> typed = LabelFinder.find(line.text(), labelAt, segment.to());
        List<Label> first = typed.isEmpty() && labelAt == 0 && segment.to() >= line.labelEnd()
                ? LabelFinder.automatic(line.text(), line.labelEnd())
                : typed;
        List<Label> behindBox = behindBox(line.text(), first, segment.to());
        // "A rule   B tape   [1]": what stands behind options is their worth and numbers nothing.
        boolean worth =
                !piece.first() && PointsFinder.isPointsOnly(text) || !piece.first() && text.matches("\\[\\d{1,2}]");
        Set<Trait> traits = TraitFinder.find(line, segment, text, words);
        boolean none = worth
                || RULE_WITH_POINTS.matcher(text).matches()
                || traits.contains(Trait.END_WORD)
                        && BETWEEN_DASHES.matcher(text).matches();
        List<Label> labels = none ? List.of() : behindBox.isEmpty() ? first : behindBox;
        boolean boxed = labels.stream().anyMatch(label -> label.kind() == Label.Kind.BOX);
        if (boxed) {
            // "[ ] fine" ends nothing, whatever language has such a word.
            traits.remove(Trait.END_WORD);
        }
        if (room) {
            traits.add(Trait.WRITING_LINE);
        }
        Optional<Sign> sign = before.or(() -> SignFinder.behindLabel(line, segment, labels))
                .or(() -> SignFinder.after(line, segment)
                        // "A - Richtig" is an option and no verdict on one.
                        .filter(s -> labels.stream().noneMatch(label -> s.from() < label.end())));
        // "False [correct]": the sign is no part of the word.
        boolean behind =
                sign.filter(s -> s.to() == segment.to() && s.from() > labelAt).isPresent();
        if (behind
                && TraitFinder.isJudgement(
                        line.text().substring(labelAt, sign.get().from()))) {
            traits.add(Trait.JUDGEMENT_WORD);
        }
        return new Cues(piece, line, text, margin, labels, sign, lead, words, traits);
    }

    /** "☐ a) wax", "• A. wax", "• [x] wax", "• [ ] A) wax": the letter or the box behind counts, the box or bullet is only there to be ticked. */
    private static List<Label> behindBox(String text, List<Label> labels, int end) {
        boolean sign = !labels.isEmpty()
                && (labels.get(0).kind() == Label.Kind.BOX || labels.get(0).kind() == Label.Kind.BULLET);
        if (!sign) {
            return List.of();
        }
        List<Label> behind = LabelFinder.find(text, labels.get(0).end(), end).stream()
                .filter(label -> label.kind() == Label.Kind.LETTER
                        || label.kind() == Label.Kind.BOX && labels.get(0).kind() == Label.Kind.BULLET)
                .toList();
        List<Label> further = behindBox(text, behind, end);
        return further.isEmpty() ? behind : further;
    }

    private static int skipBlank(String text, int from, int to) {
        int at = from;
        while (at < to && Character.isWhitespace(text.charAt(at))) {
            at++;
        }
        return at;
    }

    /** "Justification: ________": the candidate is to write it, and nobody has. */
    private static boolean isRoom(Line line, Segment segment, Lead lead) {
        return lead.announces() == Announces.FEEDBACK
                && TraitFinder.WRITING
                        .matcher(line.text().substring(lead.end(), segment.to()).strip())
                        .matches();
    }

    /** "Answer: One can fill ______ jars." is a sentence to complete, and no answer. */
    private static boolean isSentenceWithRoom(Line line, Segment segment, Lead lead) {
        return lead.announces() == Announces.KEY
                && SENTENCE_WITH_ROOM
                        .matcher(line.text().substring(lead.end(), segment.to()).strip())
                        .matches();
    }

    private static Optional<Lead> lead(Line line, Segment segment, Words words) {
        int begin = Math.max(segment.from(), Math.min(line.labelEnd(), segment.to()));
        Matcher decoration = TraitFinder.DECORATION.matcher(line.text()).region(begin, segment.to());
        int from = decoration.lookingAt() ? decoration.end() : begin;
        Matcher arrow = ARROW.matcher(line.text()).region(from, segment.to());
        if (arrow.lookingAt()) {
            return Optional.of(new Lead(Announces.KEY, arrow.end()));
        }
        if (WORDS.mentions(words, "answer_sentence")) {
            Matcher sentence = SENTENCE_LEAD.matcher(line.text()).region(from, segment.to());
            if (sentence.lookingAt()) {
                return Optional.of(new Lead(Announces.KEY, sentence.end()));
            }
        }
        if (WORDS.mentions(words, "answer_initial")) {
            Matcher initial = INITIAL_LEAD.matcher(line.text()).region(from, segment.to());
            if (initial.lookingAt()) {
                return Optional.of(new Lead(Announces.KEY, initial.end()));
            }
        }
        if (segment.from() > 0
                && DIFFICULTY.matcher(line.text()).region(from, segment.to()).matches()) {
            return Optional.of(new Lead(Announces.LABEL, from));
        }
        Optional<Lead> judged = JudgedFeedback.lead(line, from, segment.to(), words);
        if (judged.isPresent()) {
            return judged;
        }
        Optional<Lead> ofOption = OptionRemarks.lead(line, from, segment.to(), words);
        if (ofOption.isPresent()) {
            return ofOption;
        }
        if (!WORDS.mentions(words, "answer", "list", "model", "feedback", "hint", "label")) {
            return Optional.empty();
        }
        Matcher matcher = LEAD.matcher(line.text()).region(from, segment.to());
        if (!matcher.lookingAt()) {
            return Optional.empty();
        }
        String word = matcher.group(1);
        Announces announces = WORDS.has("model", word)
                ? Announces.MODEL
                : WORDS.has("answer", word) || WORDS.has("list", word)
                        ? Announces.KEY
                        : WORDS.has("hint", word)
                                ? Announces.HINT
                                : WORDS.has("feedback", word) ? Announces.FEEDBACK : Announces.LABEL;
        return Optional.of(new Lead(announces, matcher.end()));
    }
}
