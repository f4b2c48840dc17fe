package org.tidyleaf.reading.draft;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Stimulus;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.cue.FormRows;
import org.tidyleaf.reading.cue.GappedTexts;
import org.tidyleaf.reading.cue.LevelsBesideNumbers;
import org.tidyleaf.reading.cue.NamedNumbers;
import org.tidyleaf.reading.cue.NumberedGaps;
import org.tidyleaf.reading.cue.PointsBeforeNumbers;
import org.tidyleaf.reading.cue.RangePoints;
import org.tidyleaf.reading.habit.HabitFinder;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.BankWords;
import org.tidyleaf.reading.line.GapParser;
import org.tidyleaf.reading.line.LetteredLists;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.line.WordBanks;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.Drafts;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Layouts;
import org.tidyleaf.reading.model.Step;
import org.tidyleaf.reading.role.Lessons;
import org.tidyleaf.reading.wording.GapSigns;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** Roles to questions without their keys: walks the pieces once and hands each to the question it belongs to. */
public final class DraftMaker {

    private final Source source;
    private final List<Assigned> roles;
    private final Habits habits;
    private final DraftOptions options;
    private final DraftKeys keys;
    private final Columns columns;
    private final Blocks blocks;
    private final ProseMaker prose;
    private final StemTrimmer stems;
    private final OptionPictures optionPictures;
    private final DraftFeedback feedback;

    private final List<Draft> questions = new ArrayList<>();
    private final DraftSections sections;

    /** The section that a question with a group of its own has left for good; -1 for none. */
    private int leftSection = -1;

    private final DraftNotes notes;
    private final Passages passages = new Passages();
    private final List<Inline.Picture> waiting = new ArrayList<>();
    private final int[] owners;
    private String title = "";
    private Optional<Draft> open = Optional.empty();

    /** What is to be done, said right above a passage. */
    private final List<Integer> told = new ArrayList<>();

    private final List<Draft.OptionDraft> offered = new ArrayList<>();

    /** In signs: a rule for a letter before a number is no longer. */
    private static final int LONGEST_LETTER_RULE = 14;

    private DraftMaker(Source source, List<Assigned> roles, Habits habits, Lessons lessons, Layouts layouts) {
        this.columns = layouts.columns();
        this.blocks = layouts.blocks();
        this.source = source;
        this.roles = new ArrayList<>(roles);
        this.habits = habits;
        this.options = new DraftOptions(habits, layouts);
        this.keys = new DraftKeys(source, lessons);
        this.prose = new ProseMaker(source);
        this.stems = new StemTrimmer(source, habits.barePoints());
        this.owners = new int[roles.size()];
        this.sections = new DraftSections(habits, prose);
        this.notes = new DraftNotes(roles);
        this.optionPictures = new OptionPictures(this.roles, prose);
        this.feedback = new DraftFeedback(this.roles, keys, columns);
    }

    public static Drafts make(Source source, List<Assigned> roles, Habits habits, Lessons lessons, Layouts layouts) {
        return new DraftMaker(source, roles, habits, lessons, layouts).run();
    }

    private Drafts run() {
        for (int i = 0; i < roles.size(); i++) {
            take(i, roles.get(i));
        }
        for (int i = 0; i < owners.length; i++) {
            // A picture that waited for a question that never came belongs to none.
            owners[i] = owners[i] > questions.size() ? 0 : owners[i];
        }
        replaceBy(Examples.setAside(List.copyOf(questions), roles, owners));
        if (!habits.parts().isEmpty()) {
            replaceBy(PartsJoiner.join(List.copyOf(questions), habits.parts(), roles, owners));
        }
        replaceBy(DownColumnOrder.of(List.copyOf(questions), owners));
        SectionPoints.share(sections.all(), sections.said(), questions, habits.barePoints());
        RangePoints.share(roles, questions);
        passages.link(questions);
        List<Stimulus> stimuli = passages.stimuli(source, prose);
        PartSplitter splitter = new PartSplitter(source, stems, roles, owners);
        List<Draft> whole = splitter.split(questions);
        whole.forEach(draft -> {
            DraftOptions.offerSpotted(source, draft);
            RoomsInStems.restore(source, draft);
            BankBelow.take(source, draft);
        });
        whole.stream()
                .filter(draft -> draft.points.isEmpty())
                .forEach(draft ->
                        draft.points = draft.ruledPoints.values().stream().reduce(BigDecimal::add));
        LeadStimuli.add(whole, stimuli, prose);
        title = title.isEmpty() ? PaperTitle.elsewhere(roles) : title;
        return new Drafts(title, sections.all(), stimuli, whole, owners, splitter.roles());
    }

