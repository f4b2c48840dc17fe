package org.tidyleaf.reading.role;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.cue.RoomBelowPictures;
import org.tidyleaf.reading.cue.TraitFinder;
import org.tidyleaf.reading.line.FullLines;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Announces;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Step;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * How well a role fits a piece in its surroundings, in points that add up along the document; a difference of three is a
 * clear case. The weights were set by hand on documents of many habits.
 */
final class RoleScorer {

    static final double SURE = 7;
    static final double CLEAR = 3.5;
    static final double LEANING = 1.5;
    static final double SLIGHT = 0.5;

    /** More letters in a row are never missing. */
    static final int WIDEST_GAP = 3;

    private final Habits habits;
    private final Lessons lessons;
    private static final Pattern RESULT = Pattern.compile("\\p{L}[^=]{0,40}=\\s*[_.\u2026]{3,}[^=]{0,20}");

    private final List<Cues> all;
    private final Surroundings around;
    private final HeadScorer heads;
    private final OptionScorer options;

    RoleScorer(List<Cues> all, Habits habits, Columns columns, Lessons lessons) {
        this.all = all;
        this.habits = habits;
        this.lessons = lessons;
        this.around = new Surroundings(all, habits, columns);
        this.heads = new HeadScorer(all, habits, around);
        this.options = new OptionScorer(all, habits, around);
    }

    /**
     * The fit of a step.
     *
     * @param index the piece's place
     * @param from the step of the piece above
     */
    double score(int index, Step from, Step to) {
        Cues cues = all.get(index);
        Optional<Cues> before = around.above(index);
        double fit = lessons.weight(cues, to) + offBody(cues, to);
        return fit
                + switch (to.role()) {
                    case TITLE -> heads.title(index);
                    case SECTION -> heads.section(index, from);
                    case INSTRUCTION -> heads.instruction(index, from, to);
                    case STIMULUS -> stimulus(index, from, to);
                    case STEM -> to.more() ? goesOn(index, from) : stem(index, from);
                    case OPTION -> to.more() ? options.goesOn(index) : options.option(index, from, to);
                    case KEY -> announced(index, to, Announces.KEY, Announces.MODEL);
                    case FEEDBACK -> announced(index, to, Announces.FEEDBACK);
                    case HINT -> announced(index, to, Announces.HINT);
                    case POINTS -> cues.is(Trait.POINTS_ONLY) ? SURE : -SURE;
                    case FIGURE -> cues.is(Trait.FIGURE_ONLY) ? SURE : -2 * SURE;
                    case ASIDE -> aside(index, from);
                    case PAIR, WORDS, ROW -> -SURE;
                };
    }

    private static double offBody(Cues cues, Step to) {
        return cues.is(Trait.OFF_BODY) && to.role() != Role.ASIDE ? -2 * SURE : 0;
    }

