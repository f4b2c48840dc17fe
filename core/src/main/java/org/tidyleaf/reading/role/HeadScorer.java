package org.tidyleaf.reading.role;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.cue.ListHeads;
import org.tidyleaf.reading.cue.WordsInCapitals;
import org.tidyleaf.reading.habit.HabitFinder;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Step;
import org.tidyleaf.reading.wording.Vocabulary;

/** How well a piece heads what follows: as the document's title, as a section's heading, as what is to be done there. */
final class HeadScorer {

    private static final double SURE = RoleScorer.SURE;
    private static final double CLEAR = RoleScorer.CLEAR;
    private static final double LEANING = RoleScorer.LEANING;
    private static final double SLIGHT = RoleScorer.SLIGHT;

    private static final int LONGEST_TITLE = 70;

    private static final Pattern NAME_WITH_POINTS =
            Pattern.compile("\\p{Lu}[\\p{L}-]*(?:\\s[\\p{L}-]+){0,3}\\s*[(\\[][^()\\[\\]]+[)\\]]");

    /** "Course: Keeping Bees": whose paper it is. */
    private static final Pattern SUBJECT =
            Vocabulary.pattern("\\W*" + Vocabulary.ALL.either("subject") + "\\s*:\\s*\\S.*");

    /** "MASS", "TIME" right above numbers, too short to head anything elsewhere. */
    private static final Pattern SHORT_CAPITALS = Pattern.compile("\\p{Lu}{3,12}:?");

    private static final Pattern PARTICULAR = Pattern.compile("\\p{L}[\\p{L} ]{1,20}:\\s+\\S.*");

    private static final Pattern NAMED_SECTION = Vocabulary.pattern(Vocabulary.ALL.either("section") + "\\s+(?:"
            + Vocabulary.ALL.either("numbers") + "|[A-Z]|\\d{1,2}|[IVX]{1,5})\\s*[.:)]\\s");

    private static final Pattern DIRECTIONS_FOR = Vocabulary.pattern(
            Vocabulary.ALL.either("directions") + "\\s*\\([^()\\d]{0,14}\\d{1,3}\\s?[-\u2013]\\s?\\d{1,3}\\)");

    private static final Pattern NAMED_RANGE = Vocabulary.pattern(Vocabulary.ALL.either("question")
            + "s?\\.?\\s+\\d{1,3}\\s?(?:[-\u2013]|" + Vocabulary.ALL.either("to") + ")\\s?\\d{1,3}");

    /** "Find words that mean the same as: (3)". */
    private static final Pattern SENTENCE_WITH_POINTS =
            Pattern.compile("[^.!?]{12,160}[.:!?]\\s{0,3}[(\\[]\\d{1,2}(?:\\s?\\p{L}{1,8}\\.?)?[)\\]]");

    /** In words. */
    private static final int FEWEST_OF_TASK = 4;

    private final List<Cues> all;
    private final Habits habits;
    private final Surroundings around;
    private final int firstOfBody;
    private final int topHead;
    private final int typeHeads;
    private final Set<Integer> directions;
    private final Set<Integer> directionsForAll;
    private final boolean boldStems;
    private final Set<Integer> rangesWithin;
    private final Set<Integer> series;

    HeadScorer(List<Cues> all, Habits habits, Surroundings around) {
        this.all = all;
        this.habits = habits;
        this.around = around;
        this.firstOfBody =
                (int) all.stream().takeWhile(cues -> cues.is(Trait.OFF_BODY)).count();
        this.topHead = topHead(all);
        this.directions = IntStream.range(0, all.size())
                .filter(i -> Directions.HEAD.matcher(all.get(i).text()).lookingAt())
                .boxed()
                .collect(Collectors.toSet());
        this.directionsForAll = directionsForAll();
        this.rangesWithin = RangesWithin.find(all);
        this.series = SeriesHeads.find(all);
        this.typeHeads = (int) all.stream()
                .filter(cues -> cues.is(Trait.TYPE_HEAD) && cues.labels().isEmpty())
                .count();
        long bold =
                habits.chained().stream().filter(i -> all.get(i).is(Trait.BOLD)).count();
        this.boldStems = bold * 4 > habits.chained().size();
    }

    /** "Instructions: … for questions 1-4" tells what to do and is nothing to read. */
    boolean isDirections(int index) {
        return directions.contains(index);
    }

