package org.tidyleaf.reading.role;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.habit.HabitFinder;
import org.tidyleaf.reading.line.FullLines;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.PrintedPairs;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Announces;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.UnitSymbols;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Cell;

/**
 * What pieces are to their neighbours, whatever role they play: which carry a question's number or an option's letter, and how
 * well each goes on from the piece above. Worked out once, for roles are weighed many times at each piece.
 */
final class Surroundings {

    /** A document's title is among its first lines; counted from 0. */
    static final int LAST_TITLE_PLACE = 2;

    private static final int SHORT_RULE = 25;

    /** "Quiz" alone begins many titles. */
    private static final int SHORT_TOP = 6;

    private static final Pattern TASK_WITH_ROOM = Pattern.compile(
            ".*\\p{L}{2}[^_]*[.?:!](?:\\s*[A-H]?\\s*[_.\u2026]{4,}+)+\\s*\\p{L}{0,8}\\s*(?:[(\\[]\\d{1,2}[)\\]])?");

    private static final Pattern OF_TESTS = Vocabulary.pattern(
            "\\b(?:" + Vocabulary.ALL.either("test_word") + "|\\d\\s?" + Vocabulary.ALL.either("points") + ")\\b");

    private static final Pattern ADDRESSED =
            Vocabulary.pattern("\\b" + Vocabulary.ALL.either("notice", "instruction", "option") + "\\b");

    private static final Pattern AMOUNT = Pattern.compile("\\d{1,4}[.,]\\d{1,3}\\s(\\S{1,4}?)\\.?(?=\\s|$)");

    private static final Pattern SENTENCE_END = Pattern.compile("\\p{Ll}[.!]\\s");

    /** A line of nothing but dots would keep the pattern busy for minutes. */
    private static final int LONGEST_TASK = 200;

    private static final int FEWEST_TASKS = 3;

    private final List<Cues> all;
    private final Habits habits;
    private final Set<Integer> loneHeads;
    private final Set<Integer> bareOptions;
    private final Set<Integer> unnumberedTasks;
    private final Set<Integer> stemsWithoutNumber;
    private final Set<Integer> passagesBelow;
    private final Set<Integer> withinTables = new HashSet<>();
    private final int firstChained;
    private final boolean[] stemLabel;
    private final List<Optional<Label>> optionLabels = new ArrayList<>();
    private final Columns columns;
    private final boolean[] chained;
    private final boolean[] onlyNumber;
    private final double[] flow;
    private final boolean[] wrappedGap;
    private static final int FEWEST_OF_SENTENCE = 6;

    private final boolean[] belowBareNumber;
    private final boolean[] topLine;
    private final boolean[] pairOver;
    private final boolean[] pointsOver;