    private double stimulus(int index, Step from, Step to) {
        Cues cues = all.get(index);
        Optional<Cues> before = around.above(index);
        double fit = -CLEAR;
        boolean announced = cues.is(Trait.PASSAGE_WORD) || cues.is(Trait.RANGE);
        fit -= from.inQuestion() && !announced ? CLEAR : 0;
        fit += cues.is(Trait.RANGE) && cues.is(Trait.PASSAGE_WORD) && !cues.is(Trait.SECTION_WORD) ? SURE : 0;
        fit += cues.is(Trait.PASSAGE_HEAD) ? SURE + CLEAR : 0;
        fit += cues.is(Trait.CLOZE) && cues.labels().isEmpty() ? SURE : 0;
        fit += cues.is(Trait.PASSAGE_WORD) ? SLIGHT : 0;
        fit += cues.is(Trait.LONG) ? LEANING : 0;
        // Prose above the first number that tells nobody what to do is what the questions are about.
        boolean tale = index < around.firstChained()
                && (cues.is(Trait.LONG) && cues.is(Trait.ENDS_SENTENCE) && !cues.is(Trait.INSTRUCTION_WORD)
                        || around.isTale(index));
        // What is long has had its due already.
        fit += tale ? CLEAR + (cues.is(Trait.LONG) ? 0 : LEANING) : 0;
        // "Read the text." and below it a long line: there it is.
        boolean asked = !to.more()
                && !from.inQuestion()
                && from.role() != Role.TITLE
                && before.filter(b -> b.is(Trait.PASSAGE_WORD)).isPresent();
        fit += asked && cues.text().length() > FullLines.LEAST && !announced ? CLEAR + LEANING : 0;
        fit += from.role() == Role.SECTION && announcedTable(cues, before) ? CLEAR + LEANING : 0;
        fit += isTaleOverLetters(index, from) || isTaleOverNumbers(index, from) ? CLEAR + CLEAR : 0;
        boolean framed =
                cues.line().layout().cell().filter(cell -> cell.columns() == 1).isPresent()
                        && cues.text().length() > FullLines.LEAST
                        && cues.is(Trait.ENDS_SENTENCE);
        boolean announcedAbove = before.filter(b -> b.is(Trait.PASSAGE_WORD)).isPresent();
        fit += framed && !from.inQuestion() && (!to.more() || announcedAbove) ? CLEAR + LEANING : 0;
        fit += to.more() ? CLEAR + around.flow(index) : 0;
        fit += to.more() && (cues.is(Trait.TABULAR) || cues.is(Trait.SPACED)) ? LEANING : 0;
        boolean prose = cues.is(Trait.ENDS_SENTENCE) && !cues.is(Trait.POINTS_EACH) && !cues.is(Trait.INSTRUCTION_WORD);
        fit += to.more() && prose ? LEANING : 0;
        fit += to.more() && from.role() == Role.STIMULUS && around.isWithinTable(index) ? CLEAR - SLIGHT : 0;
        fit -= cues.is(Trait.RULE) || cues.is(Trait.SHORT) && cues.is(Trait.QUESTIONS_ONLY) ? SURE : 0;
        fit -= cues.is(Trait.FIGURE_ONLY) && !to.more() ? LEANING : 0;
        fit += cues.is(Trait.FIGURE_ONLY) && to.more() ? SURE : 0;
        fit -= cues.is(Trait.RANGE_ONLY) ? SURE + CLEAR : 0;
        // What stands right below a lone number is what is asked.
        fit -= !to.more() && index > 0 && around.isOnlyNumber(index - 1) && !cues.is(Trait.PASSAGE_HEAD) ? CLEAR : 0;
        fit -= heads.isRangeWithin(index) ? 2 * SURE : 0;
        // "Instructions: … for questions 1-4" tells what to do and is nothing to read.
        fit -= heads.isDirectionsForAll(index) || cues.is(Trait.RULES) ? 2 * SURE : 0;
        fit += heads.isDirectionsForRange(index) ? SURE + CLEAR : heads.isDirections(index) ? -CLEAR : 0;
        fit -= cues.lead().isPresent() || cues.sign().isPresent() ? CLEAR : 0;
        // "A  When a worker …", "B  If the flowers …": lettered paragraphs above the first number are a passage.
        boolean option = around.optionLabel(index).isPresent()
                && !(around.isAboveAll(index) && cues.text().length() > FullLines.LEAST);
        return fit - (around.isNextStem(index) || option ? SURE : 0);
    }

    /** "3. Look at the table and answer." over one. */
    private static boolean announcedTable(Cues cues, Optional<Cues> before) {
        return before.filter(b -> b.is(Trait.PASSAGE_WORD)).isPresent()
                && cues.is(Trait.TABULAR)
                && cues.labels().isEmpty()
                && cues.line().layout().cell().filter(cell -> cell.row() == 0).isPresent();
    }

    /** Right below the head of a part and right above its lettered questions a text that tells nobody what to do. */
    private boolean isTaleOverLetters(int index, Step from) {
        Cues cues = all.get(index);
        return from.role() == Role.SECTION
                && habits.lettered().contains(index + 1)
                && cues.labels().isEmpty()
                && cues.is(Trait.ENDS_SENTENCE)
                && !cues.is(Trait.INSTRUCTION_WORD)
                && cues.text().length() > FullLines.LEAST;
    }

    /** "Text 2: The salt road" over a text, and right below that the number 1 anew, or 2.1. */
    private boolean isTaleOverNumbers(int index, Step from) {
        boolean named = from.role() == Role.SECTION
                && around.above(index)
                        .filter(head -> !head.is(Trait.PASSAGE_WORD) && !head.is(Trait.INSTRUCTION_WORD))
                        .isPresent();
        return named
                && around.isTale(index)
                && index + 1 < all.size()
                && all.get(index + 1).labels().stream()
                        .filter(label -> label.kind() == Label.Kind.NUMBER
                                || label.shape().equals(LabelFinder.DECIMAL_SHAPE))
                        .anyMatch(label -> label.ordinal() == 1)
                && habits.chained().contains(index + 1);
    }