    private void replaceBy(List<Draft> others) {
        questions.clear();
        questions.addAll(others);
    }

    private void take(int index, Assigned piece) {
        Cues cues = piece.cues();
        Step step = piece.step();
        if (step.role() != Role.INSTRUCTION && step.role() != Role.STIMULUS) {
            told.clear();
        }
        switch (step.role()) {
            case TITLE -> title = PaperTitle.in(cues.text());
            case SECTION -> {
                open = Optional.empty();
                offered.clear();
                sections.begin(cues);
            }
            case INSTRUCTION -> {
                open = Optional.empty();
                sections.instruct(cues);
                told.add(index);
            }
            case STIMULUS -> {
                open = Optional.empty();
                passage(index, step);
            }
            case STEM -> stem(index, piece);
            case FIGURE -> figure(index, piece);
            case ASIDE -> aside(index, cues);
            default -> {
                open = step.inQuestion() ? open : Optional.empty();
                if (step.role() == Role.WORDS && blocks.at(index).equals(Optional.of(Blocks.Kind.OFFERED))) {
                    offer(cues);
                    return;
                }
                // Words right above the next question fill gaps of this one, or of those below.
                boolean asked = open.filter(draft -> draft.options.isEmpty()
                                && draft.stem.stream().anyMatch(part -> GapSigns.count(source.text(part)) > 0))
                        .isPresent();
                if (!asked && step.role() == Role.WORDS && isForSeveral(index)) {
                    sections.offer(BankWords.of(List.of(cues)));
                    owners[index] = questions.size() + 1;
                    return;
                }
                boolean loneBlock = open.isEmpty()
                        && (step.role() == Role.PAIR
                                || step.role() == Role.ROW
                                || step.role() == Role.WORDS
                                || blocks.at(index).equals(Optional.of(Blocks.Kind.STEP)));
                if (loneBlock) {
                    // A grid, pairs or a bank right below a heading: a question for themselves, asked by the heading.
                    begin(index, cues);
                    if (step.role() == Role.OPTION) {
                        // The number before a step is its place.
                        open.orElseThrow().number = "";
                    }
                    if (step.role() == Role.PAIR) {
                        // Pairs that count on from the questions lend their first number, others have theirs for
                        // themselves.
                        Draft pairs = open.orElseThrow();
                        pairs.number = pairs.number.equals("1") ? "" : pairs.number;
                        pairs.pointsPerPair = pairs.points.isPresent();
                    }
                    if (step.role() != Role.WORDS) {
                        sections.asked().forEach(segment -> stems.add(open.orElseThrow(), segment));
                    }
                }
                if (step.role() == Role.POINTS && isAmongNotesAbove(index)) {
                    notes.take(cues, open, true);
                    owners[index] = questions.size() + 1;
                    return;
                }
                if (step.role() == Role.POINTS && SectionPoints.shareScore(cues.text(), questions)) {
                    owners[index] = questions.size();
                    return;
                }
                open.ifPresent(draft -> {
                    if (draft.stem.isEmpty() && !draft.number.isEmpty() && isBlock(step.role())) {
                        // "7." and nothing else above pairs: what is asked stands in the heading.
                        sections.asked().forEach(segment -> stems.add(draft, segment));
                    }
                    partOf(draft, index, piece);
                });
            }
        }
    }

    /** "Type: essay", "Points: 5" and then the question they are said of. */
    private boolean isAmongNotesAbove(int index) {
        return notes.standAbove()
                && roles.get(index - 1).cues().announces(Cues.Announces.LABEL)
                && roles.get(index - 1).step().role() == Role.ASIDE
                && stemFollows(index);
    }

