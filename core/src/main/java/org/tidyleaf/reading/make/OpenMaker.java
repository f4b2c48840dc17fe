package org.tidyleaf.reading.make;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.question.TrueFalse;
import org.tidyleaf.question.WordLimits;
import org.tidyleaf.reading.cue.CrosswordClues;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.line.GapParser;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.GatheredKey;
import org.tidyleaf.reading.wording.NumberParser;
import org.tidyleaf.reading.wording.Reckoning;
import org.tidyleaf.reading.wording.UnitSymbols;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.WordLimitsFinder;
import org.tidyleaf.source.Source;

/** Questions without any options: gaps, numbers, words, statements to judge, and what is left are texts to write. */
final class OpenMaker {

    /** A key of more words than this is a model answer. */
    private static final int SHORT_ANSWER_WORDS = 5;

    /** "What is the area of a lid of 50 cm by 40 cm?" Without a figure to reckon with it may be a definition that is asked for. */
    private static final Pattern QUANTITY_ASKED =
            Vocabulary.pattern("(?:.*[.:!,?]\\s+)?\u00bf?" + Vocabulary.ALL.either("quantity_asked")
                    + "\\s+(?:\\p{L}{1,5}(?:['\u2019]|\\s+)){0,2}" + Vocabulary.ALL.either("quantity") + "\\b.*");

    /** "State its length in millimetres.", "What speed is that in km/h?" */
    private static final Pattern UNIT_ASKED = Vocabulary.pattern(".*(\\s)" + Vocabulary.ALL.either("unit_in")
            + "\\s+(?:" + Vocabulary.ALL.either("unit_name") + "|(?-i:" + UnitSymbols.ONE_OR_MORE + "))\\s*[.?]?\\s*");