    Surroundings(List<Cues> all, Habits habits, Columns columns) {
        this.all = all;
        this.habits = habits;
        this.columns = columns;
        this.loneHeads = LoneHeads.find(all, habits);
        StemsByLook.Found byLook = StemsByLook.find(all, habits);
        this.bareOptions = new HashSet<>(BareOptions.find(all, habits));
        this.bareOptions.addAll(byLook.options());
        this.unnumberedTasks = unnumberedTasks(all, habits);
        this.stemsWithoutNumber = new HashSet<>(StemsOverLists.find(all, habits));
        this.stemsWithoutNumber.addAll(byLook.stems());
        this.stemsWithoutNumber.addAll(StemsOverAnswers.find(all, habits));
        this.stemsWithoutNumber.removeAll(bareOptions);
        this.passagesBelow = PassagesBelowNumbers.find(all, habits);
        int numbered = habits.numbersStems()
                ? habits.chained().stream().mapToInt(i -> i).min().orElse(-1)
                : -1;
        this.firstChained = loneHeads.stream()
                .mapToInt(i -> i)
                .filter(i -> i < numbered)
                .min()
                .orElse(numbered);
        Set<Integer> clozes = BareOptions.clozeNumbers(all, habits);
        stemLabel = new boolean[all.size()];
        chained = new boolean[all.size()];
        onlyNumber = new boolean[all.size()];
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            stemLabel[i] = habits.stemLabel(cues).isPresent();
            chained[i] = habits.chained().contains(i);
            onlyNumber[i] = BareOptions.isOnlyNumber(cues, habits) && !clozes.contains(i) || isRoomOverSentence(i);
            // What is a part or a head for certain offers nothing, though options elsewhere are lettered like it.
            boolean other = habits.parts().contains(i)
                    || habits.lettered().contains(i)
                    || habits.headings().contains(i)
                    || habits.listed().contains(i) && !cues.has(Label.Kind.BULLET);
            optionLabels.add(other ? Optional.empty() : habits.optionLabel(cues));
        }
        findTables();
        flow = new double[all.size()];
        wrappedGap = new boolean[all.size()];
        belowBareNumber = new boolean[all.size()];
        topLine = new boolean[all.size()];
        pairOver = new boolean[all.size()];
        Set<Integer> pairsAlone = pairsAlone();
        pointsOver = new boolean[all.size()];
        for (int i = 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            Optional<Cues> before = Optional.of(all.get(i - 1));
            flow[i] = flow(cues, before);
            wrappedGap[i] = isWrappedGap(cues, before);
            belowBareNumber[i] = findBareNumberAbove(i);
            topLine[i] = i > LAST_TITLE_PLACE && isTopLine(cues);
            pointsOver[i] = isPointsOver(all.get(i - 1).text(), cues.text());
            pairOver[i] = pairsAlone.contains(i)
                    || PrintedPairs.isPairOver(all.get(i - 1).text(), cues.text())
                    || PrintedPairs.isPairWithPoints(cues.text());
        }
    }

    /** "True / False" on a line of its own right below statements; once alone it might head what follows. */
    private Set<Integer> pairsAlone() {
        Set<Integer> found = new HashSet<>();
        for (int i = 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            boolean below = chained[i - 1]
                    && cues.labels().isEmpty()
                    && cues.spaceBefore() == 0
                    && !cues.is(Trait.HEADING)
                    && !all.get(i - 1).is(Trait.QUESTION_MARK);
            if (below && PrintedPairs.isPairAlone(cues.text())) {
                found.add(i);
            }
        }
        boolean lone = found.size() == 1
                && found.stream()
                        .map(piece -> all.get(piece - 1))
                        .anyMatch(above -> !above.is(Trait.ENDS_SENTENCE)
                                || Vocabulary.ALL.mentions(above.words(), "explain", "tell", "instruction"));
        return lone ? Set.of() : found;
    }

    private void findTables() {
        Set<Integer> others = new HashSet<>();
        for (int i = 0; i < all.size(); i++) {
            boolean other =
                    chained[i] || optionLabels.get(i).isPresent() || all.get(i).has(Label.Kind.BOX);
            Optional<Integer> table = table(i);
            if (other && table.isPresent()) {
                others.add(table.get());
            }
        }
        for (int i = 1; i < all.size(); i++) {
            Optional<Integer> table = table(i).filter(found -> !others.contains(found));
            if (table.isPresent() && table.equals(table(i - 1)) && hasOwnLabel(i)) {
                withinTables.add(i);
            }
        }
    }

    /** A cell's own label, not that of the second of several things in it. */
    private boolean hasOwnLabel(int index) {
        Cues cues = all.get(index);
        Optional<Cell> cell = cues.line().layout().cell();
        return !cues.labels().isEmpty()
                && !all.get(index - 1).line().layout().cell().equals(cell);
    }

    private Optional<Integer> table(int index) {
        return all.get(index).line().layout().cell().map(Cell::table);
    }

    /** Headings that ask themselves. */
    Set<Integer> loneHeads() {
        return loneHeads;
    }

    /** Options without letters. */
    Set<Integer> bareOptions() {
        return bareOptions;
    }

    /** Whether it is of the text that the number above it announces. */
    boolean isPassageBelow(int index) {
        return passagesBelow.contains(index);
    }

    /** "1. fathom", "A. wax": a labelled cell of a table without any question, box or option of its own, which has begun above. */
    boolean isWithinTable(int index) {
        return withinTables.contains(index);
    }

    /** Where the first question begins; -1 where none is numbered. */
    int firstChained() {
        return firstChained;
    }

    /** How well a piece goes on in the middle of the sentence above, whatever that is. */
    double flow(int index) {
        return flow[index];
    }

    /** "Read the scale. ______ mm (2)" without a number, where nothing is numbered and others are like it. */
    boolean isUnnumberedTask(int index) {
        return unnumberedTasks.contains(index);
    }

    /** Whether it begins a question where no question has a number. */
    boolean isStemWithoutNumber(int index) {
        return stemsWithoutNumber.contains(index);
    }

    /** "Write T or F:" below a short option and right above the next number: what is to be done from here on. */
    boolean isToldBetween(int index) {
        Cues cues = all.get(index);
        boolean head = cues.is(Trait.TYPE_HEAD) || cues.is(Trait.SECTION_WORD) || cues.is(Trait.BOLD);
        boolean told = index > 0
                && !head
                && cues.is(Trait.INSTRUCTION_WORD)
                && (cues.is(Trait.COLON) || cues.is(Trait.ENDS_SENTENCE))
                && cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && !cues.is(Trait.STARTS_LOWER)
                && isNextStem(index + 1);
        Optional<Cues> option =
                told ? above(index).filter(above -> optionLabel(index - 1).isPresent()) : Optional.empty();
        return option.filter(above -> above.text().length() < FullLines.LEAST
                        && (cues.is(Trait.COLON)
                                || cues.line().layout().indent()
                                        < above.line().layout().indent()))
                .isPresent();
    }

    /** "Fill each gap with a word from the box.", the box, and below it the text with the gaps, which is what is asked. */
    boolean isAboveWordsForGaps(int index) {
        Cues cues = all.get(index);
        int below = index + 1;
        while (below < all.size() && all.get(below).line().layout().cell().isPresent()) {
            below++;
        }
        return below > index + 1
                && below < all.size()
                && cues.is(Trait.INSTRUCTION_WORD)
                && !cues.is(Trait.GAP)
                && cues.labels().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && all.get(below).is(Trait.GAP);
    }

    private static Set<Integer> unnumberedTasks(List<Cues> all, Habits habits) {
        Set<Integer> tasks = new HashSet<>();
        for (int i = 0; i < all.size() && !habits.numbersStems(); i++) {
            Cues cues = all.get(i);
            boolean task = cues.is(Trait.GAP)
                    && cues.labels().isEmpty()
                    && cues.lead().isEmpty()
                    && !cues.is(Trait.FILL_IN)
                    && cues.line().layout().cell().isEmpty()
                    && cues.text().length() < LONGEST_TASK
                    && TASK_WITH_ROOM.matcher(cues.text()).matches();
            if (task) {
                tasks.add(i);
            }
        }
        return tasks.size() < FEWEST_TASKS ? Set.of() : tasks;
    }

    /** A paragraph of several sentences, or with another right above or below it, that says nothing of a test. */
    boolean isTale(int index) {
        return isProse(index) && (isProse(index - 1) || isProse(index + 1) || sentences(index) > 1);
    }

    /** How many sentences end in a line; one less where it speaks to whoever sits the paper. */
    private int sentences(int index) {
        Cues cues = all.get(index);
        int ends = (int) SENTENCE_END.matcher(cues.text()).results().limit(2).count();
        boolean addressed = Vocabulary.ALL.mentions(cues.words(), "notice", "instruction", "option")
                && ADDRESSED.matcher(cues.text()).find();
        return ends + (addressed ? 0 : 1);
    }

    private boolean isProse(int index) {
        if (index < 0 || index >= all.size()) {
            return false;
        }
        Cues cues = all.get(index);
        return cues.text().length() > FullLines.LEAST
                && cues.is(Trait.ENDS_SENTENCE)
                && !cues.is(Trait.COLON)
                && !cues.is(Trait.QUESTION_MARK)
                && !cues.is(Trait.INSTRUCTION_WORD)
                && !cues.is(Trait.GAP)
                && cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && PointsFinder.each(cues.text()).isEmpty()
                && !OF_TESTS.matcher(cues.text()).find();
    }

    /** "… and reaches the halt at" breaks before its gap. */
    boolean isWrappedGap(int index) {
        return wrappedGap[index];
    }

    /** "1   ______" over a whole sentence: room for what is said of it. */
    private boolean isRoomOverSentence(int index) {
        Cues cues = all.get(index);
        if (!habits.chained().contains(index) || !cues.is(Trait.GAP) || index + 1 >= all.size()) {
            return false;
        }
        Cues below = all.get(index + 1);
        return below.labels().isEmpty()
                && below.lead().isEmpty()
                && below.is(Trait.ENDS_SENTENCE)
                && below.words().size() >= FEWEST_OF_SENTENCE
                && habits.stemLabel(cues)
                        .map(label ->
                                HabitFinder.textBehind(cues, label, habits).strip())
                        .filter(text -> text.matches("[_.\u2026]{3,}|\\[\\s{2,}]"))
                        .isPresent();
    }

    /** "Question 3", "Type: choice", "Points: 2", and only then what is asked. */
    boolean isBelowBareNumber(int index) {
        return belowBareNumber[index];
    }

    /** Whether it says again, further down, what stands at the very top. */
    boolean isTopLine(int index) {
        return topLine[index];
    }

    /** Whether it is the other half of a printed pair to judge by. */
    boolean isPairOver(int index) {
        return pairOver[index];
    }

    /** The piece above; empty for the first. */
    Optional<Cues> above(int index) {
        return index == 0 ? Optional.empty() : Optional.of(all.get(index - 1));
    }

    /** "… were found.   2" and below it "pts": the points have wrapped. */
    boolean isPointsOver(int index) {
        return pointsOver[index];
    }

    private static boolean isPointsOver(String above, String text) {
        boolean possible = text.length() < SHORT_RULE
                && !above.isEmpty()
                && Character.isDigit(above.charAt(above.length() - 1))
                && Vocabulary.ALL.has("points", text.replaceAll("[.)\\]]", ""));
        return possible
                && PointsFinder.beside(above + " " + text)
                        .filter(found -> found.from() > 0 && found.from() < above.length())
                        .isPresent();
    }

    boolean hasStemLabel(int index) {
        return stemLabel[index];
    }

    Optional<Label> optionLabel(int index) {
        return optionLabels.get(index);
    }

    /** Whether its number goes on from that of the question above; false behind the last piece. */
    boolean isNextStem(int index) {
        return index < chained.length && chained[index];
    }

    /** Whether the next question begins here, or a table of questions. */
    boolean isNextQuestion(int index) {
        boolean table = columns.at(index)
                .filter(use -> use.kind() == Columns.Kind.HEAD || use.beginsRow())
                .isPresent();
        return table || isNextStem(index);
    }

    /** Whether there is nothing but a question's number, with its points perhaps, and what is asked stands below. */
    boolean isOnlyNumber(int index) {
        return onlyNumber[index];
    }

    /** Where questions are numbered, nothing above the first number is an option of one. */
    boolean isAboveAll(int index) {
        return habits.numbersStems() && index < firstChained;
    }

    private boolean findBareNumberAbove(int index) {
        int above = index - 1;
        while (above > 0
                && !onlyNumber[above]
                && (all.get(above).announces(Announces.LABEL) || all.get(above).is(Trait.POINTS_ONLY))) {
            above--;
        }
        return above >= 0 && onlyNumber[above];
    }

    private boolean isTopLine(Cues cues) {
        return all.stream()
                .limit(LAST_TITLE_PLACE + 1L)
                .anyMatch(top -> top.text().equals(cues.text())
                        || cues.text().length() > SHORT_TOP
                                && cues.is(Trait.TEST_WORD)
                                && top.text().startsWith(cues.text()));
    }

    private static boolean isWrappedGap(Cues cues, Optional<Cues> before) {
        return cues.is(Trait.WRITING_LINE)
                && cues.text().length() < SHORT_RULE
                && before.filter(b -> !b.is(Trait.ENDS_SENTENCE) && b.text().length() > FullLines.LEAST)
                        .filter(b -> !b.is(Trait.WRITING_LINE))
                        .filter(b -> PointsFinder.beside(b.text()).isEmpty())
                        .isPresent();
    }

    private static double flow(Cues cues, Optional<Cues> before) {
        boolean open = before.filter(b -> !b.is(Trait.ENDS_SENTENCE) && b.text().length() > 3)
                .isPresent();
        if (cues.spaceBefore() > 0) {
            return 0;
        }
        // "at 6 p.m." and below it "34.5 kg."
        boolean amount =
                cues.labels().stream().allMatch(label -> label.kind() == Label.Kind.CODE) && isAmount(cues.text());
        boolean wrapped = before.filter(b -> b.is(Trait.FULL)).isPresent()
                && (cues.labels().isEmpty() || amount)
                && cues.lead().isEmpty();
        if (!open) {
            return wrapped ? RoleScorer.SLIGHT : 0;
        }
        // The last of several options on a line that is full goes on below it.
        boolean full = before.filter(b -> b.text().length() > FullLines.LEAST
                        || !b.piece().first() && b.line().text().length() > FullLines.LEAST)
                .isPresent();
        return startsWithinSentence(cues) || wrapped
                ? RoleScorer.CLEAR
                : full && cues.labels().isEmpty() ? RoleScorer.LEANING : 0;
    }

    private static boolean isAmount(String text) {
        Matcher amount = AMOUNT.matcher(text);
        return amount.lookingAt() && UnitSymbols.isSymbol(amount.group(1));
    }

    private static boolean startsWithinSentence(Cues cues) {
        boolean digit = !cues.text().isEmpty() && Character.isDigit(cues.text().charAt(0));
        return cues.is(Trait.STARTS_LOWER) && cues.labels().isEmpty()
                || digit && cues.text().contains(" ");
    }
}