    /** What is to be done right above a text is said with it where no section would say it, of gaps even above all questions. */
    private void passage(int index, Step step) {
        boolean together = sections.all().isEmpty()
                && (!questions.isEmpty() || roles.get(index).cues().is(Cues.Trait.CLOZE));
        boolean more = step.more();
        for (int above : together ? told : List.<Integer>of()) {
            Assigned instruction = roles.get(above);
            passages.add(instruction.cues(), more, sections.last(), questions.size());
            roles.set(
                    above,
                    new Assigned(
                            instruction.cues(), new Step(Role.STIMULUS, more, step.option()), instruction.doubt()));
            more = true;
        }
        Optional<String> numbers = columns.at(index).map(Columns.Use::name).filter(name -> !name.isEmpty());
        passages.add(roles.get(index).cues(), numbers, more, sections.last(), questions.size());
        told.clear();
    }

    private static boolean isBlock(Role role) {
        return role == Role.PAIR || role == Role.ROW;
    }

    /** Takes one of the options of all questions below; the first of a list stands for a new one. */
    private void offer(Cues cues) {
        Segment whole = cues.piece().segment();
        boolean besideLetter =
                !offered.isEmpty() && offered.get(offered.size() - 1).segments.isEmpty();
        Optional<Label> label = besideLetter ? Optional.empty() : LetteredLists.label(cues);
        if (label.isEmpty()) {
            offered.get(offered.size() - 1).segments.add(whole);
            return;
        }
        if (label.get().ordinal() == 1) {
            offered.clear();
        }
        Draft.OptionDraft option = new Draft.OptionDraft(label.get().printed(), false);
        if (label.get().end() < whole.to()) {
            option.segments.add(new Segment(whole.line(), label.get().end(), whole.to()));
        }
        offered.add(option);
    }

    /** Whether below the words several numbered sentences wait for them, and not one text. */
    private boolean isForSeveral(int index) {
        int at = index;
        while (at < roles.size() && roles.get(at).step().role() == Role.WORDS) {
            at++;
        }
        return at < roles.size()
                && roles.get(at).step().role() == Role.STEM
                && habits.chained().contains(at);
    }

    private void stem(int index, Assigned piece) {
        Cues cues = piece.cues();
        if (!piece.step().more() || open.isEmpty()) {
            begin(index, cues);
        }
        Draft draft = open.orElseThrow();
        join(draft, index, piece);
        draft.roomBeside |= columns.room().contains(index);
        Optional.ofNullable(columns.judgements().get(index)).ifPresent(judgement -> {
            draft.judgement = judgement.words();
            draft.judgementMarked = judgement.marked();
        });
        if (isNumberCell(index)) {
            return;
        }
        Optional<Label> label =
                piece.step().more() ? Optional.empty() : stemLabel(cues).or(() -> headLabel(index));
        label.flatMap(number -> NamedNumbers.in(cues, number)).ifPresent(draft.labels::add);
        boolean asks =
                label.isEmpty() && !piece.step().more() && habits.headings().contains(index);
        int from = asks
                ? DraftSections.labelEnd(cues)
                : FormRows.start(draft.number, cues).orElseGet(() -> cues.contentStart(label));
        if (label.isPresent() && habits.marginKey()) {
            Optional<MatchResult> margin = HabitFinder.marginKey(cues, label.get());
            from = margin.map(MatchResult::end).orElse(from);
            draft.marginKey =
                    margin.map(m -> new Draft.Announced(m.group(1), cues.piece().segment()));
        }
        margin(draft, cues);
        List<Segment> aroundNumber =
                GappedTexts.isOne(draft) ? GappedTexts.around(cues) : NumberedGaps.around(cues, label);
        if (!aroundNumber.isEmpty()) {
            aroundNumber.forEach(segment -> stems.add(draft, segment));
            return;
        }
        if (draft.stem.isEmpty() && draft.number.isEmpty() && isRoomAlone(cues)) {
            // "E. Write three things" over "1. ______": what is asked stands in the heading.
            sections.asked().forEach(segment -> stems.add(draft, segment));
        }
        stems.add(
                draft,
                new Segment(cues.line().number(), from, cues.piece().segment().to()));
    }

    private static boolean isRoomAlone(Cues cues) {
        return cues.is(Cues.Trait.GAP) && cues.text().chars().noneMatch(Character::isLetter);
    }

    private boolean isNumberCell(int index) {
        return columns.at(index)
                .filter(use -> use.kind() == Columns.Kind.NUMBER)
                .isPresent();
    }

