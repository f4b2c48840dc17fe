package org.tidyleaf.reading.role;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.cue.OrLines;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Step;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Cell;

/** How well a piece offers an answer, with a letter, a box or nothing before it, or goes on with one. */
final class OptionScorer {

    private static final double SURE = RoleScorer.SURE;
    private static final double CLEAR = RoleScorer.CLEAR;
    private static final double LEANING = RoleScorer.LEANING;
    private static final double SLIGHT = RoleScorer.SLIGHT;

    /** So many options may stand before the right one. */
    private static final int MOST_BELOW = 4;

    /** "Given: 5 m", "Find: each part": what is known and what is wanted. */
    private static final Pattern NAMED = Pattern.compile("\\p{L}[\\p{L} ]{1,14}:\\s");

    private static final Pattern TASK = Vocabulary.pattern(Vocabulary.ALL.either("explain", "number") + "\\b");

    private final List<Cues> all;
    private final Habits habits;
    private final Surroundings around;

    OptionScorer(List<Cues> all, Habits habits, Surroundings around) {
        this.all = all;
        this.habits = habits;
        this.around = around;
    }

    double option(int index, Step from, Step to) {
        Cues cues = all.get(index);
        Optional<Cues> before = around.above(index);
        if (around.isAboveAll(index)) {
            return -SURE;
        }
        Optional<Label> label = around.optionLabel(index);
        boolean ticked = isTicked(cues);
        double fit;
        if (label.isPresent()) {
            int step = label.get().ordinal() - from.option();
            fit = step == 1 ? SURE : step > 1 && step <= RoleScorer.WIDEST_GAP ? LEANING : -CLEAR;
        } else if (ticked) {
            fit = CLEAR;
        } else {
            fit = bareOption(index, from);
            // Boxes and bullets begin with the first option, not with the second.
            boolean boxesBelow = index + 1 < all.size() && isTicked(all.get(index + 1));
            fit -= from.option() == 0 && boxesBelow && cues.sign().isEmpty() ? CLEAR + LEANING : 0;
        }
        fit += cues.sign().isPresent() ? CLEAR : 0;
        fit -= habits.listed().contains(index) && cues.has(Label.Kind.BULLET) ? SURE : 0;
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
        while (stem > 0 && !around.isNextStem(stem)) {
            stem--;
        }
        return here > all.get(stem).line().layout().indent()
                && index + 1 < all.size()
                && all.get(index + 1).line().layout().indent() == here;
    }

    /** Whether soon below, in the same question, a line without a letter is marked as right. */
    private boolean isSignedBelow(int index) {
        int end = Math.min(all.size(), index + 1 + MOST_BELOW);
        for (int i = index + 1;
                i < end && !around.isNextStem(i) && all.get(i).labels().isEmpty();
                i++) {
            if (isSignedBare(all.get(i))) {
                return true;
            }
        }
        return false;
    }