    private double stem(int index, Step from) {
        Cues cues = all.get(index);
        double fit = 0;
        if (around.isNextStem(index) || around.loneHeads().contains(index)) {
            fit += SURE;
        } else if (habits.numbersStems()) {
            fit -= habits.listed().contains(index) ? SURE : around.hasStemLabel(index) ? SLIGHT : CLEAR + SLIGHT;
        } else {
            fit += around.isStemWithoutNumber(index) ? SURE : cues.spaceBefore() > 0 ? LEANING : -CLEAR;
            fit += cues.is(Trait.GAP) ? LEANING : 0;
            fit += around.isUnnumberedTask(index) ? SURE : 0;
            fit -= around.isAboveWordsForGaps(index) ? CLEAR : 0;
        }
        fit += cues.is(Trait.QUESTION_MARK) || cues.is(Trait.COLON) ? LEANING : 0;
        // Right below a head a number begins a question, whichever it is.
        fit += from.role() == Role.SECTION && around.hasStemLabel(index) && !around.isNextStem(index) ? LEANING : 0;
        // Where questions are numbered, what stands above the first number is a preamble.
        fit -= index < around.firstChained() && !cues.is(Trait.QUESTION_MARK) ? SURE : 0;
        fit += cues.margin().isPresent() ? CLEAR : 0;
        fit -= notStem(cues);
        fit -= around.optionLabel(index).isPresent() && !around.isNextStem(index) ? SURE : 0;
        fit -= from.option() == 1 ? LEANING : 0;
        fit -= from.option() == 0 && !habits.numbersStems() ? LEANING + SLIGHT : 0;
        fit -= from.option() == Step.BEFORE_TITLE && !around.isNextStem(index) ? LEANING : 0;
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

    private double goesOn(int index, Step from) {
        Cues cues = all.get(index);
        Optional<Cues> before = around.above(index);
        double fit = -SLIGHT;
        boolean open = before.filter(b -> !b.is(Trait.ENDS_SENTENCE)).isPresent();
        boolean onlyNumber = around.isBelowBareNumber(index);
        fit += onlyNumber ? CLEAR : 0;
        fit += around.flow(index) + (cues.is(Trait.TABULAR) ? LEANING : 0);
        fit += habits.lettersOptions() && cues.labels().isEmpty() ? SLIGHT : -SLIGHT;
        fit += habits.listed().contains(index) ? CLEAR : 0;
        fit += cues.is(Trait.CODE) && from.option() == 0 ? CLEAR : 0;
        // The paper's title again, over its answers.
        fit -= around.isTopLine(index) ? SURE : 0;
        fit -= cues.spaceBefore() > 0 ? LEANING : 0;
        // What stands right above the first letter is what is asked.
        boolean aboveFirst = from.option() == 0
                && index + 1 < all.size()
                && around.optionLabel(index + 1)
                        .filter(next -> next.ordinal() == 1)
                        .isPresent();
        fit += aboveFirst && cues.is(Trait.QUESTION_MARK) ? CLEAR : 0;
        fit += cues.is(Trait.QUESTION_MARK) && !open ? SLIGHT : 0;
        // "They take the honey in July." and below it "The honey ______ in July."
        boolean gapBelow = from.role() == Role.STEM
                && from.option() == 0
                && cues.is(Trait.GAP)
                && cues.is(Trait.ENDS_SENTENCE)
                && cues.labels().isEmpty()
                && around.isNextStem(index - 1);
        fit += gapBelow ? LEANING : 0;
        fit += isTextToFill(index, from) ? SURE : 0;
        // "The diagram shows a scale.", the diagram, and only then what is asked.
        boolean belowFigure = from.role() == Role.FIGURE
                && from.option() == 0
                && cues.labels().isEmpty()
                && cues.text().indexOf('?') > 0;
        fit += belowFigure ? CLEAR + LEANING : 0;
        fit -= cues.lead().isPresent() || cues.sign().isPresent() ? CLEAR : 0;
        fit += from.role() == Role.STEM && around.isPointsOver(index) ? SURE : 0;
        boolean pair = from.role() == Role.STEM && around.isPairOver(index);
        // Below options it would begin others.
        boolean instead = from.option() == 0
                && (cues.is(Trait.OR_LINE)
                        || before.filter(b -> b.is(Trait.OR_LINE)).isPresent() && from.role() == Role.STEM);
        fit += instead ? SURE + CLEAR : 0;
        fit += pair ? SURE : cues.is(Trait.JUDGEMENT_WORD) || cues.is(Trait.POINTS_ONLY) ? -CLEAR : 0;
        boolean ruled = cues.is(Trait.RULE) || cues.is(Trait.WRITING_LINE);
        // "Thickness = ______ mm" below the room to work it out.
        fit += from.option() == 0
                        && cues.is(Trait.GAP)
                        && (RESULT.matcher(cues.text()).matches() || RoomBelowPictures.isRoom(cues))
                ? CLEAR + LEANING
                : 0;
        fit += around.isWrappedGap(index) ? CLEAR + CLEAR : ruled ? -SURE : 0;
        fit -= cues.is(Trait.FIGURE_ONLY) ? SURE : 0;
        fit -= cues.is(Trait.SECTION_WORD) || cues.is(Trait.HEADING) ? CLEAR : 0;
        fit -= from.role() != Role.STEM ? SLIGHT : 0;
        fit -= before.filter(b -> b.is(Trait.END_WORD) && b.labels().isEmpty()).isPresent() ? CLEAR : 0;
        fit += from.role() == Role.STEM && from.option() == 0 && around.isWithinTable(index) ? CLEAR : 0;
        fit += around.isPassageBelow(index) && from.option() == 0 ? SURE + CLEAR : 0;
        // A stem does not go on below its key.
        boolean answered = from.role() == Role.KEY || from.role() == Role.FEEDBACK || from.role() == Role.HINT;
        fit -= answered ? CLEAR : 0;
        // "I." is no option where A to H have not been.
        boolean option = around.optionLabel(index)
                .filter(label -> label.ordinal() - from.option() <= WIDEST_GAP)
                .isPresent();
        return fit - (around.isNextStem(index) || option || around.bareOptions().contains(index) ? SURE : 0);
    }

    /** "3. Fill in the gaps." and below it, as paragraphs of their own, a text with gaps. */
    private boolean isTextToFill(int index, Step from) {
        Cues cues = all.get(index);
        if (from.role() != Role.STEM
                || from.option() != 0
                || !cues.is(Trait.GAP)
                || !cues.labels().isEmpty()) {
            return false;
        }
        int stem = index - 1;
        while (stem > 0 && all.get(stem).labels().isEmpty() && all.get(stem).is(Trait.GAP)) {
            stem--;
        }
        return around.isNextStem(stem) && Vocabulary.ALL.mentions(all.get(stem).words(), "fill_gaps");
    }

    private double announced(int index, Step to, Announces... kinds) {
        Cues cues = all.get(index);
        Optional<Cues> before = around.above(index);
        if (to.more()) {
            double fit =
                    around.flow(index) - (cues.spaceBefore() > 0 || cues.lead().isPresent() ? CLEAR : 0);
            // An answer has no room left to write in.
            fit -= cues.is(Trait.GAP) ? CLEAR : 0;
            return fit - (around.isNextStem(index) || around.optionLabel(index).isPresent() ? SURE : SLIGHT);
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

    private double aside(int index, Step from) {
        Cues cues = all.get(index);
        boolean furniture = cues.is(Trait.WRITING_LINE) || cues.is(Trait.RULE) || cues.is(Trait.OFF_BODY);
        double fit = furniture ? 0 : from.inQuestion() ? -LEANING : SLIGHT;
        fit += cues.is(Trait.FILL_IN) && !around.hasStemLabel(index) ? SURE : 0;
        fit += cues.is(Trait.RULE) || cues.is(Trait.WRITING_LINE) ? SURE : 0;
        fit += cues.is(Trait.OFF_BODY) || cues.is(Trait.ONE_WILL_DO) ? 2 * SURE : 0;
        boolean ends = cues.is(Trait.END_WORD) && from.option() != Step.BEFORE_TITLE;
        fit += ends && cues.labels().isEmpty() ? CLEAR : 0;
        boolean below =
                around.above(index).filter(above -> above.is(Trait.FIGURE_ONLY)).isPresent();
        fit += below && (cues.is(Trait.CAPTION) || isTitledCaption(cues)) ? CLEAR : 0;
        fit += cues.announces(Announces.LABEL) || cues.is(Trait.OPTIONS_ONLY) ? SURE : 0;
        fit += cues.spaceBefore() > 0 && from.inQuestion() ? SLIGHT : 0;
        fit -= cues.is(Trait.FIGURE_ONLY) ? LEANING : 0;
        // Nothing stands between a passage and its questions but more of it.
        fit -= from.role() == Role.STIMULUS && !furniture ? LEANING : 0;
        return fit - (around.isNextStem(index) || around.optionLabel(index).isPresent() ? CLEAR : 0);
    }

    private static boolean isTitledCaption(Cues cues) {
        return !cues.is(Trait.INSTRUCTION_WORD)
                && TraitFinder.TITLED_CAPTION.matcher(cues.text()).matches();
    }

    /** What it costs to end the document there: where no question is numbered, a last line without options is none. */
    double endScore(Step last) {
        return last.option() == 0 && !habits.numbersStems() ? -CLEAR : 0;
    }
}