    private static void margin(Draft draft, Cues cues) {
        cues.margin().ifPresent(margin -> {
            boolean judged =
                    margin.judgement() || AnswerParser.judgement(margin.said()).isPresent();
            draft.judgement = judged && draft.judgement.isEmpty() ? List.of("True", "False") : draft.judgement;
            boolean room = margin.said().isEmpty()
                    && !margin.judgement()
                    && margin.to() - cues.piece().segment().from() > LONGEST_LETTER_RULE;
            if (room) {
                // "__________________ 5. The line that all sizes are taken from": a term is to be written there.
                draft.writing.add(cues.line().number());
            }
            if (!margin.said().isEmpty()) {
                Segment place =
                        new Segment(cues.line().number(), cues.piece().segment().from(), margin.to());
                draft.marginKey = Optional.of(new Draft.Announced(margin.said(), place));
            }
        });
    }

    private Optional<Label> stemLabel(Cues cues) {
        return habits.stemLabel(cues)
                .or(() -> cues.labels().stream()
                        .filter(label -> label.kind() == Label.Kind.NUMBER)
                        .findFirst());
    }

    /** "II. Match …": the numeral heads a group of questions and is not part of what is asked. */
    private Optional<Label> headLabel(int index) {
        return roles.get(index).cues().labels().stream()
                .filter(label -> habits.headings().contains(index)
                        && (label.kind() == Label.Kind.ROMAN || label.kind() == Label.Kind.LETTER))
                .findFirst();
    }

    /** "Q7" and "7." are printed for 7; a code stays as it is. */
    private static String inCell(Cues cues) {
        return cues.number()
                .filter(number -> number.end() >= cues.piece().segment().to())
                .map(Label::printed)
                .orElseGet(() -> cues.text().replaceAll("[.):]$", ""));
    }

    private void begin(int index, Cues cues) {
        int from = cues.piece().segment().from();
        String id = "q" + cues.line().number() + (from == 0 ? "" : "-" + from);
        String whole = columns.at(index).map(Columns.Use::name).orElse("");
        String printed = isNumberCell(index)
                ? whole.isEmpty() ? inCell(cues) : whole
                : stemLabel(cues).map(Label::printed).orElse("");
        String number = printed.isEmpty() ? notes.identifier().orElse("") : printed;
        // A question that heads a group of its own belongs to none above it.
        boolean ownGroup = habits.headings().contains(index) && headLabel(index).isPresent()
                || stemLabel(cues).filter(sections::isHeadedAs).isPresent();
        // Its parts stand where it stands.
        boolean part = habits.parts().contains(index) && !questions.isEmpty();
        leftSection = ownGroup ? sections.last() : leftSection;
        int section = part
                ? questions.get(questions.size() - 1).section
                : sections.last() == leftSection ? -1 : sections.last();
        Draft draft = new Draft(id, number, section);
        draft.heading = ownGroup && number.isEmpty() ? cues.text() : "";
        notes.giveTo(draft, section < 0 ? sections.pointsOutside() : sections.pointsEach());
        stemLabel(cues).flatMap(label -> PointsBeforeNumbers.of(cues, label)).ifPresent(points -> {
            draft.points = Optional.of(points);
            draft.pointed = true;
        });
        stemLabel(cues).flatMap(label -> LevelsBesideNumbers.of(cues, label)).ifPresent(draft.labels::add);
        draft.inSequence = habits.chained().contains(index);
        List<String> named = WordBanks.named(cues.text());
        draft.bank = named.isEmpty() ? sections.bank() : named;
        draft.offered = List.copyOf(offered);
        draft.pictures.addAll(waiting);
        waiting.clear();
        questions.add(draft);
        open = Optional.of(draft);
    }

    private void join(Draft draft, int index, Assigned piece) {
        draft.cues.add(piece.cues());
        draft.doubt = Math.max(draft.doubt, piece.doubt());
        owners[index] = questions.size();
    }

    private void figure(int index, Assigned piece) {
        List<Inline.Picture> pictures =
                prose.text(List.of(piece.cues().piece().segment())).pictures();
        Optional<Draft.OptionDraft> empty = optionPictures.empty(open, index);
        if (empty.isPresent()) {
            empty.get().segments.clear();
            empty.get().segments.add(piece.cues().piece().segment());
            join(open.orElseThrow(), index, piece);
            return;
        }
        // Below all options of one question a picture stands above the next.
        boolean next = open.isEmpty() || open.get().options.size() > 1 && stemFollows(index);
        if (next) {
            waiting.addAll(pictures);
            owners[index] = questions.size() + 1;
        } else {
            open.get().pictures.addAll(pictures);
            join(open.get(), index, piece);
        }
    }