    /** "Directions (Q. 1–3): Choose the word nearest in meaning." is to be shown with each of these. */
    boolean isDirectionsForRange(int index) {
        return isDirections(index)
                && DIRECTIONS_FOR.matcher(all.get(index).text()).lookingAt();
    }

    /** "Directions: For questions 1-4 …; for questions 5-8 …" tells it all beforehand and goes with none of them. */
    boolean isDirectionsForAll(int index) {
        return directionsForAll.contains(index);
    }

    /** "Questions 4–6: True or false?" below the passage for 1 to 9. */
    boolean isRangeWithin(int index) {
        return rangesWithin.contains(index);
    }

    private Set<Integer> directionsForAll() {
        Set<Integer> found = new HashSet<>();
        for (int first : directions) {
            int end = first;
            int ranges = 0;
            while (end < all.size() && (end == first || isRestOfParagraph(end))) {
                ranges +=
                        (int) NAMED_RANGE.matcher(all.get(end).text()).results().count();
                end++;
            }
            IntStream.range(first, ranges > 1 ? end : first).forEach(found::add);
        }
        return found;
    }

    private boolean isRestOfParagraph(int index) {
        Cues cues = all.get(index);
        return cues.spaceBefore() == 0 && cues.labels().isEmpty() && !cues.is(Trait.HEADING);
    }

    double title(int index) {
        Cues cues = all.get(index);
        // A school's name may stand above the title, but hardly ever in bolder type.
        double fit = index == firstOfBody ? LEANING : -SLIGHT;
        fit += cues.is(Trait.HEADING) ? CLEAR : 0;
        fit += isStyledTitle(cues) ? SURE : 0;
        fit += cues.is(Trait.BOLD) ? LEANING : 0;
        fit += cues.is(Trait.CENTERED) ? LEANING : 0;
        // Capitals would head a part as well.
        fit += cues.is(Trait.CENTERED) && cues.is(Trait.CAPITALS) && cues.is(Trait.TEST_WORD) ? LEANING + SLIGHT : 0;
        // What stands far behind it ("Time: 1 hour") is no part of a title.
        boolean brief =
                cues.is(Trait.SHORT) || cues.text().split("\\t|\\s{4,}", 2)[0].length() < LONGEST_TITLE;
        fit += brief ? LEANING : -LEANING;
        fit -= cues.is(Trait.ENDS_SENTENCE) ? LEANING : 0;
        fit -= cues.text().indexOf('/') >= 0 && PointsFinder.isScore(cues.text()) ? SURE : 0;
        fit -= cues.is(Trait.QUESTION_MARK) && !cues.is(Trait.BOLD) && !cues.is(Trait.HEADING) ? CLEAR : 0;
        fit -= cues.text().startsWith("(") || cues.is(Trait.END_WORD) && !cues.is(Trait.TEST_WORD) ? CLEAR : 0;
        fit -= cues.is(Trait.FILL_IN) || cues.is(Trait.RULE) || cues.is(Trait.FIGURE_ONLY) ? SURE : 0;
        fit -= cues.is(Trait.SECTION_WORD) ? LEANING : 0;
        fit -= cues.is(Trait.PREFACE) ? SURE : 0;
        // "Answer all questions." tells what to do and names nothing.
        fit -= cues.is(Trait.INSTRUCTION_WORD) && cues.is(Trait.ENDS_SENTENCE) && !cues.is(Trait.TEST_WORD) ? CLEAR : 0;
        fit -= cues.text().indexOf(':') > 0 && SUBJECT.matcher(cues.text()).matches() ? SURE : 0;
        // "Quiz" alone says what kind of paper it is, not which.
        boolean kindOnly = cues.is(Trait.TEST_WORD) && cues.words().size() == 1 && !cues.is(Trait.HEADING);
        fit += kindOnly ? -CLEAR : cues.is(Trait.TEST_WORD) ? LEANING : 0;
        fit -= cues.is(Trait.SCHOOL_WORD) && !cues.is(Trait.TEST_WORD) ? SURE : 0;
        // "Write T or F." says how to answer.
        fit -= cues.is(Trait.ENDS_SENTENCE) && JudgedBy.in(cues.text()).isPresent() ? CLEAR : 0;
        fit -= cues.is(Trait.COLON) ? CLEAR : 0;
        fit += index == topHead ? CLEAR : 0;
        fit -= isParticular(cues) ? LEANING : 0;
        fit -= series.contains(index) ? SURE + SURE : 0;
        // "Total: 40 marks" says what the paper is worth.
        fit -= Vocabulary.ALL.mentions(cues.words(), "points")
                        && cues.text().matches("\\W*\\p{L}+(?:\\s\\p{L}+)?\\s*[:=]\\s*\\d+\\s*\\p{L}*\\W*")
                ? CLEAR
                : 0;
        return fit - (hasOwnLabel(index) ? CLEAR : 0);
    }

