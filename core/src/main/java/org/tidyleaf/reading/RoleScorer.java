package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.reading.Cues.Announces;
import org.tidyleaf.reading.Cues.Trait;
import org.tidyleaf.source.Cell;

/**
 * How well a role fits a piece in its surroundings, in points that add up along the document; a difference of three is a
 * clear case. The weights were set by hand on documents of many habits.
 */
final class RoleScorer {

    private static final double SURE = 7;
    private static final double CLEAR = 3.5;
    private static final double LEANING = 1.5;
    private static final double SLIGHT = 0.5;

    /** A line of that length without a full stop was wrapped, not ended. */
    private static final int FULL_LINE = 60;

    /** So many options may stand before the right one. */
    private static final int MOST_BELOW = 4;

    /** A document's title is among its first lines; counted from 0. */
    private static final int LAST_TITLE_PLACE = 2;

    private static final int LONGEST_TITLE = 70;

    /** More letters in a row are never missing. */
    private static final int WIDEST_GAP = 3;

    private static final int SHORT_RULE = 25;

    private final Habits habits;
    private final Lessons lessons;
    private final List<Cues> all;
    private final Set<Integer> loneHeads;
    private final Set<Integer> bareOptions;
    private final int topHead;
    private final int typeHeads;
    private final Set<Integer> directions;
    private final boolean boldStems;
    private final int firstChained;
    private final Map<Cues, Boolean> stemLabels = new IdentityHashMap<>();
    private final Map<Cues, Optional<Label>> optionLabels = new IdentityHashMap<>();

