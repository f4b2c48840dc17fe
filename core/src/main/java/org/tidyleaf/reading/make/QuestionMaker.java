package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.MultipleChoice;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Section;
import org.tidyleaf.question.Settings;
import org.tidyleaf.question.SingleChoice;
import org.tidyleaf.question.TrueFalse;
import org.tidyleaf.reading.KeySource;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.reading.cue.JudgedFeedback;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.line.GapParser;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.ListedOptions;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.Drafts;
import org.tidyleaf.reading.model.GatheredKey;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** Drafts and their keys to questions: settles the type and puts the key where the type wants it. */
public final class QuestionMaker {

    private static final Pattern TOPIC =
            Vocabulary.pattern("\\W*" + Vocabulary.ALL.either("topic") + "\\s*[:=]\\s*(.+?)\\W*");

    private final ProseMaker prose;
    private final PartsMaker parts;
    private final JudgingWords judging;
    private final GapLines gapLines;
    private final OpenMaker open;
    private final boolean mostKeyed;

    /** Whether the paper says above all questions that each may have several right answers. */
    private final boolean severalEach;

    private QuestionMaker(Source source, List<Section> sections, boolean mostKeyed, boolean severalEach) {
        this.prose = new ProseMaker(source);
        this.judging = new JudgingWords(source, prose, sections);
        this.parts = new PartsMaker(prose, judging::trueAndFalse);
        this.gapLines = new GapLines(prose);
        this.open = new OpenMaker(source, judging);
        this.mostKeyed = mostKeyed;
        this.severalEach = severalEach;
    }

    public static List<ReadQuestion> make(Source source, Drafts drafts, List<GatheredKey> keys) {
        long keyed = keys.stream().filter(key -> key.source() != KeySource.NONE).count();
        QuestionMaker maker = new QuestionMaker(
                source, drafts.sections(), keyed * 4 >= keys.size() * 3, asksAlwaysForSeveral(source, drafts));
        List<ReadQuestion> questions = new ArrayList<>();
        for (int i = 0; i < keys.size(); i++) {
            questions.add(maker.make(drafts.questions(), i, keys.get(i)));
        }
        return questions;
    }

    private static boolean asksAlwaysForSeveral(Source source, Drafts drafts) {
        int first = drafts.questions().stream().mapToInt(Draft::firstLine).min().orElse(1);
        return drafts.sections().isEmpty()
                && source.lines().stream()
                        .limit(Math.max(0, first - 1))
                        .anyMatch(line ->
                                Directions.SEVERAL_EACH.matcher(line.text()).find());
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
                question,
                QuestionEvidence.of(drafts, index, key),
                source,
                QuestionEvidence.doubt(draft, question, key, judging.says(draft), mostKeyed),
                stem,
                options);
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
                .or(() -> parts.make(draft, particulars, key, judging.says(draft)))
                .map(made ->
                        made instanceof Grid grid ? GridKey.lay(grid, key.text().orElse("")) : made)
                .orElseGet(() -> simple(draft, particulars, key));
    }

    private Optional<Question> within(Draft draft, Particulars particulars, GatheredKey key) {
        if (!isBare(draft)) {
            return Optional.empty();
        }
        Optional<Grid> numbered = MarkedStatements.numbered(draft, particulars, prose)
                .or(() -> MarkedStatements.judgedBehind(draft, particulars, prose));
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
        String said = judging.says(draft) + " " + prose.text(draft.lead).plain();
        Optional<Question> answered = key.text().isEmpty() && draft.bank.isEmpty() && draft.words.isEmpty()
                ? SetApartAnswers.find(particulars, said).map(GapParser::numberIfOne)
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
                        && (particulars.stem().gapCount() == 0 || OpenMaker.isRoomBehindSentence(particulars))
                        && !JudgingWords.asksForWords(particulars.stem().plain())
                ? JudgedBy.threeIn(judging.says(draft))
                        .or(() -> JudgedBy.threeIn(prose.text(draft.lead).plain()))
                        .or(() -> JudgedBy.lettersIn(judging.says(draft)))
                : Optional.empty();
        if (three.isPresent()) {
            Set<Integer> chosen = JudgedBy.place(key.text().orElse(""), three.get())
                    .map(Set::of)
                    .orElse(Set.of());
            if (key.text().isEmpty() || !chosen.isEmpty()) {
                Particulars statement = particulars.withStem(particulars.stem().withoutGaps());
                return new SingleChoice(statement, judging.options(three.get()), chosen);
            }
        }
        Optional<Question> written = gapLines.find(draft, particulars, key);
        if (written.isPresent()) {
            return written.get();
        }
        if (!draft.options.isEmpty()) {
            Optional<Grid> judged = new JudgedOptions(prose).find(draft, particulars);
            return judged.isPresent() ? judged.get() : choice(draft, particulars, key);
        }
        if (!draft.judgement.isEmpty()) {
            boolean letters = draft.judgement.equals(List.of("True", "False"));
            List<String> words = letters ? judging.judgedBy(draft).orElse(draft.judgement) : draft.judgement;
            return words.size() > 2
                    ? new SingleChoice(particulars, judging.options(words), key.chosen())
                    : new TrueFalse(particulars, judging.options(words), key.chosen());
        }
        return open.make(draft, particulars, key);
    }

    private Question choice(Draft draft, Particulars particulars, GatheredKey key) {
        List<Option> options = new ArrayList<>();
        List<Prose> texts = ListedOptions.unparted(draft.options.stream()
                .map(option -> prose.text(option.segments))
                .toList());
        for (int i = 0; i < texts.size(); i++) {
            Draft.OptionDraft option = draft.options.get(i);
            options.add(new Option(option.label, texts.get(i), Draft.join(option.feedback)));
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
                        && !CombinedOptions.are(options)
                        && (Directions.asksForSeveral(particulars.stem().plain())
                                || Directions.SEVERAL_EACH
                                        .matcher(judging.says(draft))
                                        .find()
                                || severalEach);
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
}