    /** "Duration: 45 minutes" beside other cells. */
    private static boolean isParticular(Cues cues) {
        return cues.text().indexOf(':') > 0
                && cues.line()
                        .layout()
                        .cell()
                        .filter(cell -> cell.columns() > 1)
                        .isPresent()
                && !cues.is(Trait.BOLD)
                && PARTICULAR.matcher(cues.text()).matches();
    }

    private static boolean isStyledTitle(Cues cues) {
        return cues.line().layout().style().equalsIgnoreCase("title");
    }

    private boolean hasOwnLabel(int index) {
        return around.hasStemLabel(index) || around.optionLabel(index).isPresent();
    }

    double section(int index, Step from) {
        Cues cues = all.get(index);
        double fit = -CLEAR;
        fit += cues.is(Trait.SECTION_WORD) ? SURE : 0;
        fit += cues.is(Trait.HEADING) || cues.is(Trait.PART_NAME) ? SURE : 0;
        // A subtitle goes with the title above it.
        fit -= cues.line().layout().style().equalsIgnoreCase("subtitle") ? 2 * SURE : 0;
        boolean told = isToldBelowHead(index, from);
        fit -= told ? CLEAR : 0;
        // "I. Gapped text" in bold, though no second part ever follows.
        boolean own =
                cues.labels().isEmpty() || cues.is(Trait.BOLD) && !hasOwnLabel(index) && around.isNextStem(index + 1);
        boolean typeHead = cues.is(Trait.TYPE_HEAD) && own && !told && !isOverCloze(index);
        // "Calculate the mean.   [4]" with what it is worth far behind is asked, and heads nothing.
        typeHead = typeHead && !isTaskWithPoints(cues);
        fit += typeHead ? CLEAR + LEANING : 0;
        // Where one type after another has its head, the first of them has one too.
        fit += typeHead && typeHeads > 2 ? LEANING + SLIGHT : 0;
        fit += typeHeads > 1 && isOverGroup(index) ? CLEAR + LEANING : 0;
        fit += isNameWithPoints(cues) ? CLEAR + LEANING : 0;
        fit += cues.is(Trait.GROUP_HEAD) && !told ? SURE + CLEAR : 0;
        fit += cues.is(Trait.CAPITALS) && cues.is(Trait.SHORT) ? CLEAR : 0;
        boolean word = cues.piece().first()
                && SHORT_CAPITALS.matcher(cues.text()).matches()
                && !WordsInCapitals.isOne(all, index);
        fit += word && isOverGroup(index) ? CLEAR + CLEAR : 0;
        fit += isLabelledHead(index) || isDirection(index)
                ? SURE + LEANING
                : habits.headings().contains(index) ? CLEAR : 0;
        fit += (cues.is(Trait.BOLD) || cues.is(Trait.UNDERLINED)) && cues.is(Trait.SHORT) ? CLEAR : 0;
        fit += cues.is(Trait.RANGE_ONLY) ? SURE : 0;
        fit += isRangeWithin(index) ? 2 * SURE : 0;
        fit += isBoldHead(index) ? CLEAR : 0;
        fit += cues.spaceBefore() > 0 ? SLIGHT : 0;
        fit -= (cues.is(Trait.QUESTION_MARK) && !isLabelledHead(index)) || cues.is(Trait.GAP) ? CLEAR : 0;
        fit -= cues.is(Trait.PASSAGE_HEAD) || cues.is(Trait.OR_LINE) || cues.is(Trait.CAPTION) ? 2 * SURE : 0;
        fit -= WordsInCapitals.isOne(all, index) ? SURE : 0;
        fit -= around.loneHeads().contains(index) || around.isStemWithoutNumber(index) ? 2 * SURE : 0;
        fit -= index == topHead ? SURE : 0;
        fit += series.contains(index) ? SURE : 0;
        fit -= cues.is(Trait.TEST_WORD) && from.option() == Step.BEFORE_TITLE ? CLEAR + LEANING : 0;
        // The paper's title again, over its answers.
        fit -= around.isTopLine(index)
                        || index > 0 && cues.text().equals(all.get(0).text())
                ? SURE
                : 0;
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
        fit -= around.optionLabel(index).isPresent() ? CLEAR : 0;
        return fit - (around.isNextStem(index) ? SURE : 0);
    }