    /** An option without letter or bullet: a line of its own right below its question or the option above. */
    private double bareOption(int index, Step from) {
        Cues cues = all.get(index);
        Optional<Cues> before = around.above(index);
        // A sign beside a line without a letter says that this question's options have none.
        boolean unlettered =
                isSignedBare(cues) || before.filter(OptionScorer::isSignedBare).isPresent() || isSignedBelow(index);
        if (around.bareOptions().contains(index)) {
            return SURE;
        }
        double fit = habits.lettersOptions() && !unlettered ? -CLEAR : SLIGHT;
        fit += isSignedBelow(index) && before.isPresent() && isIndentedAsBelow(index) ? LEANING + SLIGHT : 0;
        fit += cues.is(Trait.JUDGEMENT_WORD) ? CLEAR : 0;
        // "True" over "False".
        boolean both = index + 1 < all.size() && all.get(index + 1).is(Trait.JUDGEMENT_WORD)
                || before.filter(b -> b.is(Trait.JUDGEMENT_WORD)).isPresent();
        fit += cues.is(Trait.JUDGEMENT_WORD) && both ? CLEAR : 0;
        fit -= around.isPairOver(index) && from.option() == 0 ? SURE : 0;
        // "Round to the nearest per cent. (2 marks)" is worth something and offers nothing.
        fit -= cues.text().endsWith(")") && PointsFinder.beside(cues.text()).isPresent() ? CLEAR : 0;
        fit -= before.filter(b -> OrLines.isSecondHalf(b, cues)).isPresent() ? SURE : 0;
        fit -= cues.spaceBefore() > 0 ? CLEAR : 0;
        fit -= before.filter(OptionScorer::isTickedBehind).isPresent() ? CLEAR : 0;
        fit -= cues.is(Trait.QUESTION_MARK) ? LEANING : cues.is(Trait.COLON) ? CLEAR : 0;
        fit -= cues.is(Trait.LONG) || cues.is(Trait.SECTION_WORD) || cues.is(Trait.END_WORD) ? CLEAR : 0;
        fit -= cues.is(Trait.FIGURE_ONLY) || cues.is(Trait.FILL_IN) || cues.is(Trait.POINTS_ONLY) ? SURE : 0;
        boolean startsAlike = from.option() == 0
                || before.filter(b -> b.is(Trait.STARTS_LOWER) == cues.is(Trait.STARTS_LOWER))
                        .isPresent();
        fit += startsAlike ? SLIGHT : 0;
        // One alone offers nothing to choose.
        boolean last = index + 1 == all.size()
                || around.isNextStem(index + 1)
                || all.get(index + 1).is(Trait.END_WORD)
                || all.get(index + 1).lead().isPresent();
        boolean alone = from.option() == 0 && last;
        fit -= alone && cues.is(Trait.ENDS_SENTENCE) ? CLEAR : 0;
        // What stands right below a lone number is what is asked.
        fit -= from.option() == 0 && index > 0 && around.isOnlyNumber(index - 1) ? SURE : 0;
        fit -= cues.is(Trait.GAP) || cues.is(Trait.CAPTION) ? SURE : 0;
        fit -= from.option() == 0 && cues.is(Trait.ENDS_SENTENCE) && asks(cues) ? CLEAR : 0;
        fit -= NAMED.matcher(cues.text()).lookingAt() ? CLEAR : 0;
        // Behind a row of a table with questions stands no option of the last.
        boolean behindTable = from.role() == Role.KEY
                && cues.line().layout().cell().isEmpty()
                && before.filter(b -> b.line().layout().cell().isPresent()).isPresent();
        fit -= behindTable ? SURE : 0;
        // "How can it be done? Name two ways.": a question and what is to be said of it.
        fit -= cues.text().indexOf('?') > 0 && cues.is(Trait.ENDS_SENTENCE) ? CLEAR : 0;
        boolean stemOpen = from.option() == 0
                && before.filter(b -> b.is(Trait.ENDS_SENTENCE)).isEmpty();
        fit -= stemOpen && cues.is(Trait.STARTS_LOWER) && cues.is(Trait.QUESTION_MARK) ? CLEAR : 0;
        return fit - (around.hasStemLabel(index) ? SURE : 0);
    }

    /** "Calculate the thickness of one sheet.": it tells what to do and offers nothing. */
    private static boolean asks(Cues cues) {
        return Vocabulary.ALL.mentions(cues.words(), "explain", "number")
                && TASK.matcher(cues.text()).lookingAt();
    }

    private static boolean isSignedBare(Cues cues) {
        return cues.sign().isPresent() && cues.labels().isEmpty() && cues.lead().isEmpty();
    }

    double goesOn(int index) {
        Cues cues = all.get(index);
        Optional<Cues> before = around.above(index);
        boolean labelled = habits.lettersOptions()
                || before.filter(OptionScorer::isTickedBehind).isPresent();
        double fit = labelled ? around.flow(index) : -CLEAR;
        fit += isBehindBareLetter(index) ? SURE : 0;
        fit -= cues.spaceBefore() > 0 ? CLEAR : 0;
        fit -= cues.lead().isPresent() || around.isToldBetween(index) ? CLEAR : 0;
        fit -= cues.is(Trait.BOLD) && before.filter(b -> b.is(Trait.BOLD)).isEmpty() ? LEANING : 0;
        // A sign stands behind the whole option.
        fit -= before.flatMap(Cues::sign).isPresent() || cues.sign().isPresent() ? CLEAR : 0;
        fit -= cues.is(Trait.SECTION_WORD) || cues.is(Trait.HEADING) || cues.is(Trait.CAPITALS) ? CLEAR : 0;
        fit -= cues.is(Trait.RULE) || cues.is(Trait.FIGURE_ONLY) || cues.is(Trait.POINTS_ONLY) ? SURE : 0;
        return fit - (around.isNextStem(index) || around.optionLabel(index).isPresent() ? SURE : 0);
    }

    /** "A)" in a cell of its own, and in the next one what it letters. */
    private boolean isBehindBareLetter(int index) {
        Cues cues = all.get(index);
        Optional<Cues> before = around.above(index);
        Optional<Cell> cell = cues.line().layout().cell();
        return before.flatMap(b -> around.optionLabel(index - 1))
                .filter(label -> label.end() >= before.get().piece().segment().to())
                .flatMap(label -> before.get().line().layout().cell())
                .filter(left -> cell.filter(right -> right.table() == left.table()
                                && right.row() == left.row()
                                && right.column() == left.column() + 1)
                        .isPresent())
                .isPresent();
    }
}
