package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.MultipleChoice;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Section;
import org.tidyleaf.question.Settings;
import org.tidyleaf.question.SingleChoice;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.question.TrueFalse;
import org.tidyleaf.question.WordLimits;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** Drafts and their keys to questions: settles the type and puts the key where the type wants it. */
final class QuestionMaker {

    private static final Pattern TOPIC =
            Vocabulary.pattern("\\W*" + Vocabulary.ALL.either("topic") + "\\s*[:=]\\s*(.+?)\\W*");

    /** A key of more words than this is a model answer. */
    private static final int SHORT_ANSWER_WORDS = 5;

    /** Where nothing says how a question is to be answered, its type is a guess. */
    private static final double GUESSED_TYPE = 0.4;

    private static final Pattern SEVERAL = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("several") + "\\b");
    /** "Tick (\u2713) all that apply." */
    private static final Pattern SIGN_IN_BRACKETS = Pattern.compile("\\s*[(\\[][\u2713\u2714\u221axX][)\\]]");

    private static final Pattern EXPLAIN =
            Vocabulary.pattern("(?:.*[.:!]\\s+)?\u00bf?" + Vocabulary.ALL.either("explain") + "\\b.*");

    /** "How many …?", "In wie vielen …?", "¿De cuántos …?" */
    private static final Pattern NUMBER_ASKED = Vocabulary.pattern(
            "(?:.*[.:!,]\\s+)?\u00bf?(?:\\p{L}{1,4}\\s+)?" + Vocabulary.ALL.either("number") + "\\b.*");

    /** "how much / she / earn / ?": words that a sentence is to be made of. */
    private static final Pattern WORDS_TO_ORDER = Pattern.compile("[^/]+(?:\\s/\\s[^/]+){2,}");

    /** "____ mm": a place to write a number on, with its unit. */
    private static final Pattern UNIT_BEHIND = Pattern.compile(
            "[^_.\u2026]*[_.\u2026]{3,}\\s*([\\p{L}%\u00b0\u20ac$\u00a3][\\p{L}\u00b0/\u00b2\u00b3]{0,9})\\.?");

    private final Source source;
    private final ProseMaker prose;
    private final PartsMaker parts;
    private final List<Section> sections;
    private final boolean mostKeyed;
    private List<String> trueAndFalse = List.of();

    /** "State true or false: bees sleep." */
    private static final Pattern ASKED_TO_JUDGE = Pattern.compile("([^:?]{6,45}[:?])\\s+\\p{L}");

    private static final Pattern IN_BRACKETS = Pattern.compile("\\s*[(\\[]\\s*([^()\\[\\]]{1,90}?)\\s*[)\\]]\\s*");

    private static final Pattern INITIAL_BEHIND =
            Pattern.compile("(.*\\w[.!])\\s+(?:[(\\[]\\s*(\\p{L})\\s*[)\\]]|(\\p{L}))\\s*");

    private QuestionMaker(Source source, List<Section> sections, boolean mostKeyed) {
        this.source = source;
        this.prose = new ProseMaker(source);
        this.parts = new PartsMaker(prose, this::trueAndFalse);
        this.sections = sections;
        this.mostKeyed = mostKeyed;
    }

    static List<ReadQuestion> make(Source source, Drafts drafts, List<GatheredKey> keys) {
        long keyed = keys.stream().filter(key -> key.source() != KeySource.NONE).count();
        QuestionMaker maker = new QuestionMaker(source, drafts.sections(), keyed * 4 >= keys.size() * 3);
        List<ReadQuestion> questions = new ArrayList<>();
        for (int i = 0; i < keys.size(); i++) {
            questions.add(maker.make(drafts.questions(), i, keys.get(i)));
        }
        return questions;
    }

    private List<String> trueAndFalse() {
        if (trueAndFalse.isEmpty()) {
            trueAndFalse = JudgementWords.of(source);
        }
        return trueAndFalse;
    }

    private ReadQuestion make(List<Draft> drafts, int index, GatheredKey gathered) {
        Draft draft = drafts.get(index);
        JudgedFeedback.share(draft, gathered);
        Particulars whole = particulars(draft);
        boolean open = gathered.source() == KeySource.NONE
                && gathered.text().isEmpty()
                && isBare(draft)
                && whole.stem().gapCount() == 0;
        Optional<AnswerBehind.Found> behind = open ? AnswerBehind.find(whole.stem()) : Optional.empty();
        GatheredKey key = behind.map(AnswerBehind.Found::key).orElse(gathered);
        Question question = question(
                draft, behind.map(found -> whole.withStem(found.stem())).orElse(whole), key);
        List<Segment> stem =
                draft.stem.isEmpty() ? List.of(draft.cues.get(0).piece().segment()) : draft.stem;
        List<List<Segment>> options = draft.options.stream()
                .map(option -> List.copyOf(option.segments))
                .toList();
        // A key that came with the question's own parts was marked there.
        KeySource ofParts = question instanceof Hottext
                ? KeySource.FORMATTING
                : draft.gapAnswers.isEmpty() || draft.gapsFilled ? KeySource.MARK : KeySource.ANSWER_LINE;
        KeySource found = key.source() == KeySource.NONE ? ofParts : key.source();
        boolean unmodelled =
                question instanceof ExtendedText essay && essay.answer().isEmpty() && key.source() == KeySource.NONE;
        KeySource source = question.isKeyed() && !unmodelled ? found : KeySource.NONE;
        return new ReadQuestion(
                question, evidence(drafts, index, key), source, doubt(draft, question, key, mostKeyed), stem, options);
    }

    private Particulars particulars(Draft draft) {
        Prose stem = prose.stem(draft.stem).plus(draft.pictures);
        return new Particulars(
                draft.id,
                draft.number,
                stem,
                draft.allPoints(),
                draft.section,
                draft.stimulus,
                Draft.join(draft.feedback),
                Draft.join(draft.hints),
                settings(draft.labels));
    }

    private static Settings settings(List<String> labels) {
        Settings settings = Settings.NONE;
        List<String> others = new ArrayList<>();
        for (String label : labels) {
            Matcher topic = TOPIC.matcher(label);
            if (topic.matches()) {
                settings = settings.withTopic(topic.group(1).strip());
            } else {
                others.add(label);
            }
        }
        return settings.withLabels(others);
    }

    private Question question(Draft draft, Particulars particulars, GatheredKey key) {
        return SharedChoice.find(draft, particulars, key, prose)
                .or(() -> within(draft, particulars, key))
                .or(() -> parts.make(draft, particulars, key, says(draft)))
                .map(made ->
                        made instanceof Grid grid ? GridKey.lay(grid, key.text().orElse("")) : made)
                .orElseGet(() -> simple(draft, particulars, key));
    }

    private Optional<Question> within(Draft draft, Particulars particulars, GatheredKey key) {
        if (!isBare(draft)) {
            return Optional.empty();
        }
        Optional<Grid> numbered = MarkedStatements.numbered(draft, particulars, prose);
        if (numbered.isPresent()) {
            return Optional.of(numbered.get());
        }
        if (draft.writingLines() > 0) {
            return Optional.empty();
        }
        Optional<Grid> statements = MarkedStatements.find(draft, particulars, prose);
        if (statements.isPresent()) {
            return Optional.of(statements.get());
        }
        String said = says(draft) + " " + prose.text(draft.lead).plain();
        Optional<Question> answered = key.text().isEmpty() && draft.bank.isEmpty() && draft.words.isEmpty()
                ? SetApartAnswers.find(particulars, said).map(QuestionMaker::numberIfOne)
                : Optional.empty();
        return answered.isPresent() ? Optional.of(answered.get()) : AlternativesMaker.find(particulars, key, said);
    }

    static boolean isBare(Draft draft) {
        return draft.options.isEmpty()
                && draft.judgement.isEmpty()
                && draft.pairs.isEmpty()
                && draft.rows.isEmpty()
                && draft.cells.isEmpty();
    }

    private Question simple(Draft draft, Particulars particulars, GatheredKey key) {
        Optional<List<String>> three = draft.options.isEmpty()
                        && particulars.stem().gapCount() == 0
                        && !asksForWords(particulars.stem().plain())
                ? JudgedBy.threeIn(says(draft))
                        .or(() -> JudgedBy.threeIn(prose.text(draft.lead).plain()))
                        .or(() -> JudgedBy.lettersIn(says(draft)))
                : Optional.empty();
        if (three.isPresent()) {
            Set<Integer> chosen = JudgedBy.place(key.text().orElse(""), three.get())
                    .map(Set::of)
                    .orElse(Set.of());
            if (key.text().isEmpty() || !chosen.isEmpty()) {
                return new SingleChoice(particulars, judgementOptions(three.get()), chosen);
            }
        }
        boolean blank = draft.options.stream().anyMatch(this::hasGap);
        if (blank && hasOnlyBlanks(draft)) {
            return blanks(draft, particulars, key.text().orElse(""));
        }
        if (blank && isBegunList(draft)) {
            return begunList(draft, particulars, key.text().orElse(""));
        }
        if (isSpellings(draft, particulars) || isLoneAnswer(draft, particulars, key)) {
            return spellings(draft, particulars);
        }
        if (!draft.options.isEmpty()) {
            Optional<Grid> judged = new JudgedOptions(prose).find(draft, particulars);
            return judged.isPresent() ? judged.get() : choice(draft, particulars, key);
        }
        if (!draft.judgement.isEmpty()) {
            boolean letters = draft.judgement.equals(List.of("True", "False"));
            List<String> words = letters ? judgedBy(draft).orElse(draft.judgement) : draft.judgement;
            return new TrueFalse(particulars, judgementOptions(words), key.chosen());
        }
        return open(draft, particulars, key);
    }

    private boolean hasGap(Draft.OptionDraft option) {
        String text =
                String.join(" ", option.segments.stream().map(source::text).toList());
        return GapSigns.count(text) > 0;
    }

    /** "a. ____ b. ____": lettered places to write, as many answers as there are letters. */
    private boolean hasOnlyBlanks(Draft draft) {
        return draft.options.size() > 1
                && draft.options.stream()
                        .map(option -> prose.text(option.segments).plain())
                        .allMatch(text ->
                                GapSigns.count(text) == 1 && text.codePoints().noneMatch(Character::isLetterOrDigit));
    }

    /** "a) head  b) ____  c) ____": the first as an example, the others to write. */
    private boolean isBegunList(Draft draft) {
        List<String> texts = draft.options.stream()
                .map(option -> prose.text(option.segments).plain())
                .toList();
        long blank = texts.stream()
                .filter(text -> GapSigns.count(text) == 1 && text.codePoints().noneMatch(Character::isLetterOrDigit))
                .count();
        return blank > 1
                && texts.stream().allMatch(text -> GapSigns.count(text) <= 1)
                && draft.options.stream().noneMatch(option -> option.signed);
    }

    private TextEntry begunList(Draft draft, Particulars particulars, String said) {
        List<Inline> parts = new ArrayList<>();
        int gaps = particulars.stem().gapCount();
        for (Draft.OptionDraft option : draft.options) {
            boolean gap = GapSigns.count(prose.text(option.segments).plain()) == 1;
            parts.add(new Inline.Text(" " + option.label + (option.label.isEmpty() ? "" : ") "), Set.of()));
            if (gap) {
                gaps++;
                parts.add(new Inline.Gap(gaps));
            } else {
                parts.addAll(prose.text(option.segments).parts());
            }
        }
        return new TextEntry(
                particulars.withStem(particulars.stem().plus(parts).joined()), GapParser.accepted(said, gaps));
    }

    /** Below a gap, lines that are all marked right are its accepted spellings. */
    private static boolean isSpellings(Draft draft, Particulars particulars) {
        boolean allRight = !draft.options.isEmpty() && draft.options.stream().allMatch(option -> option.signed);
        int gaps = particulars.stem().gapCount();
        return allRight && (gaps == 1 || gaps == 0 && draft.options.size() == 1);
    }

    /** In a table with a question a row: of the columns for options only one is filled, and none is said to be right. */
    private static boolean isLoneAnswer(Draft draft, Particulars particulars, GatheredKey key) {
        return draft.options.size() == 1
                && particulars.stem().gapCount() < 2
                && key.source() == KeySource.NONE
                && draft.cues.get(0).line().layout().cell().isPresent();
    }

    private Question spellings(Draft draft, Particulars particulars) {
        List<String> accepted = draft.options.stream()
                .map(option -> prose.text(option.segments).plain())
                .toList();
        return numberIfOne(new TextEntry(particulars, List.of(accepted)));
    }

    private static TextEntry blanks(Draft draft, Particulars particulars, String said) {
        List<Inline> gaps = new ArrayList<>();
        int before = particulars.stem().gapCount();
        for (int i = 1; i <= draft.options.size(); i++) {
            gaps.add(new Inline.Text(" ", Set.of()));
            gaps.add(new Inline.Gap(before + i));
        }
        int all = before + draft.options.size();
        return new TextEntry(
                particulars.withStem(particulars.stem().plus(gaps).joined()), GapParser.accepted(said, all));
    }

    private Question choice(Draft draft, Particulars particulars, GatheredKey key) {
        List<Option> options = new ArrayList<>();
        boolean listed = ListedOptions.areParted(draft.options.stream()
                .map(option -> prose.text(option.segments).plain())
                .toList());
        for (Draft.OptionDraft option : draft.options) {
            Prose text = prose.text(option.segments);
            Prose bare = listed && text.typed().endsWith(";")
                    ? text.cut(0, text.typed().length() - 1)
                    : text;
            options.add(new Option(option.label, bare, Draft.join(option.feedback)));
        }
        Optional<Match> pairs = PairedOptions.find(particulars, options, key);
        if (pairs.isPresent()) {
            return pairs.get();
        }
        if (isJudgement(options)) {
            return new TrueFalse(particulars, options, key.chosen());
        }
        boolean several = key.chosen().size() > 1
                || key.chosen().isEmpty()
                        && SEVERAL.matcher(SIGN_IN_BRACKETS
                                        .matcher(particulars.stem().plain())
                                        .replaceAll(""))
                                .find();
        return several
                ? new MultipleChoice(particulars, options, key.chosen())
                : new SingleChoice(particulars, options, key.chosen());
    }

    private static boolean isJudgement(List<Option> options) {
        if (options.size() != 2) {
            return false;
        }
        String pair = AnswerParser.bare(options.get(0).text().plain()) + "/"
                + AnswerParser.bare(options.get(1).text().plain());
        return Vocabulary.ALL.has("pairs", pair);
    }

    /** Where only letters are printed, the words are those of the document's language. */
    private List<Option> judgementOptions(List<String> said) {
        List<String> words = said.equals(List.of("True", "False")) ? trueAndFalse() : said;
        return words.stream()
                .map(word -> new Option("", Prose.of(word), Prose.EMPTY))
                .toList();
    }

    private Question open(Draft draft, Particulars particulars, GatheredKey key) {
        Optional<TextEntry> bracketed = BracketedGaps.find(particulars);
        if (bracketed.isPresent() && key.text().isEmpty() && draft.writingLines() == 0) {
            return numberIfOne(bracketed.get());
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
            List<String> words = judgedBy(draft).orElse(List.of("True", "False"));
            return new TrueFalse(particulars.withStem(statement), judgementOptions(words), Set.of(judged));
        }
        Optional<List<String>> judgedIn = isRoomBehindSentence(particulars) ? judgedBy(draft) : Optional.empty();
        Optional<Integer> mark = AnswerParser.judgement(said);
        if (judgedIn.isPresent() && draft.gapAnswers.isEmpty() && (said.isEmpty() || mark.isPresent())) {
            Particulars statement = particulars.withStem(particulars.stem().withoutGaps());
            return new TrueFalse(
                    statement,
                    judgementOptions(judgedIn.get()),
                    mark.map(Set::of).orElse(Set.of()));
        }
        if (gaps > 0 && draft.gapAnswers.size() == gaps) {
            return numberIfOne(new TextEntry(particulars, draft.gapAnswers));
        }
        Optional<List<String>> pair = gaps == 0 ? judgedBy(draft) : Optional.empty();
        Optional<Question> initialled =
                said.isEmpty() ? pair.flatMap(words -> withInitialBehind(particulars, words)) : Optional.empty();
        if (initialled.isPresent()) {
            return initialled.get();
        }
        if (pair.isPresent() && (said.isEmpty() || byInitial(said, pair.get()).isPresent())) {
            Set<Integer> chosen = byInitial(said, pair.get()).map(Set::of).orElse(Set.of());
            return new TrueFalse(particulars, judgementOptions(pair.get()), chosen);
        }
        Optional<Integer> judged =
                pair.isPresent() ? AnswerParser.leadingJudgement(said) : AnswerParser.judgement(said);
        if (judged.isPresent() && gaps == 0 && said.length() > 0) {
            List<String> words = pair.or(() -> JudgedBy.with(said)).orElse(List.of("True", "False"));
            return new TrueFalse(particulars, judgementOptions(words), Set.of(judged.get()));
        }
        Optional<NumericEntry.Key> number = NumberParser.key(said);
        if (number.isPresent() && gaps <= 1) {
            return new NumericEntry(particulars, number.map(k -> withUnit(k, draft)));
        }
        boolean shortKey = !said.isEmpty()
                && longest(said, gaps) <= SHORT_ANSWER_WORDS * Math.max(1, gaps) + 2
                && !said.endsWith(".");
        boolean essay = draft.writingLines() > 1
                || EXPLAIN.matcher(particulars.stem().plain()).matches();
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
        return Optional.of(
                numberIfOne(new TextEntry(particulars.withStem(stem), List.of(GapParser.listed(answer.group(1))))));
    }

    /** "Drones gather pollen.  f": behind the whole sentence the first letter of what it is judged to be. */
    private Optional<Question> withInitialBehind(Particulars particulars, List<String> words) {
        Matcher behind = INITIAL_BEHIND.matcher(particulars.stem().plain());
        if (!behind.matches()) {
            return Optional.empty();
        }
        String initial = behind.group(2) == null ? behind.group(3) : behind.group(2);
        return byInitial(initial, words)
                .map(chosen -> new TrueFalse(
                        particulars.withStem(Prose.of(behind.group(1))), judgementOptions(words), Set.of(chosen)));
    }

    /** "Drones collect nectar. (      )": behind the whole sentence room for what it is judged to be. */
    private static boolean isRoomBehindSentence(Particulars particulars) {
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
        if (draft.writing.size() != 1) {
            return Optional.empty();
        }
        Matcher unit =
                UNIT_BEHIND.matcher(source.line(draft.writing.get(0)).text().strip());
        return unit.matches() ? Optional.of(unit.group(1)) : Optional.empty();
    }

    /** A single gap that wants a number and nothing else. */
    private static Question numberIfOne(TextEntry entry) {
        boolean one = entry.gaps().size() == 1 && entry.gaps().get(0).size() == 1;
        Optional<NumericEntry.Key> number =
                one ? NumberParser.key(entry.gaps().get(0).get(0)) : Optional.empty();
        return number.isPresent() ? new NumericEntry(entry.particulars(), number) : entry;
    }

    /** The words of the longest spelling, where there is one gap and several may be given. */
    private static int longest(String said, int gaps) {
        return gaps > 1
                ? said.split("\\s+").length
                : java.util.Arrays.stream(said.split("\\s*[/;]\\s*"))
                        .mapToInt(spelling -> spelling.split("\\s+").length)
                        .max()
                        .orElse(0);
    }

    private Question withoutKey(Draft draft, Particulars particulars, String said) {
        String stem = particulars.stem().plain();
        boolean asksNumber = draft.writingLines() <= 1
                && (NUMBER_ASKED.matcher(stem).matches()
                                && !WORDS_TO_ORDER.matcher(stem).matches()
                        || unitBehindRoom(draft).filter(UnitSymbols::isSymbol).isPresent());
        boolean explains = EXPLAIN.matcher(stem).matches()
                || EXPLAIN.matcher(says(draft).strip()).matches()
                || draft.writingLines() > 1
                || !draft.models.isEmpty();
        if (said.isEmpty() && !explains && asksNumber) {
            return new NumericEntry(particulars, Optional.empty());
        }
        if (said.isEmpty() && !explains && draft.writingLines() == 1) {
            return new TextEntry(particulars, List.of(List.of()));
        }
        Prose model = draft.models.isEmpty() ? Prose.of(said) : Draft.join(draft.models);
        WordLimits limits = WordLimitsFinder.find(stem);
        return new ExtendedText(particulars.withSettings(particulars.settings().withWords(limits)), model);
    }

    /** What the section's heading and its instruction say; empty outside of sections. */
    private String says(Draft draft) {
        if (draft.section < 0) {
            return "";
        }
        Section section = sections.get(draft.section);
        return section.title() + " " + section.instructions().plain();
    }

    /** The two words by which the section, or the lead of its parts, says that statements are judged. */
    private Optional<List<String>> judgedBy(Draft draft) {
        String stem = prose.text(draft.stem).plain();
        if (asksForWords(stem)) {
            return Optional.empty();
        }
        Matcher asked = ASKED_TO_JUDGE.matcher(stem);
        return JudgedBy.in(says(draft))
                .or(() -> JudgedBy.in(prose.text(draft.lead).plain()))
                .or(() -> asked.lookingAt() ? JudgedBy.in(asked.group(1)) : Optional.empty());
    }

    /** "Write 60 to 80 words." below statements to judge is none of them. */
    private static boolean asksForWords(String stem) {
        return WordLimitsFinder.find(stem).most() > 0;
    }

    /** "R" for Right: 0 or 1; empty where the text is something else. */
    private static Optional<Integer> byInitial(String said, List<String> pair) {
        for (int i = 0; i < pair.size(); i++) {
            if (said.strip()
                    .replaceFirst("\\s*[(\u2013-].*", "")
                    .equalsIgnoreCase(pair.get(i).substring(0, 1))) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    private static List<String> evidence(List<Draft> drafts, int index, GatheredKey key) {
        Draft draft = drafts.get(index);
        List<String> evidence = new ArrayList<>();
        if (draft.inSequence && index > 0 && !drafts.get(index - 1).number.isEmpty()) {
            evidence.add(draft.number + " follows " + drafts.get(index - 1).number);
        } else if (draft.inSequence && !draft.number.isEmpty()) {
            evidence.add("it begins the numbering with " + draft.number);
        } else {
            evidence.add("it stands where a question begins");
        }
        if (draft.options.size() > 1 && !draft.options.get(0).label.isEmpty()) {
            evidence.add(draft.options.size() + " letters in a row, " + draft.options.get(0).label + " to "
                    + draft.options.get(draft.options.size() - 1).label);
        } else if (draft.options.size() > 1) {
            evidence.add(draft.options.size() + " lines below it, each an answer");
        }
        evidence.addAll(key.evidence());
        return evidence;
    }

    /** @param leftOpen whether most others have their keys, so that this one has none because it is written freely */
    private static double doubt(Draft draft, Question question, GatheredKey key, boolean leftOpen) {
        boolean guessed = question instanceof ExtendedText open
                && open.answer().isEmpty()
                && draft.writingLines() == 0
                && !EXPLAIN.matcher(open.particulars().stem().plain()).matches()
                && !leftOpen;
        double doubt = key.conflict().isPresent() ? Math.max(draft.doubt, 0.5) : draft.doubt;
        return Math.round(Math.max(doubt, guessed ? GUESSED_TYPE : 0) * 1000) / 1000.0;
    }
}