    private static boolean isTaskWithPoints(Cues cues) {
        Optional<PointsFinder.Found> points = PointsFinder.beside(cues.text());
        boolean sentence = points.map(
                        found -> cues.text().substring(0, found.from()).strip())
                .filter(text -> cues.text().indexOf('\t') > 0 || text.matches("(?s).*[.?!]"))
                .filter(text -> text.split("\\s+").length >= FEWEST_OF_TASK)
                .isPresent();
        return sentence && cues.labels().isEmpty() && !cues.is(Trait.BOLD);
    }

    /** "Choose the right word for each gap." right above the text with the gaps belongs to that. */
    private boolean isOverCloze(int index) {
        return all.get(index).is(Trait.ENDS_SENTENCE)
                && index + 1 < all.size()
                && all.get(index + 1).is(Trait.CLOZE);
    }

    /** "Essay (2 points each)": a name, and in brackets what each of its questions is worth. */
    private static boolean isNameWithPoints(Cues cues) {
        return cues.is(Trait.POINTS_EACH)
                && !cues.is(Trait.INSTRUCTION_WORD)
                && cues.labels().isEmpty()
                && NAME_WITH_POINTS.matcher(cues.text()).matches();
    }

    /** "Circle T or F.", "More than one answer is right." right below a head and above a number tells what to do there. */
    private boolean isToldBelowHead(int index, Step from) {
        Cues cues = all.get(index);
        boolean below = from.role() == Role.SECTION
                || from.role() == Role.INSTRUCTION
                        && cues.is(Trait.INSTRUCTION_WORD)
                        && (cues.is(Trait.TYPE_HEAD) || cues.is(Trait.GROUP_HEAD));
        return below
                && (cues.is(Trait.ENDS_SENTENCE)
                        || SENTENCE_WITH_POINTS.matcher(cues.text()).matches())
                && cues.labels().isEmpty()
                && (cues.is(Trait.INSTRUCTION_WORD)
                        || cues.is(Trait.GROUP_HEAD)
                        || cues.is(Trait.TYPE_HEAD)
                        || cues.is(Trait.SHORT)
                                && cues.lead().isEmpty()
                                && (index > Surroundings.LAST_TITLE_PLACE + 1 || isNamedHead(index - 1))
                                && around.isNextQuestion(index + 1));
    }

    /** What heads a part by its own words, and is no second line of the title. */
    private boolean isNamedHead(int index) {
        return all.get(index).is(Trait.SECTION_WORD)
                || all.get(index).is(Trait.TYPE_HEAD)
                || habits.headings().contains(index);
    }

    double instruction(int index, Step from, Step to) {
        Cues cues = all.get(index);
        Optional<Cues> before = around.above(index);
        double fit = -CLEAR;
        fit += cues.is(Trait.INSTRUCTION_WORD) || isToldBelowHead(index, from) ? CLEAR : 0;
        fit += cues.is(Trait.POINTS_EACH) ? CLEAR : 0;
        fit += cues.is(Trait.LEGEND) || cues.is(Trait.RULES) ? SURE : 0;
        fit += around.isToldBetween(index) ? CLEAR : 0;
        fit += cues.is(Trait.ITALIC) ? LEANING + SLIGHT : 0;
        fit += from.role() == Role.SECTION ? LEANING + SLIGHT : 0;
        fit += before.filter(b -> b.is(Trait.RANGE_ONLY)).isPresent() ? CLEAR : 0;
        boolean forAll = !from.inQuestion() && cues.is(Trait.INSTRUCTION_WORD) && cues.is(Trait.ENDS_SENTENCE);
        fit += forAll ? SLIGHT + SLIGHT : 0;
        fit += to.more() ? LEANING + around.flow(index) : 0;
        // Right above a text with gaps it need not wait for a new part.
        fit -= from.inQuestion() && !isOverCloze(index) && !around.isToldBetween(index) ? CLEAR : 0;
        boolean asks = cues.is(Trait.QUESTION_MARK) && !isToldBelowHead(index, from);
        fit -= asks || cues.is(Trait.GAP) ? LEANING : 0;
        fit -= cues.is(Trait.RULE) || cues.is(Trait.FIGURE_ONLY) ? SURE : 0;
        fit -= cues.sign().isPresent() || isLabelledHead(index) ? CLEAR : 0;
        // "SECTION ONE. Each question carries 2 marks." heads what it tells something of.
        fit -= cues.is(Trait.SECTION_WORD) && NAMED_SECTION.matcher(cues.text()).lookingAt() ? CLEAR : 0;
        fit -= around.loneHeads().contains(index) || around.isStemWithoutNumber(index) ? SURE : 0;
        return fit - (around.isNextStem(index) || around.optionLabel(index).isPresent() ? SURE : 0);
    }