    private static final Pattern QUANTITY = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("quantity") + "\\b");

    private static final Pattern STATES = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("states") + "\\b");

    /** "Give the mass to the nearest gram.", "Round 3.456 to two decimal places." */
    private static final Pattern ROUNDED = Vocabulary.pattern(".*\\b" + Vocabulary.ALL.either("rounding") + "\\b.*");

    private static final Pattern FIGURE = Pattern.compile("(?s).*\\d.*");

    /** "How many …?", "In wie vielen …?", "¿De cuántos …?" */
    private static final Pattern NUMBER_ASKED = Vocabulary.pattern(
            "(?:.*[.:!,]\\s+)?\u00bf?(?:\\p{L}{1,4}\\s+)?" + Vocabulary.ALL.either("number") + "\\b.*");

    /** "how much / she / earn / ?": words that a sentence is to be made of. */
    private static final Pattern WORDS_TO_ORDER = Pattern.compile("[^/]+(?:\\s/\\s[^/]+){2,}");

    /** "____ mm": a place to write a number on, with its unit. */
    private static final Pattern UNIT_BEHIND = Pattern.compile(
            "[_.\u2026]{3,}\\s*([\\p{L}%\u00b0\u20ac$\u00a3][\\p{L}\u00b0/\u00b2\u00b3]{0,9})\\.?(?=$|\\t|\\s{3}|\\s*[(\\[])(.*)");

    private static final Pattern IN_BRACKETS = Pattern.compile("\\s*[(\\[]\\s*([^()\\[\\]]{1,90}?)\\s*[)\\]]\\s*");

    private static final Pattern INITIAL_BEHIND =
            Pattern.compile("(.*\\w[.!])\\s+(?:[(\\[]\\s*(\\p{L})\\s*[)\\]]|(\\p{L}))\\s*");

    /** "Name the tool …", "Wie heißt …?" */
    private static final Pattern WORD_ASKED = Vocabulary.pattern(
            "(?:.*[.:!?]\\s+)?\u00bf?" + Vocabulary.ALL.either("word_asked") + "(?:(?<=['\u2019])|(?!\\p{L})).*");

    /** "What is a male bee called?" */
    private static final Pattern WORD_BEHIND =
            Vocabulary.pattern("(?s).*\\b" + Vocabulary.ALL.either("word_behind") + "\\s*\\?\\s*");

    /** "Convert 3.5 km to metres." */
    private static final Pattern CONVERT = Vocabulary.pattern(
            "(?:.*[.:!]\\s+)?" + Vocabulary.ALL.either("convert") + "\\s+\\d(?:[^().?!]|\\.(?=\\d))*\\.?\\s*");

    private static final Pattern CONVERSION =
            Pattern.compile("(?s)(?:.*[.:?]\\s+)?\\d[\\d.,/ ]*\\s?\\p{L}[^=]*=\\s*___\\s*\\p{L}+\\.?");

    private static final Pattern SUM = Pattern.compile(
            "\\s*\\d[\\d.,/()\\s]*(?:[+\u2212\u2013\u00d7\u00f7*:/-]\\s*[\\d.,/()\\s]+){1,8}=\\s*___\\s*");

    private final Source source;
    private final JudgingWords judging;

    OpenMaker(Source source, JudgingWords judging) {
        this.source = source;
        this.judging = judging;
    }

    Question make(Draft draft, Particulars particulars, GatheredKey key) {
        Optional<TextEntry> bracketed = BracketedGaps.find(particulars);
        if (bracketed.isPresent() && key.text().isEmpty() && draft.writingLines() == 0) {
            return GapParser.numberIfOne(bracketed.get());
        }
        String said = key.text().orElse("");
        Optional<Question> answered = said.isEmpty() ? answeredBehindRule(particulars) : Optional.empty();
        if (answered.isPresent()) {
            return answered.get();
        }
        int gaps = particulars.stem().gapCount();
        if (gaps == 1 && draft.gapAnswers.size() == 1 && isJudgedStatement(particulars, draft.gapAnswers.get(0))) {
            Prose statement = particulars.stem().withoutGaps();
            int judged = AnswerParser.judgement(draft.gapAnswers.get(0).get(0)).orElseThrow();
            List<String> words = judging.judgedBy(draft).orElse(List.of("True", "False"));
            return new TrueFalse(particulars.withStem(statement), judging.options(words), Set.of(judged));
        }
        Optional<List<String>> judgedIn =
                isRoomBehindSentence(particulars) ? judging.judgedBy(draft) : Optional.empty();
        Optional<Integer> mark = AnswerParser.judgement(said);
        if (judgedIn.isPresent() && draft.gapAnswers.isEmpty() && (said.isEmpty() || mark.isPresent())) {
            Particulars statement = particulars.withStem(particulars.stem().withoutGaps());
            return new TrueFalse(
                    statement,
                    judging.options(judgedIn.get()),
                    mark.map(Set::of).orElse(Set.of()));
        }
        if (gaps > 0 && draft.gapAnswers.size() == gaps) {
            return GapParser.numberIfOne(new TextEntry(particulars, draft.gapAnswers));
        }
        Optional<List<String>> pair = gaps == 0 ? judging.judgedBy(draft) : Optional.empty();
        Optional<Question> initialled =
                said.isEmpty() ? pair.flatMap(words -> withInitialBehind(particulars, words)) : Optional.empty();
        if (initialled.isPresent()) {
            return initialled.get();
        }
        if (pair.isPresent()
                && (said.isEmpty() || JudgingWords.byInitial(said, pair.get()).isPresent())) {
            Set<Integer> chosen =
                    JudgingWords.byInitial(said, pair.get()).map(Set::of).orElse(Set.of());
            return new TrueFalse(particulars, judging.options(pair.get()), chosen);
        }
        Optional<Integer> judged =
                pair.isPresent() ? AnswerParser.leadingJudgement(said) : AnswerParser.judgement(said);
        if (judged.isPresent() && gaps == 0 && said.length() > 0) {
            List<String> words = pair.orElseGet(() -> judging.pairWith(said));
            return new TrueFalse(particulars, judging.options(words), Set.of(judged.get()));
        }
        Optional<NumericEntry.Key> number = NumberParser.key(said);
        if (number.isPresent() && gaps <= 1) {
            return new NumericEntry(particulars, number.map(k -> withUnit(k, draft)));
        }
        boolean shortKey = !said.isEmpty()
                && longest(said, gaps) <= SHORT_ANSWER_WORDS * Math.max(1, gaps) + 2
                && !said.endsWith(".");
        boolean essay = draft.writingLines() > 1
                || Directions.asksToExplain(particulars.stem().plain());
        if (gaps == 1
                && said.isEmpty()
                && (endsWithUnit(particulars.stem())
                        || isConversion(particulars.stem())
                        || isSum(particulars.stem()))) {
            return new NumericEntry(particulars, Optional.empty());
        }
        if (gaps > 0 || shortKey && draft.models.isEmpty() && !essay) {
            return new TextEntry(particulars, GapParser.accepted(said, Math.max(1, gaps)));
        }
        return withoutKey(draft, particulars, said);
    }

    /** "I lay the eggs. ........ (queen)": a sentence, room for its answer, and the answer in brackets. */
    private static Optional<Question> answeredBehindRule(Particulars particulars) {
        List<Inline> parts = particulars.stem().parts();
        if (parts.size() != 3 || !(parts.get(1) instanceof Inline.Gap)) {
            return Optional.empty();
        }
        Matcher answer = IN_BRACKETS.matcher(parts.get(2).plain());
        boolean sentence = parts.get(0).plain().strip().matches("(?s).*[.?!]");
        if (!sentence || !answer.matches()) {
            return Optional.empty();
        }
        Prose stem = new Prose(List.of(parts.get(0)));
        return Optional.of(GapParser.numberIfOne(
                new TextEntry(particulars.withStem(stem), List.of(GapParser.listed(answer.group(1))))));
    }

    /** "Drones gather pollen.  f": behind the whole sentence the first letter of what it is judged to be. */
    private Optional<Question> withInitialBehind(Particulars particulars, List<String> words) {
        Matcher behind = INITIAL_BEHIND.matcher(particulars.stem().plain());
        if (!behind.matches()) {
            return Optional.empty();
        }
        String initial = behind.group(2) == null ? behind.group(3) : behind.group(2);
        return JudgingWords.byInitial(initial, words)
                .map(chosen -> new TrueFalse(
                        particulars.withStem(Prose.of(behind.group(1))), judging.options(words), Set.of(chosen)));
    }

    /** "Drones collect nectar. (      )": behind the whole sentence room for what it is judged to be. */
    static boolean isRoomBehindSentence(Particulars particulars) {
        List<Inline> parts = particulars.stem().parts();
        return particulars.stem().gapCount() == 1
                && parts.size() > 1
                && parts.get(parts.size() - 1) instanceof Inline.Gap
                && parts.get(parts.size() - 2).plain().strip().matches("(?s).*[.!]");
    }

    /** "His rule had brass ends. ___T___": the rule behind a whole sentence was for its judgement. */
    private static boolean isJudgedStatement(Particulars particulars, List<String> answers) {
        return isRoomBehindSentence(particulars)
                && answers.size() == 1
                && answers.get(0).length() <= 7
                && AnswerParser.judgement(answers.get(0)).isPresent();
    }

    /** "____ mm" on the line to write on, where the key holds the number alone. */
    private NumericEntry.Key withUnit(NumericEntry.Key key, Draft draft) {
        return key.unit().isEmpty()
                ? unitBehindRoom(draft)
                        .map(unit -> new NumericEntry.Key(key.value(), key.tolerance(), unit))
                        .orElse(key)
                : key;
    }

    /** "Answer: ______ mm": what stands behind the only room to write on. */
    private Optional<String> unitBehindRoom(Draft draft) {
        return behindRoom(draft).map(unit -> unit.group(1));
    }

    /** The same where nothing stands behind it. */
    private Optional<String> lastUnit(Draft draft) {
        return behindRoom(draft).filter(unit -> unit.group(2).isBlank()).map(unit -> unit.group(1));
    }

    private Optional<MatchResult> behindRoom(Draft draft) {
        if (draft.writing.size() != 1) {
            return Optional.empty();
        }
        Matcher unit =
                UNIT_BEHIND.matcher(source.line(draft.writing.get(0)).text().strip());
        return unit.find() ? Optional.of(unit.toMatchResult()) : Optional.empty();
    }

    /** "2.5 m = ______ cm": nothing but the symbol of a unit behind the gap. */
    private static boolean endsWithUnit(Prose stem) {
        List<Inline> parts = stem.parts();
        boolean behind = parts.size() > 1 && parts.get(parts.size() - 2) instanceof Inline.Gap;
        return behind
                && UnitSymbols.isSymbol(
                        parts.get(parts.size() - 1).plain().strip().replaceFirst("[.]$", ""));
    }

    /** "7.2 ÷ 0.9 = ____": nothing but figures and their signs before the gap. */
    private static boolean isSum(Prose stem) {
        return SUM.matcher(stem.plain().replaceAll("\\[\\[\\d+]]", "___")).matches();
    }

    /** "3 feet = ____ inches": a number, in whatever it is counted. */
    private static boolean isConversion(Prose stem) {
        return stem.plain().indexOf('=') > 0
                && CONVERSION
                        .matcher(stem.plain().replaceAll("\\[\\[\\d+]]", "___"))
                        .matches();
    }

    /** The words of the longest spelling, where there is one gap and several may be given. */
    private static int longest(String said, int gaps) {
        return gaps > 1
                ? said.split("\\s+").length
                : Arrays.stream(said.split("\\s*[/;]\\s*"))
                        .mapToInt(spelling -> spelling.split("\\s+").length)
                        .max()
                        .orElse(0);
    }

    /** What is worth more than a point wants more than a word. */
    private static boolean asksForWord(Particulars particulars) {
        String stem = particulars.stem().plain();
        boolean asks =
                WORD_ASKED.matcher(stem).matches() || WORD_BEHIND.matcher(stem).matches();
        return asks
                && particulars
                        .points()
                        .filter(points -> points.compareTo(BigDecimal.ONE) > 0)
                        .isEmpty();
    }

    /** "What are significant figures?" is no sum. */
    private static boolean isRounded(String stem) {
        return ROUNDED.matcher(stem).matches()
                && (FIGURE.matcher(stem).matches() || QUANTITY.matcher(stem).find());
    }

    /** "Mass is measured in litres." states something, "in cm and in mm" wants two numbers. */
    private static boolean isUnitAsked(String stem) {
        Matcher asked = UNIT_ASKED.matcher(stem);
        String before = asked.matches() ? stem.substring(0, asked.start(1)) : "";
        boolean reckons =
                FIGURE.matcher(before).matches() || QUANTITY.matcher(before).find();
        return asked.matches()
                && !UNIT_ASKED
                        .matcher(before.replaceFirst("\\s+\\p{L}{1,3}\\s*$", ""))
                        .matches()
                && (stem.endsWith("?") || reckons && !STATES.matcher(before).find());
    }

    private Question withoutKey(Draft draft, Particulars particulars, String said) {
        String stem = particulars.stem().plain();
        boolean asksNumber = draft.writingLines() <= 1
                && (CONVERT.matcher(stem).matches()
                        || isUnitAsked(stem)
                        || isRounded(stem)
                        || NUMBER_ASKED.matcher(stem).matches()
                                && !WORDS_TO_ORDER.matcher(stem).matches()
                        || Reckoning.makesNumber(stem)
                                && (Reckoning.isLead(judging.lead(draft)) || Reckoning.isHead(judging.says(draft)))
                        || (FIGURE.matcher(stem).matches()
                                        || FIGURE.matcher(judging.lead(draft)).matches())
                                && QUANTITY_ASKED.matcher(stem).matches()
                        || lastUnit(draft).filter(UnitSymbols::isSymbol).isPresent());
        boolean explains = Directions.asksToExplain(stem)
                || Directions.asksToExplain(judging.says(draft).strip())
                || QuestionEvidence.wantsSentences(judging.says(draft))
                || draft.writingLines() > 1
                || !draft.models.isEmpty();
        if (said.isEmpty() && !explains && asksNumber) {
            return new NumericEntry(particulars, Optional.empty());
        }
        if (said.isEmpty()
                && !explains
                && (draft.writingLines() == 1
                        || draft.roomBeside
                        || CrosswordClues.isOne(draft)
                        || asksForWord(particulars))) {
            return new TextEntry(particulars, List.of(List.of()));
        }
        Prose model = draft.models.isEmpty() ? Prose.of(said) : Draft.join(draft.models);
        WordLimits limits = WordLimitsFinder.find(stem);
        return new ExtendedText(particulars.withSettings(particulars.settings().withWords(limits)), model);
    }
}