    private boolean stemFollows(int index) {
        for (int i = index + 1; i < roles.size(); i++) {
            Role role = roles.get(i).step().role();
            if (role != Role.ASIDE && role != Role.FIGURE) {
                return role == Role.STEM;
            }
        }
        return false;
    }

    private void aside(int index, Cues cues) {
        Optional<Columns.Use> column = columns.at(index).filter(use -> use.kind() == Columns.Kind.LABEL);
        if (column.isPresent() && !column.get().name().isEmpty()) {
            labelInRow(column.get().name() + ": " + cues.text().strip(), index, cues);
            return;
        }
        sections.hear(cues);
        if (cues.announces(Cues.Announces.LABEL)) {
            notes.take(cues, open, stemFollows(index));
        }
        if (cues.is(Cues.Trait.WRITING_LINE)) {
            open.ifPresent(draft -> {
                draft.writing.add(cues.line().number());
                DraftPoints.behindRule(draft, cues);
            });
        }
    }

    /** A label before the question's cell in its row waits for it. */
    private void labelInRow(String label, int index, Cues cues) {
        Optional<Integer> row = cues.line().layout().cell().map(Cell::row);
        Optional<Draft> above = open.filter(draft -> draft.cues
                .get(draft.cues.size() - 1)
                .line()
                .layout()
                .cell()
                .map(Cell::row)
                .equals(row));
        // "Outcome | LO1" below the stem, one field of it below another.
        Optional<Draft> ofFields = open.filter(draft -> columns.at(index - 1)
                .filter(name -> name.kind() == Columns.Kind.LABEL && name.name().isEmpty())
                .isPresent());
        if (above.isPresent() || ofFields.isPresent()) {
            open.orElseThrow().labels.add(label);
            owners[index] = questions.size();
        } else {
            notes.takeForNext(label);
            owners[index] = questions.size() + 1;
        }
    }

    private void partOf(Draft draft, int index, Assigned piece) {
        Cues cues = piece.cues();
        join(draft, index, piece);
        switch (piece.step().role()) {
            case OPTION -> {
                options.add(draft, index, piece);
                optionPictures.takeAbove(draft, index);
            }
            case POINTS -> {
                stems.withoutDash(draft);
                DraftPoints.take(draft, cues);
            }
            case FEEDBACK -> feedback.add(draft, index, piece);
            case PAIR -> draft.pairs.add(cues);
            case ROW -> {
                // A pinned line outside of any table can only go on with the question.
                if (blocks.at(index).equals(Optional.of(Blocks.Kind.CELL))) {
                    draft.cells.add(cues);
                } else if (cues.line().layout().cell().isPresent()) {
                    draft.rows.add(cues);
                } else {
                    stems.add(draft, cues.piece().segment());
                }
            }
            case WORDS -> {
                draft.words.add(cues);
                askedByBank(draft, cues);
            }
            case HINT -> draft.hints.add(keys.announced(cues, piece.step()));
            default -> {
                draft.keyInColumn |= columns.at(index).isPresent();
                if (blocks.at(index).equals(Optional.of(Blocks.Kind.GAP_ANSWER))) {
                    Segment answer = new Segment(
                            cues.line().number(),
                            cues.labels().get(0).end(),
                            cues.piece().segment().to());
                    draft.gapAnswers.add(GapParser.listed(source.text(answer)));
                } else if (blocks.at(index).equals(Optional.of(Blocks.Kind.STEP_PLACE))) {
                    options.place(draft, cues);
                } else if (blocks.at(index).equals(Optional.of(Blocks.Kind.PAIR_KEY))) {
                    keys.addPairs(draft, cues.piece().segment());
                } else {
                    keys.add(draft, cues, piece.step());
                }
            }
        }
    }

    /** "Fill these in: comb - drone": what the line of the words asks is a part of the question. */
    private void askedByBank(Draft draft, Cues cues) {
        String asked = WordBanks.asked(cues.text());
        if (WordBanks.isLine(cues.text())
                || asked.equals(cues.text())
                || WordBanks.behindColon(cues.text()).isEmpty()) {
            return;
        }
        int from = cues.piece().segment().from();
        int end = cues.line().text().indexOf(asked, from) + asked.length() + 1;
        stems.add(draft, new Segment(cues.line().number(), from, end));
    }
}