    RoleScorer(List<Cues> all, Habits habits, Lessons lessons) {
        this.all = all;
        this.habits = habits;
        this.loneHeads = LoneHeads.find(all, habits);
        this.bareOptions = BareOptions.find(all, habits);
        this.topHead = topHead(all);
        this.directions = IntStream.range(0, all.size())
                .filter(i -> HabitFinder.DIRECTIONS.matcher(all.get(i).text()).lookingAt())
                .boxed()
                .collect(Collectors.toSet());
        this.typeHeads = (int) all.stream()
                .filter(cues -> cues.is(Trait.TYPE_HEAD) && cues.labels().isEmpty())
                .count();
        long bold =
                habits.chained().stream().filter(i -> all.get(i).is(Trait.BOLD)).count();
        this.boldStems = bold * 4 > habits.chained().size();
        int numbered = habits.chained().stream().mapToInt(i -> i).min().orElse(-1);
        this.firstChained = loneHeads.stream()
                .mapToInt(i -> i)
                .filter(i -> i < numbered)
                .min()
                .orElse(numbered);
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            stemLabels.put(cues, habits.stemLabel(cues).isPresent());
            // What is a part or a head for certain offers nothing, though options elsewhere are lettered like it.
            boolean other = habits.parts().contains(i) || habits.headings().contains(i);
            optionLabels.put(cues, other ? Optional.empty() : habits.optionLabel(cues));
        }
        this.lessons = lessons;
    }

    /**
     * The fit of a step.
     *
     * @param index the piece's place, {@code before} the piece above or empty for the first
     */
    double score(int index, Cues cues, Optional<Cues> before, Step from, Step to) {
        double fit = lessons.weight(cues, to) + offBody(cues, to);
        return fit
                + switch (to.role()) {
                    case TITLE -> title(index, cues);
                    case SECTION -> section(index, cues, from);
                    case INSTRUCTION -> instruction(index, cues, before, from, to);
                    case STIMULUS -> stimulus(index, cues, before, from, to);
                    case STEM -> to.more() ? goesOn(index, cues, before, from) : stem(index, cues, from);
                    case OPTION ->
                        to.more() ? optionGoesOn(index, cues, before) : option(index, cues, before, from, to);
                    case KEY -> announced(index, cues, before, to, Announces.KEY, Announces.MODEL);
                    case FEEDBACK -> announced(index, cues, before, to, Announces.FEEDBACK);
                    case HINT -> announced(index, cues, before, to, Announces.HINT);
                    case POINTS -> cues.is(Trait.POINTS_ONLY) ? SURE : -SURE;
                    case FIGURE -> cues.is(Trait.FIGURE_ONLY) ? SURE : -2 * SURE;
                    case ASIDE -> aside(index, cues, from);
                    case PAIR, WORDS, ROW -> -SURE;
                };
    }

    /** The only heading of its level, above all others: the document's title; -1 where there is none such. */
    private static int topHead(List<Cues> all) {
        List<Integer> heads = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).is(Trait.HEADING)) {
                heads.add(i);
            }
        }
        // The only heading of all, right at the top, and no part's.
        boolean only = heads.size() == 1
                && heads.get(0) <= LAST_TITLE_PLACE
                && !all.get(heads.get(0)).is(Trait.SECTION_WORD)
                && !all.get(heads.get(0)).is(Trait.TYPE_HEAD)
                && all.get(heads.get(0)).labels().isEmpty();
        if (only) {
            return heads.get(0);
        }
        boolean alone = heads.size() > 1
                && heads.stream().skip(1).noneMatch(head -> style(all, head).compareTo(style(all, heads.get(0))) <= 0);
        return alone ? heads.get(0) : -1;
    }

    private static String style(List<Cues> all, int place) {
        return all.get(place).line().layout().style().toLowerCase(Locale.ROOT);
    }

    private boolean hasStemLabel(Cues cues) {
        return stemLabels.getOrDefault(cues, false);
    }

    private Optional<Label> optionLabel(Cues cues) {
        return optionLabels.getOrDefault(cues, Optional.empty());
    }

    private static double offBody(Cues cues, Step to) {
        return cues.is(Trait.OFF_BODY) && to.role() != Role.ASIDE ? -2 * SURE : 0;
    }

    private boolean isNextStem(int index) {
        return habits.chained().contains(index);
    }

    private double title(int index, Cues cues) {
        // A school's name may stand above the title, but hardly ever in bolder type.
        double fit = cues.line().number() == 1 ? LEANING : -SLIGHT;
        fit += cues.is(Trait.HEADING) ? CLEAR : 0;
        fit += isStyledTitle(cues) ? SURE : 0;
        fit += cues.is(Trait.BOLD) ? LEANING : 0;
        fit += cues.is(Trait.CENTERED) ? LEANING : 0;
        // What stands far behind it ("Time: 1 hour") is no part of a title.
        boolean brief =
                cues.is(Trait.SHORT) || cues.text().split("\\t|\\s{4,}", 2)[0].length() < LONGEST_TITLE;
        fit += brief ? LEANING : -LEANING;
        fit -= cues.is(Trait.ENDS_SENTENCE) ? LEANING : 0;
        fit -= cues.is(Trait.QUESTION_MARK) && !cues.is(Trait.BOLD) && !cues.is(Trait.HEADING) ? CLEAR : 0;
        fit -= cues.text().startsWith("(") || cues.is(Trait.END_WORD) && !cues.is(Trait.TEST_WORD) ? CLEAR : 0;
        fit -= cues.is(Trait.FILL_IN) || cues.is(Trait.RULE) || cues.is(Trait.FIGURE_ONLY) ? SURE : 0;
        fit -= cues.is(Trait.SECTION_WORD) ? LEANING : 0;
        fit -= cues.is(Trait.PREFACE) ? SURE : 0;
        // "Quiz" alone says what kind of paper it is, not which.
        boolean kindOnly = cues.is(Trait.TEST_WORD) && cues.words().size() == 1 && !cues.is(Trait.HEADING);
        fit += kindOnly ? -CLEAR : cues.is(Trait.TEST_WORD) ? LEANING : 0;
        fit -= cues.is(Trait.SCHOOL_WORD) && !cues.is(Trait.TEST_WORD) ? SURE : 0;
        fit -= cues.is(Trait.COLON) ? CLEAR : 0;
        fit += index == topHead ? CLEAR : 0;
        // "Total: 40 marks" says what the paper is worth.
        fit -= Vocabulary.ALL.mentions(cues.words(), "points")
                        && cues.text().matches("\\W*\\p{L}+(?:\\s\\p{L}+)?\\s*[:=]\\s*\\d+\\s*\\p{L}*\\W*")
                ? CLEAR
                : 0;
        return fit - (hasOwnLabel(cues) ? CLEAR : 0);
    }

    private static boolean isStyledTitle(Cues cues) {
        return cues.line().layout().style().equalsIgnoreCase("title");
    }

    private boolean hasOwnLabel(Cues cues) {
        return hasStemLabel(cues) || optionLabel(cues).isPresent();
    }

    private double section(int index, Cues cues, Step from) {
        double fit = -CLEAR;
        fit += cues.is(Trait.SECTION_WORD) ? SURE : 0;
        fit += cues.is(Trait.HEADING) ? SURE : 0;
        boolean told = isToldBelowHead(index, cues, from);
        fit -= told ? CLEAR : 0;
        boolean typeHead = cues.is(Trait.TYPE_HEAD) && cues.labels().isEmpty() && !told;
        fit += typeHead ? CLEAR + LEANING : 0;
        // Where one type after another has its head, the first of them has one too.
        fit += typeHead && typeHeads > 2 ? LEANING + SLIGHT : 0;
        fit += typeHeads > 1 && isOverGroup(index, cues) ? CLEAR + LEANING : 0;
        fit += cues.is(Trait.GROUP_HEAD) && !told ? SURE + CLEAR : 0;
        fit += cues.is(Trait.CAPITALS) && cues.is(Trait.SHORT) ? CLEAR : 0;
        fit += isLabelledHead(index, cues) || isDirection(index, cues)
                ? SURE + LEANING
                : habits.headings().contains(index) ? CLEAR : 0;
        fit += (cues.is(Trait.BOLD) || cues.is(Trait.UNDERLINED)) && cues.is(Trait.SHORT) ? CLEAR : 0;
        fit += cues.is(Trait.RANGE_ONLY) ? SURE : 0;
        fit += isBoldHead(index, cues) ? CLEAR : 0;
        fit += cues.spaceBefore() > 0 ? SLIGHT : 0;
        fit -= (cues.is(Trait.QUESTION_MARK) && !isLabelledHead(index, cues)) || cues.is(Trait.GAP) ? CLEAR : 0;
        fit -= cues.is(Trait.PASSAGE_HEAD) ? SURE : 0;
        fit -= loneHeads.contains(index) ? 2 * SURE : 0;
        fit -= index == topHead ? SURE : 0;
        fit -= cues.is(Trait.TEST_WORD) && from.option() == Step.BEFORE_TITLE ? CLEAR + LEANING : 0;
        // The paper's title again, over its answers.
        fit -= index > 0 && cues.text().equals(all.get(0).text()) ? SURE : 0;
        fit -= cues.is(Trait.LONG) ? CLEAR : 0;
        // A figure of a table names nothing.
        fit -= cues.labels().isEmpty() && cues.text().chars().noneMatch(Character::isLetter) ? CLEAR : 0;
        fit -= cues.is(Trait.RULE) || cues.is(Trait.FILL_IN) || cues.is(Trait.END_WORD) ? CLEAR : 0;
        fit -= cues.lead().isPresent() || cues.sign().isPresent() ? CLEAR : 0;
        fit -= cues.is(Trait.FIGURE_ONLY) || cues.is(Trait.STARTS_LOWER) ? SURE : 0;
        // What stands on the first line, right over the head of a part, heads them all.
        boolean overHead = index == 0
                && all.size() > 1
                && (all.get(1).is(Trait.TYPE_HEAD) || all.get(1).is(Trait.SECTION_WORD));
        fit -= overHead ? CLEAR + LEANING : 0;
        // What the whole paper is about may be a type of question as well.
        fit -= index == 0 && typeHeads < 2 && cues.is(Trait.TYPE_HEAD) ? CLEAR + LEANING : 0;
        fit -= from.option() == Step.BEFORE_TITLE ? cues.is(Trait.SCHOOL_WORD) ? CLEAR + LEANING : LEANING : 0;
        fit -= from.option() == 0 || from.option() == 1 ? LEANING : 0;
        fit -= optionLabel(cues).isPresent() ? CLEAR : 0;
        return fit - (isNextStem(index) ? SURE : 0);
    }

    /** "Circle T or F.", "More than one answer is right." right below a head and above a number tells what to do there. */
    private boolean isToldBelowHead(int index, Cues cues, Step from) {
        return from.role() == Role.SECTION
                && cues.is(Trait.ENDS_SENTENCE)
                && cues.labels().isEmpty()
                && (cues.is(Trait.INSTRUCTION_WORD)
                        || cues.is(Trait.GROUP_HEAD)
                        || cues.is(Trait.TYPE_HEAD)
                        || cues.is(Trait.SHORT)
                                && cues.lead().isEmpty()
                                && (index > LAST_TITLE_PLACE + 1 || isNamedHead(index - 1))
                                && isNextStem(index + 1));
    }

    /** What heads a part by its own words, and is no second line of the title. */
    private boolean isNamedHead(int index) {
        return all.get(index).is(Trait.SECTION_WORD)
                || all.get(index).is(Trait.TYPE_HEAD)
                || habits.headings().contains(index);
    }

    private double instruction(int index, Cues cues, Optional<Cues> before, Step from, Step to) {
        double fit = -CLEAR;
        fit += cues.is(Trait.INSTRUCTION_WORD) || isToldBelowHead(index, cues, from) ? CLEAR : 0;
        fit += cues.is(Trait.POINTS_EACH) ? CLEAR : 0;
        fit += cues.is(Trait.LEGEND) ? SURE : 0;
        fit += cues.is(Trait.ITALIC) ? LEANING + SLIGHT : 0;
        fit += from.role() == Role.SECTION ? LEANING + SLIGHT : 0;
        fit += before.filter(b -> b.is(Trait.RANGE_ONLY)).isPresent() ? CLEAR : 0;
        boolean forAll = !from.inQuestion() && cues.is(Trait.INSTRUCTION_WORD) && cues.is(Trait.ENDS_SENTENCE);
        fit += forAll ? SLIGHT + SLIGHT : 0;
        fit += to.more() ? LEANING + flow(cues, before) : 0;
        fit -= from.inQuestion() ? CLEAR : 0;
        boolean asks = cues.is(Trait.QUESTION_MARK) && !isToldBelowHead(index, cues, from);
        fit -= asks || cues.is(Trait.GAP) ? LEANING : 0;
        fit -= cues.is(Trait.RULE) || cues.is(Trait.FIGURE_ONLY) ? SURE : 0;
        fit -= cues.sign().isPresent() || isLabelledHead(index, cues) ? CLEAR : 0;
        fit -= loneHeads.contains(index) ? SURE : 0;
        return fit - (isNextStem(index) || optionLabel(cues).isPresent() ? SURE : 0);
    }

    /** A line in bold right above a number, or above what is to be done there, between lines that are not, heads what follows. */
    private boolean isBoldHead(int index, Cues cues) {
        return !boldStems
                && cues.is(Trait.BOLD)
                && cues.labels().isEmpty()
                && (isNextStem(index + 1) || isOverGroup(index, cues))
                && index > 0
                && !all.get(index - 1).is(Trait.BOLD);
    }

    /** Behind a gap a line without a full stop, and below it a number, the text for some, or a sentence of what to do and a number. */
    private boolean isOverGroup(int index, Cues cues) {
        // Below the line for a name nothing belongs to the title.
        boolean belowTitle =
                index > LAST_TITLE_PLACE || index > 0 && all.get(index - 1).is(Trait.FILL_IN);
        boolean apart = belowTitle
                && index + 2 < all.size()
                && cues.spaceBefore() > 0
                && cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && !cues.is(Trait.ENDS_SENTENCE)
                && cues.is(Trait.SHORT);
        if (!apart) {
            return false;
        }
        Cues below = all.get(index + 1);
        boolean told = below.labels().isEmpty()
                && !below.is(Trait.BOLD)
                && below.is(Trait.ENDS_SENTENCE)
                && below.spaceBefore() == 0
                && isNextStem(index + 2);
        return told || isNextStem(index + 1) || below.is(Trait.RANGE) && below.is(Trait.PASSAGE_WORD);
    }

    /** "II. Multiple choice", "B. Words" in a series of such heads. */
    private boolean isLabelledHead(int index, Cues cues) {
        return habits.headings().contains(index)
                && optionLabel(cues).isEmpty()
                && (ListHeads.isDashed(cues.text())
                        || cues.labels().stream()
                                .anyMatch(label -> label.kind() == Label.Kind.ROMAN
                                        || label.kind() == Label.Kind.LETTER
                                        || label.shape().equals(LabelFinder.DECIMAL_SHAPE)
                                        || label.kind() == Label.Kind.NUMBER
                                                && (!hasStemLabel(cues) || !isNextStem(index))));
    }

    private boolean isDirection(int index, Cues cues) {
        return habits.headings().contains(index)
                && HabitFinder.DIRECTIONS.matcher(cues.text()).lookingAt();
    }

    private double stimulus(int index, Cues cues, Optional<Cues> before, Step from, Step to) {
        double fit = -CLEAR;
        boolean announced = cues.is(Trait.PASSAGE_WORD) || cues.is(Trait.RANGE);
        fit -= from.inQuestion() && !announced ? CLEAR : 0;
        fit += cues.is(Trait.RANGE) && cues.is(Trait.PASSAGE_WORD) && !cues.is(Trait.SECTION_WORD) ? SURE : 0;
        fit += cues.is(Trait.PASSAGE_HEAD) ? SURE + CLEAR : 0;
        fit += cues.is(Trait.CLOZE) && cues.labels().isEmpty() ? SURE : 0;
        fit += cues.is(Trait.PASSAGE_WORD) ? SLIGHT : 0;
        fit += cues.is(Trait.LONG) ? LEANING : 0;
        // Prose above the first number that tells nobody what to do is what the questions are about.
        boolean tale = index < firstChained
                && cues.is(Trait.LONG)
                && cues.is(Trait.ENDS_SENTENCE)
                && !cues.is(Trait.INSTRUCTION_WORD);
        fit += tale ? CLEAR : 0;
        // "Read the text." and below it a long line: there it is.
        boolean asked = !to.more()
                && !from.inQuestion()
                && from.role() != Role.TITLE
                && before.filter(b -> b.is(Trait.PASSAGE_WORD)).isPresent();
        fit += asked && cues.text().length() > FULL_LINE && !announced ? CLEAR + LEANING : 0;
        boolean framed =
                cues.line().layout().cell().filter(cell -> cell.columns() == 1).isPresent()
                        && cues.text().length() > FULL_LINE
                        && cues.is(Trait.ENDS_SENTENCE);
        fit += framed && !from.inQuestion() && !to.more() ? CLEAR + LEANING : 0;
        fit += to.more() ? CLEAR + flow(cues, before) : 0;
        fit += to.more() && (cues.is(Trait.TABULAR) || cues.is(Trait.SPACED)) ? LEANING : 0;
        boolean prose = cues.is(Trait.ENDS_SENTENCE) && !cues.is(Trait.POINTS_EACH) && !cues.is(Trait.INSTRUCTION_WORD);
        fit += to.more() && prose ? LEANING : 0;
        fit -= cues.is(Trait.RULE) || cues.is(Trait.SHORT) && cues.is(Trait.QUESTIONS_ONLY) ? SURE : 0;
        fit -= cues.is(Trait.FIGURE_ONLY) && !to.more() ? LEANING : 0;
        fit += cues.is(Trait.FIGURE_ONLY) && to.more() ? SURE : 0;
        fit -= cues.is(Trait.RANGE_ONLY) ? SURE + CLEAR : 0;
        // "Instructions: … for questions 1-4" tells what to do and is nothing to read.
        fit -= directions.contains(index) ? CLEAR : 0;
        fit -= cues.lead().isPresent() || cues.sign().isPresent() ? CLEAR : 0;
        // "A  When a worker …", "B  If the flowers …": lettered paragraphs above the first number are a passage.
        boolean option = optionLabel(cues).isPresent()
                && !(isAboveAll(index) && cues.text().length() > FULL_LINE);
        return fit - (isNextStem(index) || option ? SURE : 0);
    }

    /** Where questions are numbered, nothing above the first number is an option of one. */
    private boolean isAboveAll(int index) {
        return habits.numbersStems() && index < firstChained;
    }

    private double stem(int index, Cues cues, Step from) {
        double fit = 0;
        if (isNextStem(index) || loneHeads.contains(index)) {
            fit += SURE;
        } else if (habits.numbersStems()) {
            fit -= habits.listed().contains(index) ? SURE : hasStemLabel(cues) ? SLIGHT : CLEAR + SLIGHT;
        } else {
            fit += cues.spaceBefore() > 0 ? LEANING : -CLEAR;
            fit += cues.is(Trait.GAP) ? LEANING : 0;
        }
        fit += cues.is(Trait.QUESTION_MARK) || cues.is(Trait.COLON) ? LEANING : 0;
        // Where questions are numbered, what stands above the first number is a preamble.
        fit -= index < firstChained && !cues.is(Trait.QUESTION_MARK) ? SURE : 0;
        fit += cues.margin().isPresent() ? CLEAR : 0;
        fit -= notStem(cues);
        fit -= optionLabel(cues).isPresent() && !isNextStem(index) ? SURE : 0;
        fit -= from.option() == 1 ? LEANING : 0;
        fit -= from.option() == 0 && !habits.numbersStems() ? LEANING + SLIGHT : 0;
        fit -= from.option() == Step.BEFORE_TITLE && !isNextStem(index) ? LEANING : 0;
        return fit + (from.option() >= 2 ? SLIGHT : 0);
    }

    private static double notStem(Cues cues) {
        double against = cues.lead().isPresent() ? CLEAR : 0;
        against += cues.is(Trait.FILL_IN) ? CLEAR : 0;
        against += cues.is(Trait.RULE) || cues.is(Trait.WRITING_LINE) || cues.is(Trait.FIGURE_ONLY) ? SURE : 0;
        against += cues.is(Trait.JUDGEMENT_WORD)
                        || cues.is(Trait.POINTS_ONLY)
                        || cues.sign().isPresent()
                ? CLEAR
                : 0;
        against += cues.is(Trait.END_WORD) && cues.labels().isEmpty() ? CLEAR : 0;
        return against + (cues.is(Trait.STARTS_LOWER) && cues.labels().isEmpty() ? CLEAR : 0);
    }

    /** A stem's next line: it goes on in the middle of a sentence, or what stood above was only the number. */
    /** "Question 3", "Type: choice", "Points: 2", and only then what is asked. */
    private boolean isBelowBareNumber(int index) {
        int above = index - 1;
        while (above > 0
                && !isOnlyNumber(all.get(above))
                && (all.get(above).announces(Announces.LABEL) || all.get(above).is(Trait.POINTS_ONLY))) {
            above--;
        }
        return above >= 0 && isOnlyNumber(all.get(above));
    }

    private boolean isTopLine(Cues cues) {
        return all.stream()
                .limit(LAST_TITLE_PLACE + 1L)
                .anyMatch(top -> top.text().equals(cues.text()));
    }

    private double goesOn(int index, Cues cues, Optional<Cues> before, Step from) {
        double fit = -SLIGHT;
        boolean open = before.filter(b -> !b.is(Trait.ENDS_SENTENCE)).isPresent();
        boolean onlyNumber = isBelowBareNumber(index);
        fit += onlyNumber ? CLEAR : 0;
        fit += flow(cues, before) + (cues.is(Trait.TABULAR) ? LEANING : 0);
        fit += habits.lettersOptions() && cues.labels().isEmpty() ? SLIGHT : -SLIGHT;
        fit += habits.listed().contains(index) ? CLEAR : 0;
        fit += cues.is(Trait.CODE) && from.option() == 0 ? CLEAR : 0;
        // The paper's title again, over its answers.
        fit -= index > LAST_TITLE_PLACE && isTopLine(cues) ? SURE : 0;
        fit -= cues.spaceBefore() > 0 ? LEANING : 0;
        // What stands right above the first letter is what is asked.
        boolean aboveFirst = from.option() == 0
                && index + 1 < all.size()
                && optionLabel(all.get(index + 1))
                        .filter(next -> next.ordinal() == 1)
                        .isPresent();
        fit += aboveFirst && cues.is(Trait.QUESTION_MARK) ? CLEAR : 0;
        fit += cues.is(Trait.QUESTION_MARK) && !open ? SLIGHT : 0;
        fit -= cues.lead().isPresent() || cues.sign().isPresent() ? CLEAR : 0;
        boolean pair = from.role() == Role.STEM
                && before.filter(b -> StemTrimmer.isPairOver(b.text(), cues.text()))
                        .isPresent();
        fit += pair ? SURE : cues.is(Trait.JUDGEMENT_WORD) || cues.is(Trait.POINTS_ONLY) ? -CLEAR : 0;
        boolean ruled = cues.is(Trait.RULE) || cues.is(Trait.WRITING_LINE);
        fit += isWrappedGap(cues, before) ? CLEAR + CLEAR : ruled ? -SURE : 0;
        fit -= cues.is(Trait.FIGURE_ONLY) ? SURE : 0;
        fit -= cues.is(Trait.SECTION_WORD) || cues.is(Trait.HEADING) ? CLEAR : 0;
        fit -= from.role() != Role.STEM ? SLIGHT : 0;
        fit -= before.filter(b -> b.is(Trait.END_WORD) && b.labels().isEmpty()).isPresent() ? CLEAR : 0;
        // A stem does not go on below its key.
        boolean answered = from.role() == Role.KEY || from.role() == Role.FEEDBACK || from.role() == Role.HINT;
        fit -= answered ? CLEAR : 0;
        // "I." is no option where A to H have not been.
        boolean option = optionLabel(cues)
                .filter(label -> label.ordinal() - from.option() <= WIDEST_GAP)
                .isPresent();
        return fit - (isNextStem(index) || option || bareOptions.contains(index) ? SURE : 0);
    }

    /** "… and reaches the halt at" breaks before its gap. */
    private static boolean isWrappedGap(Cues cues, Optional<Cues> before) {
        return cues.is(Trait.WRITING_LINE)
                && cues.text().length() < SHORT_RULE
                && before.filter(b -> !b.is(Trait.ENDS_SENTENCE) && b.text().length() > FULL_LINE)
                        .filter(b -> PointsFinder.beside(b.text()).isEmpty())
                        .isPresent();
    }

    /** How well a line goes on in the middle of the sentence above, whatever that is. */
    private static double flow(Cues cues, Optional<Cues> before) {
        boolean open = before.filter(b -> !b.is(Trait.ENDS_SENTENCE) && b.text().length() > 3)
                .isPresent();
        if (!open || cues.spaceBefore() > 0) {
            return 0;
        }
        // The last of several options on a line that is full goes on below it.
        boolean full = before.filter(b -> b.text().length() > FULL_LINE
                        || !b.piece().first() && b.line().text().length() > FULL_LINE)
                .isPresent();
        return startsWithinSentence(cues) ? CLEAR : full && cues.labels().isEmpty() ? LEANING : 0;
    }

    private static boolean startsWithinSentence(Cues cues) {
        boolean digit = !cues.text().isEmpty() && Character.isDigit(cues.text().charAt(0));
        return cues.is(Trait.STARTS_LOWER) && cues.labels().isEmpty()
                || digit && cues.text().contains(" ");
    }

    /** What it costs to end the document there: where no question is numbered, a last line without options is none. */
    double endScore(Step last) {
        return last.option() == 0 && !habits.numbersStems() ? -CLEAR : 0;
    }

    private boolean isOnlyNumber(Cues cues) {
        return habits.stemLabel(cues)
                .map(label -> HabitFinder.textBehind(cues, label, habits).strip())
                .filter(text -> text.isEmpty() || PointsFinder.isPointsOnly(text))
                .isPresent();
    }

    private double option(int index, Cues cues, Optional<Cues> before, Step from, Step to) {
        if (isAboveAll(index)) {
            return -SURE;
        }
        Optional<Label> label = optionLabel(cues);
        boolean ticked = isTicked(cues);
        double fit;
        if (label.isPresent()) {
            int step = label.get().ordinal() - from.option();
            fit = step == 1 ? SURE : step > 1 && step <= WIDEST_GAP ? LEANING : -CLEAR;
        } else if (ticked) {
            fit = CLEAR;
        } else {
            fit = bareOption(index, cues, before, from);
            // Boxes and bullets begin with the first option, not with the second.
            boolean boxesBelow = index + 1 < all.size() && isTicked(all.get(index + 1));
            fit -= from.option() == 0 && boxesBelow && cues.sign().isEmpty() ? CLEAR + LEANING : 0;
        }
        fit += cues.sign().isPresent() ? CLEAR : 0;
        fit -= cues.is(Trait.HEADING) ? SURE : 0;
        fit -= cues.is(Trait.END_WORD) && label.isEmpty() ? SURE : 0;
        fit -= cues.lead().isPresent() && label.isEmpty() ? CLEAR : 0;
        return fit - (cues.is(Trait.RULE) || cues.is(Trait.WRITING_LINE) ? SURE : 0);
    }

    private static boolean isTicked(Cues cues) {
        return cues.labels().stream().anyMatch(l -> l.kind() == Label.Kind.BULLET || l.kind() == Label.Kind.BOX);
    }

    /** The last of several boxes on one line: what stands below without a box is the rest of it. */
    private static boolean isTickedBehind(Cues cues) {
        return isTicked(cues) && !cues.piece().first();
    }

    /** Deeper than the question's first line and as deep as the line below. */
    private boolean isIndentedAsBelow(int index) {
        int here = all.get(index).line().layout().indent();
        int stem = index;
        while (stem > 0 && !isNextStem(stem)) {
            stem--;
        }
        return here > all.get(stem).line().layout().indent()
                && index + 1 < all.size()
                && all.get(index + 1).line().layout().indent() == here;
    }

    /** Whether soon below, in the same question, a line without a letter is marked as right. */
    private boolean isSignedBelow(int index) {
        int end = Math.min(all.size(), index + 1 + MOST_BELOW);
        for (int i = index + 1; i < end && !isNextStem(i) && all.get(i).labels().isEmpty(); i++) {
            if (isSignedBare(all.get(i))) {
                return true;
            }
        }
        return false;
    }

    /** An option without letter or bullet: a line of its own right below its question or the option above. */
    private double bareOption(int index, Cues cues, Optional<Cues> before, Step from) {
        // A sign beside a line without a letter says that this question's options have none.
        boolean unlettered =
                isSignedBare(cues) || before.filter(RoleScorer::isSignedBare).isPresent() || isSignedBelow(index);
        if (bareOptions.contains(index)) {
            return SURE;
        }
        double fit = habits.lettersOptions() && !unlettered ? -CLEAR : SLIGHT;
        fit += isSignedBelow(index) && before.isPresent() && isIndentedAsBelow(index) ? LEANING + SLIGHT : 0;
        fit += cues.is(Trait.JUDGEMENT_WORD) ? CLEAR : 0;
        fit -= cues.spaceBefore() > 0 ? CLEAR : 0;
        fit -= before.filter(RoleScorer::isTickedBehind).isPresent() ? CLEAR : 0;
        fit -= cues.is(Trait.QUESTION_MARK) ? LEANING : 0;
        fit -= cues.is(Trait.LONG) || cues.is(Trait.SECTION_WORD) || cues.is(Trait.END_WORD) ? CLEAR : 0;
        fit -= cues.is(Trait.FIGURE_ONLY) || cues.is(Trait.FILL_IN) || cues.is(Trait.POINTS_ONLY) ? SURE : 0;
        boolean startsAlike = from.option() == 0
                || before.filter(b -> b.is(Trait.STARTS_LOWER) == cues.is(Trait.STARTS_LOWER))
                        .isPresent();
        fit += startsAlike ? SLIGHT : 0;
        // What stands right below a lone number is what is asked.
        fit -= from.option() == 0 && before.filter(this::isOnlyNumber).isPresent() ? SURE : 0;
        fit -= cues.is(Trait.GAP) ? CLEAR : 0;
        boolean stemOpen = from.option() == 0
                && before.filter(b -> b.is(Trait.ENDS_SENTENCE)).isEmpty();
        fit -= stemOpen && cues.is(Trait.STARTS_LOWER) && cues.is(Trait.QUESTION_MARK) ? CLEAR : 0;
        return fit - (hasStemLabel(cues) ? SURE : 0);
    }

    private static boolean isSignedBare(Cues cues) {
        return cues.sign().isPresent() && cues.labels().isEmpty() && cues.lead().isEmpty();
    }

    private double optionGoesOn(int index, Cues cues, Optional<Cues> before) {
        boolean labelled = habits.lettersOptions()
                || before.filter(RoleScorer::isTickedBehind).isPresent();
        double fit = labelled ? flow(cues, before) : -CLEAR;
        fit += isBehindBareLetter(cues, before) ? SURE : 0;
        fit -= cues.spaceBefore() > 0 ? CLEAR : 0;
        fit -= cues.lead().isPresent() ? CLEAR : 0;
        fit -= cues.is(Trait.BOLD) && before.filter(b -> b.is(Trait.BOLD)).isEmpty() ? LEANING : 0;
        // A sign stands behind the whole option.
        fit -= before.flatMap(Cues::sign).isPresent() || cues.sign().isPresent() ? CLEAR : 0;
        fit -= cues.is(Trait.SECTION_WORD) || cues.is(Trait.HEADING) || cues.is(Trait.CAPITALS) ? CLEAR : 0;
        fit -= cues.is(Trait.RULE) || cues.is(Trait.FIGURE_ONLY) || cues.is(Trait.POINTS_ONLY) ? SURE : 0;
        return fit - (isNextStem(index) || optionLabel(cues).isPresent() ? SURE : 0);
    }

    /** "A)" in a cell of its own, and in the next one what it letters. */
    private boolean isBehindBareLetter(Cues cues, Optional<Cues> before) {
        Optional<Cell> cell = cues.line().layout().cell();
        return before.flatMap(this::optionLabel)
                .filter(label -> label.end() >= before.get().piece().segment().to())
                .flatMap(label -> before.get().line().layout().cell())
                .filter(left -> cell.filter(right -> right.table() == left.table()
                                && right.row() == left.row()
                                && right.column() == left.column() + 1)
                        .isPresent())
                .isPresent();
    }

    private double announced(int index, Cues cues, Optional<Cues> before, Step to, Announces... kinds) {
        if (to.more()) {
            double fit =
                    flow(cues, before) - (cues.spaceBefore() > 0 || cues.lead().isPresent() ? CLEAR : 0);
            return fit - (isNextStem(index) || optionLabel(cues).isPresent() ? SURE : SLIGHT);
        }
        if (to.role() == Role.KEY && cues.is(Trait.LONE_JUDGEMENT) && to.option() == 0) {
            return SURE;
        }
        for (Announces kind : kinds) {
            if (cues.announces(kind)) {
                return to.inQuestion() ? SURE : -LEANING;
            }
        }
        return -SURE;
    }

    private double aside(int index, Cues cues, Step from) {
        boolean furniture = cues.is(Trait.WRITING_LINE) || cues.is(Trait.RULE) || cues.is(Trait.OFF_BODY);
        double fit = furniture ? 0 : from.inQuestion() ? -LEANING : SLIGHT;
        fit += cues.is(Trait.FILL_IN) && !hasStemLabel(cues) ? SURE : 0;
        fit += cues.is(Trait.RULE) || cues.is(Trait.WRITING_LINE) ? SURE : 0;
        fit += cues.is(Trait.OFF_BODY) ? 2 * SURE : 0;
        boolean ends = cues.is(Trait.END_WORD) && from.option() != Step.BEFORE_TITLE;
        fit += ends && cues.labels().isEmpty() ? CLEAR : 0;
        fit += cues.announces(Announces.LABEL) || cues.is(Trait.OPTIONS_ONLY) ? SURE : 0;
        fit += cues.spaceBefore() > 0 && from.inQuestion() ? SLIGHT : 0;
        fit -= cues.is(Trait.FIGURE_ONLY) ? LEANING : 0;
        // Nothing stands between a passage and its questions but more of it.
        fit -= from.role() == Role.STIMULUS && !furniture ? LEANING : 0;
        return fit - (isNextStem(index) || optionLabel(cues).isPresent() ? CLEAR : 0);
    }
}