    /** A line in bold right above a number, or above what is to be done there, between lines that are not, heads what follows. */
    private boolean isBoldHead(int index) {
        Cues cues = all.get(index);
        return !boldStems
                && cues.is(Trait.BOLD)
                && cues.labels().isEmpty()
                && (around.isNextStem(index + 1) || isOverGroup(index))
                && index > 0
                && !all.get(index - 1).is(Trait.BOLD);
    }

    /** Behind a gap a line without a full stop, and below it a number, the text for some, or a sentence of what to do and a number. */
    private boolean isOverGroup(int index) {
        Cues cues = all.get(index);
        // Below the line for a name nothing belongs to the title.
        boolean belowTitle = index > Surroundings.LAST_TITLE_PLACE
                || index > 0 && all.get(index - 1).is(Trait.FILL_IN);
        boolean apart = belowTitle
                && index + 2 < all.size()
                && (cues.spaceBefore() > 0
                        || cues.is(Trait.BOLD) && !all.get(index - 1).is(Trait.BOLD))
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
                && around.isNextStem(index + 2);
        return told || around.isNextStem(index + 1) || below.is(Trait.RANGE) && below.is(Trait.PASSAGE_WORD);
    }

    /** "II. Multiple choice", "B. Words", "Task B  Tick …" in a series of such heads. */
    private boolean isLabelledHead(int index) {
        Cues cues = all.get(index);
        return habits.headings().contains(index)
                && around.optionLabel(index).isEmpty()
                && (ListHeads.isDashed(cues.text())
                        || HabitFinder.isNamedApart(cues.text())
                        || cues.labels().stream()
                                .anyMatch(label -> label.kind() == Label.Kind.ROMAN
                                        || label.kind() == Label.Kind.LETTER
                                        || label.shape().equals(LabelFinder.DECIMAL_SHAPE)
                                        || label.kind() == Label.Kind.NUMBER
                                                && (!around.hasStemLabel(index) || !around.isNextStem(index))));
    }

    private boolean isDirection(int index) {
        Cues cues = all.get(index);
        return habits.headings().contains(index)
                && Directions.HEAD.matcher(cues.text()).lookingAt();
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
                && linesAbove(all, heads.get(0)) <= Surroundings.LAST_TITLE_PLACE
                && (!all.get(heads.get(0)).is(Trait.SECTION_WORD)
                        || all.get(heads.get(0)).is(Trait.TEST_WORD)
                        || heads.get(0) == 0 && all.stream().skip(1).noneMatch(cues -> cues.is(Trait.SECTION_WORD)))
                && !all.get(heads.get(0)).is(Trait.TYPE_HEAD)
                && all.get(heads.get(0)).labels().isEmpty();
        if (only) {
            return heads.get(0);
        }
        boolean alone = heads.size() > 1
                && heads.stream().skip(1).noneMatch(head -> style(all, head).compareTo(style(all, heads.get(0))) <= 0);
        return alone ? heads.get(0) : -1;
    }

    /** The cells of a form for name and mark stand beside one another, and are few lines. */
    private static int linesAbove(List<Cues> all, int head) {
        return (int) all.subList(0, head).stream()
                .filter(cues -> !cues.is(Trait.FILL_IN))
                .filter(cues -> cues.line()
                        .layout()
                        .cell()
                        .filter(cell -> cell.columns() > 1)
                        .isEmpty())
                .count();
    }

    private static String style(List<Cues> all, int place) {
        return all.get(place).line().layout().style().toLowerCase(Locale.ROOT);
    }
}
