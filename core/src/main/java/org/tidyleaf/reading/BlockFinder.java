package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.tidyleaf.reading.Cues.Trait;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Segment;

/**
 * Finds blocks by the instruction above them and their own shape: pairs in two columns, steps with blanks for their
 * numbers, grids of ticks, banks of words.
 */
final class BlockFinder {

    private static final Vocabulary WORDS = Vocabulary.ALL;
    private static final Pattern MATCH = Vocabulary.pattern("\\b" + WORDS.either("match") + "\\b");
    private static final Pattern BANK = Vocabulary.pattern("\\b" + WORDS.either("bank") + "\\b");

    private static final Pattern FILL_TABLE = Vocabulary.pattern("\\b" + WORDS.either("fill_table") + "\\b");

    /** A tab, or on a printed page what is nearly as wide. */
    private static final Pattern WIDE = Pattern.compile("\\t|\\s{3}");

    private static final Pattern NUMBERED_BLANK = Pattern.compile(
            "(?:[\u2022\u00b7*-]\\s+)?[(\\[]\\s*\\d{0,2}\\s*[)\\]]\\s.*|_{2,}\\s*\\d{0,2}\\s*_*\\s.*|[\u2610\u25a1]\\s.*");
    static final Pattern TICK = Pattern.compile(
            "[xXoO\u2713\u2714\u2715\u2717\u2610\u2611\u2612\u25a1\u25cb\u25cf]|\\[[ xX]?]|\\([ xX]?\\)");
    private static final Pattern BANK_LINE = Pattern.compile(
            "[\\[({|]?\\s*\\S+(?:\\s\\S+)?(?:(?:\\s{2,}|\\t|\\s*[,;/|\u00b7\u2022\u2013-]\\s+)\\S+(?:\\s\\S+)?){2,60}");

    /** "D  break lines". */
    private static final Pattern BARE_LETTER = Pattern.compile("([A-H])\\s+(?=\\S)");

    private static final Pattern WORDS_APART = Pattern.compile(
            "\\p{L}[\\p{L}'\u2019-]*(?: [\\p{L}'\u2019-]+)?(?:(?:\\s{3,}|\\t+)\\p{L}[\\p{L}'\u2019-]*(?: [\\p{L}'\u2019-]+)?){2,60}");

    /** "wax, honey, pollen, comb" and no full stop. */
    private static final Pattern WORDS_LISTED = Pattern.compile(
            "\\p{L}[\\p{L}'\u2019-]*(?: [\\p{L}'\u2019-]+)?(?:\\s?[,;]\\s+\\p{L}[\\p{L}'\u2019-]*(?: [\\p{L}'\u2019-]+)?){3,60}");

    private static final Pattern WORDS_BOXED = Pattern.compile(
            "[\\[({|]\\s*[^,;/|\\[\\](){}]{1,30}(?:\\s*[,;/|\u2013-]\\s+[^,;/|\\[\\](){}]{1,30}){2,60}\\s*[\\])}|]");

    private static final Pattern WORDS_DASHED = Pattern.compile(
            "\\p{L}[\\p{L}'\u2019-]*(?: [\\p{L}'\u2019-]+)?(?:\\s+[\u2013\u2014\u2022\u00b7/|-]\\s+\\p{L}[\\p{L}'\u2019-]*(?: [\\p{L}'\u2019-]+)?){2,60}");

    static final int FEWEST_PAIRS = 3;

    private final List<Cues> all;
    private final MatchLists lists;
    private final Map<Integer, Blocks.Kind> found = new HashMap<>();

    private BlockFinder(List<Cues> all) {
        this.all = all;
        this.lists = new MatchLists(all);
    }

    static Blocks find(List<Cues> all) {
        BlockFinder finder = new BlockFinder(all);
        for (int i = 0; i + 1 < all.size(); i++) {
            finder.below(i);
        }
        GappedTexts.find(all).forEach(finder.found::putIfAbsent);
        SharedOptions.Found shared = SharedOptions.find(all);
        shared.asked().forEach(finder.found::remove);
        shared.offered().forEach(piece -> finder.found.put(piece, Blocks.Kind.OFFERED));
        LoneQuestions.find(all).forEach(piece -> finder.found.putIfAbsent(piece, Blocks.Kind.NEW_LEAD));
        GradeScales.find(all).forEach(piece -> finder.found.put(piece, Blocks.Kind.SCALE));
        finder.found.putAll(AnswerGrids.find(all));
        SubParts.find(all).forEach(piece -> finder.found.putIfAbsent(piece, Blocks.Kind.SUB_PART));
        return new Blocks(Map.copyOf(finder.found));
    }

    private void below(int lead) {
        Cues cues = all.get(lead);
        if (cues.line().layout().cell().isPresent() || found.containsKey(lead)) {
            return;
        }
        boolean bank = WordBanks.isLine(cues.text()) && all.get(lead + 1).is(Trait.GAP)
                || cues.labels().isEmpty()
                        && !WordBanks.behindColon(cues.text()).isEmpty()
                        && WordBanks.isFor(cues.text(), gapsBelow(lead + 1, false));
        if (bank) {
            found.put(lead, Blocks.Kind.WORDS);
            gapped(lead + 1);
            return;
        }
        List<Integer> heads = lead + 2 < all.size() ? tableBelow(lead + 2) : List.of();
        if (isLineOfWords(lead + 1) && SortingTables.isOne(all, heads)) {
            found.put(lead + 1, Blocks.Kind.WORDS);
            heads.forEach(piece -> found.put(piece, Blocks.Kind.ROW));
            lead(lead);
            return;
        }
        List<Integer> columns = tableBelow(lead + 1);
        boolean asked = number(lead).isPresent() || cues.is(Trait.INSTRUCTION_WORD);
        if (asked && !WordBanks.behindColon(cues.text()).isEmpty() && SortingTables.isOne(all, columns)) {
            columns.forEach(piece -> found.put(piece, Blocks.Kind.ROW));
            lead(lead);
            return;
        }
        if (isBankBelow(lead)) {
            found.put(lead + 1, Blocks.Kind.WORDS);
            gapped(lead + 2);
            return;
        }
        // A picture may stand between what is asked and its table.
        boolean pictured = lead + 2 < all.size() && all.get(lead + 1).is(Trait.FIGURE_ONLY);
        List<Integer> table = tableBelow(pictured ? lead + 2 : lead + 1);
        if (table.isEmpty() && cues.is(Trait.GAP)) {
            gapAnswers(lead);
        }
        if (isNumbered(lead) && JudgedRows.areToJudge(all, table, cues)) {
            table.forEach(piece -> found.put(piece, Blocks.Kind.ROW));
            return;
        }
        boolean toFill = asked
                && !table.isEmpty()
                && (PairTables.isHalfEmpty(all, table) || !asksToMatch(cues) && PairTables.isPartlyFilled(all, table));
        if (toFill) {
            table.forEach(piece -> found.put(piece, Blocks.Kind.CELL));
            return;
        }
        boolean toComplete = !table.isEmpty()
                && WORDS.mentions(cues.words(), "fill_table")
                && FILL_TABLE.matcher(cues.text()).find()
                && !hasTicks(table);
        if (toComplete) {
            table.forEach(piece -> found.put(piece, Blocks.Kind.CELL));
            return;
        }
        if (!table.isEmpty()
                && (PairTables.isAroundBlanks(all, table) || PairTables.isNumberedAgainstLettered(all, table))) {
            table.forEach(
                    piece -> found.put(piece, PairTables.isKey(all, piece) ? Blocks.Kind.PAIR_KEY : Blocks.Kind.PAIR));
            targetsBelow(table);
            lead(lead);
            return;
        }
        if (!table.isEmpty() && PairTables.isLetteredTerms(all, table) && numbersBelow(table)) {
            lead(lead);
            return;
        }
        Map<Integer, Blocks.Kind> steps = HabitFinder.asksForOrder(cues) ? StepTables.find(all, table) : Map.of();
        if (!steps.isEmpty()) {
            found.putAll(steps);
            return;
        }
        if (isNumbered(lead) && JudgedRows.are(all, table)) {
            table.forEach(piece -> found.put(piece, Blocks.Kind.ROW));
            return;
        }
        if (!table.isEmpty() && isGrid(table)) {
            table.forEach(piece -> found.put(piece, Blocks.Kind.ROW));
            lead(lead);
        } else if (asksToMatch(cues) || lead > 0 && isBareNumber(lead) && asksToMatch(all.get(lead - 1))) {
            int choices = lists.pairingsBelow(lead + 1);
            int below = table.isEmpty() ? lead + 1 : table.get(table.size() - 1) + 1;
            if (choices > lead + 1 && choices >= below) {
                for (int i = lead + 1; i < choices; i++) {
                    found.put(i, Blocks.Kind.LISTED);
                }
                return;
            }
            pairs(lead + 1, table);
        } else if (WORDS.mentions(cues.words(), "bank")
                && BANK.matcher(cues.text()).find()) {
            int below = lead + 1 < all.size() && all.get(lead + 1).is(Trait.POINTS_ONLY) ? lead + 2 : lead + 1;
            bank(below, tableBelow(below));
        } else if (HabitFinder.asksForOrder(cues) || lead > 0 && isOrderedAbove(lead)) {
            steps(lead + 1);
        }
    }

    /** "Number the steps. (4 points)" above "6. Preparing a hive:". */
    private boolean isOrderedAbove(int lead) {
        return number(lead).isPresent()
                && all.get(lead).is(Trait.COLON)
                && all.get(lead - 1).labels().isEmpty()
                && HabitFinder.asksForOrder(all.get(lead - 1));
    }

    /** "Ordne nach der Größe" has the word of "Ordne zu" and asks for an order. */
    private static boolean asksToMatch(Cues cues) {
        return WORDS.mentions(cues.words(), "match")
                && MATCH.matcher(cues.text()).find()
                && !HabitFinder.asksForOrder(cues);
    }

    /** "7." and nothing else: what it asks stands in the heading above. */
    private boolean isBareNumber(int piece) {
        int to = all.get(piece).piece().segment().to();
        return number(piece)
                .map(label -> all.get(piece).line().text().substring(label.end(), to))
                .filter(String::isBlank)
                .isPresent();
    }

    /** Below a numbered text with gaps, lines numbered from 1, as many as there are gaps: what goes into each. */
    private void gapAnswers(int lead) {
        int gaps = GapSigns.count(all.get(lead).text());
        Optional<Label> number = number(lead);
        int last = lead;
        // The text may wrap: what goes on without a label is its next line.
        while (number.isPresent() && last + 1 < all.size() && wraps(last + 1)) {
            last++;
            gaps += GapSigns.count(all.get(last).text());
        }
        boolean room = gaps > 1 && number.isPresent() && last + gaps < all.size();
        for (int i = 1; room && i <= gaps; i++) {
            Cues answer = all.get(last + i);
            boolean next = number(last + i)
                    .filter(label -> !label.shape().equals(number.get().shape()))
                    .map(Label::printed)
                    .equals(Optional.of(String.valueOf(i)));
            room = next && answer.is(Trait.SHORT) && !answer.is(Trait.GAP) && !answer.is(Trait.QUESTION_MARK);
        }
        for (int i = 1; room && i <= gaps; i++) {
            found.put(last + i, Blocks.Kind.GAP_ANSWER);
        }
    }

    private boolean wraps(int piece) {
        Cues cues = all.get(piece);
        Cues above = all.get(piece - 1);
        return cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && cues.spaceBefore() == 0
                && !above.is(Trait.ENDS_SENTENCE)
                && !above.is(Trait.SHORT);
    }

    private Optional<Label> number(int piece) {
        return all.get(piece).number();
    }

    /** Whether a line, or the first of those that wrap into it, has a number. */
    private boolean isNumbered(int piece) {
        int first = piece;
        while (first > 0
                && all.get(first).labels().isEmpty()
                && all.get(first - 1).is(Trait.FULL)
                && all.get(first).spaceBefore() == 0) {
            first--;
        }
        return number(first).isPresent();
    }

    private boolean hasTicks(List<Integer> table) {
        return table.stream()
                .anyMatch(piece -> TICK.matcher(all.get(piece).text()).matches());
    }

    private List<Integer> tableBelow(int from) {
        List<Integer> pieces = new ArrayList<>();
        for (int i = from; i < all.size() && (cell(i).isPresent() || isFurniture(i, from)); i++) {
            if (cell(i).isEmpty()) {
                continue;
            }
            if (!cell(i).map(Cell::table).equals(cell(from).map(Cell::table))) {
                break;
            }
            pieces.add(i);
        }
        return pieces;
    }

    /** Page heads and feet stand between the rows of a table that goes on overleaf. */
    private boolean isFurniture(int piece, int from) {
        return piece > from && all.get(piece).is(Trait.OFF_BODY);
    }

    private Optional<Cell> cell(int piece) {
        return all.get(piece).line().layout().cell();
    }

    private void pairs(int from, List<Integer> table) {
        if (!table.isEmpty()) {
            boolean twoColumns =
                    table.stream().allMatch(piece -> cell(piece).orElseThrow().column() < 2);
            if (!twoColumns
                    && (PairColumns.of(table.stream().map(all::get).toList()).isPresent()
                            || PairTables.isAroundDots(all, table))) {
                table.forEach(piece -> found.put(piece, Blocks.Kind.PAIR));
                targetsBelow(table);
                lead(from - 1);
                return;
            }
            if (twoColumns && table.size() >= 4 && !WordsInCapitals.areIn(all, table)) {
                table.forEach(piece -> found.put(piece, Blocks.Kind.PAIR));
                targetsBelow(table);
                lead(from - 1);
            }
            return;
        }
        int end = from;
        boolean numbered = from + 1 < all.size()
                && (number(from).isPresent()
                        || number(from + 1)
                                .filter(label -> label.ordinal() == 1)
                                .isPresent());
        boolean tabbed = from < all.size() && all.get(from).text().indexOf('\t') > 0;
        boolean throughout = from + 1 < all.size() && lists.isNext(from + 1, Label.Kind.NUMBER, from);
        // Below pairs without numbers a number begins the next question, below pairs with numbers a letter its section.
        while (end < all.size()
                && PairLines.isOne(all.get(end))
                && !beginsAnew(end, from)
                && !isHeadBelow(end, from)
                && !(all.get(end).is(Trait.BOLD) && !all.get(from).is(Trait.BOLD) && lists.isLettered(end))
                && (!tabbed || WIDE.matcher(all.get(end).text()).find())
                && (numbered || number(end).isEmpty())
                && !(throughout && number(end).isEmpty() && lists.isLettered(end))) {
            end++;
        }
        if (end < all.size()
                && end - from > 1
                && PairKeys.isKey(all.get(end).text())
                && all.get(end).lead().isEmpty()) {
            found.put(end, Blocks.Kind.PAIR_KEY);
        }
        int below = lists.lettersThenNumbers(from);
        if (below > end) {
            end = below;
        } else if (end - from < 2) {
            end = Math.max(lists.twoLists(from), lists.numbersThenBlanks(from));
            for (int i = from; i < end; i++) {
                found.put(i, Blocks.Kind.PAIR);
            }
            if (end > from) {
                lead(from - 1);
            }
            return;
        }
        while (end < all.size() && isRightOnly(end)) {
            end++;
        }
        for (int i = from; i < end; i++) {
            found.put(i, Blocks.Kind.PAIR);
        }
        lead(from - 1);
    }

    /** Takes lettered terms in a table and the numbered lines right below it; whether there are such. */
    private boolean numbersBelow(List<Integer> table) {
        int from = table.get(table.size() - 1) + 1;
        int end = lists.numbersWithMargin(from);
        if (end - from < 2) {
            return false;
        }
        table.forEach(piece -> found.put(piece, Blocks.Kind.PAIR));
        for (int i = from; i < end; i++) {
            found.put(i, Blocks.Kind.PAIR);
        }
        return true;
    }

    /** "D) in the rain." right below a table whose last target is C: one that is left over, in a row of its own. */
    private void targetsBelow(List<Integer> table) {
        for (int i = table.get(table.size() - 1) + 1; lists.isFurtherTarget(i); i++) {
            found.put(i, Blocks.Kind.PAIR);
        }
    }

    /** What stands right above the pairs asks for them, unless it heads a section. */
    private void lead(int piece) {
        boolean heads = all.get(piece).is(Trait.SECTION_WORD)
                || all.get(piece).is(Trait.HEADING)
                || ListHeads.isOne(all, piece);
        if (!heads) {
            boolean goesOn = number(piece).isEmpty() && all.get(piece).spaceBefore() == 0;
            Blocks.Kind kind = goesOn ? Blocks.Kind.LEAD : Blocks.Kind.NEW_LEAD;
            found.put(piece, isBelowBareNumber(piece) ? Blocks.Kind.LEAD_ON : kind);
        }
    }

    /** "QUESTION 5", "Topic: tools", and only then what is asked. */
    private boolean isBelowBareNumber(int piece) {
        int above = piece - 1;
        while (above >= 0 && all.get(above).announces(Cues.Announces.LABEL)) {
            above--;
        }
        if (above < 0 || above == piece - 1) {
            return false;
        }
        Segment place = all.get(above).piece().segment();
        Cues bare = all.get(above);
        return number(above)
                .filter(label ->
                        bare.line().text().substring(label.end(), place.to()).isBlank())
                .isPresent();
    }

    /** A last line with nothing but one more target, far to the right: one that is left over. */
    private boolean isRightOnly(int piece) {
        Cues cues = all.get(piece);
        String above = PairLines.rightSide(all.get(piece - 1).text());
        Optional<Label> before = LabelFinder.letterAt(above, 0, above.length());
        boolean far =
                cues.line().layout().indent() > 0 && cues.line().layout().cell().isEmpty();
        Matcher bareAbove = BARE_LETTER.matcher(above);
        Matcher bare = BARE_LETTER.matcher(cues.text());
        if (far && before.isEmpty() && bareAbove.lookingAt() && bare.lookingAt()) {
            return bare.group(1).charAt(0) == bareAbove.group(1).charAt(0) + 1;
        }
        return far
                && before.isPresent()
                && cues.labels().stream()
                        .anyMatch(label -> label.shape().equals(before.get().shape())
                                && label.ordinal() == before.get().ordinal() + 1);
    }

    /** "SECTION E – Ordering" below pairs that begin otherwise. */
    private boolean isHeadBelow(int piece, int from) {
        return piece > from
                && all.get(piece).is(Trait.SECTION_WORD)
                && !all.get(from).is(Trait.SECTION_WORD);
    }

    /** Whether a line counts on from the number over the pairs, and not from the pair above it. */
    private boolean beginsAnew(int piece, int from) {
        if (piece == from
                || from == 0
                || number(piece).isEmpty()
                || number(from - 1).isEmpty()) {
            return false;
        }
        int here = number(piece).get().ordinal();
        return here == number(from - 1).get().ordinal() + 1
                && number(piece - 1)
                        .filter(above -> above.ordinal() + 1 == here)
                        .isEmpty();
    }

    private void steps(int from) {
        int end = from;
        while (end < all.size() && NUMBERED_BLANK.matcher(all.get(end).text()).matches()) {
            end++;
        }
        if (end == from) {
            end = numberedSteps(from);
        }
        if (end - from < 3) {
            return;
        }
        for (int i = from; i < end; i++) {
            found.put(i, Blocks.Kind.STEP);
        }
    }

    /** "1  metre", "2  inch", "3  yard": numbers without a sign of their own that count from 1. */
    private int numberedSteps(int from) {
        int end = from;
        while (end < all.size()
                && all.get(end).is(Trait.SHORT)
                && all.get(end).text().matches((end - from + 1) + "\\s{2,}\\S.*")) {
            end++;
        }
        return end;
    }

    /** Heads over all columns but perhaps the first, and below them nothing but ticks beside the statements. */
    private boolean isGrid(List<Integer> table) {
        Map<Integer, Map<Integer, Cues>> rows = new TreeMap<>();
        for (int piece : table) {
            Cell cell = cell(piece).orElseThrow();
            rows.computeIfAbsent(cell.row(), row -> new TreeMap<>()).putIfAbsent(cell.column(), all.get(piece));
        }
        return rows.size() >= 3 && TickTables.isOne(List.copyOf(rows.values()));
    }

    private void bank(int from, List<Integer> table) {
        int text = table.isEmpty() ? from + 1 : from + table.size();
        boolean line = table.isEmpty()
                && from < all.size()
                && (BANK_LINE.matcher(all.get(from).text()).matches()
                        || !WordBanks.phrases(all.get(from).text()).isEmpty());
        if (text >= all.size() || table.isEmpty() && !line || !all.get(text).is(Trait.GAP)) {
            return;
        }
        for (int i = from; i < text; i++) {
            found.put(i, Blocks.Kind.WORDS);
        }
        gapped(text);
    }

    private boolean isLineOfWords(int piece) {
        return piece < all.size()
                && all.get(piece).labels().isEmpty()
                && isWords(all.get(piece).text());
    }

    /** Nothing but words, parted by signs or wide spaces. */
    static boolean isWords(String text) {
        return Stream.of(WORDS_APART, WORDS_BOXED, WORDS_DASHED, WORDS_LISTED)
                .anyMatch(words -> words.matcher(text.strip()).matches());
    }

    /** A line of nothing but words, far apart, and below it lines with about as many gaps: whatever asks for it. */
    private boolean isBankBelow(int lead) {
        if (lead + 2 >= all.size() || !isLineOfWords(lead + 1)) {
            return false;
        }
        int words = PartsMaker.words(List.of(all.get(lead + 1))).size();
        int gaps = gapsBelow(lead + 2, true);
        // Rows of words far apart are a table that is typed.
        boolean table = all.get(lead + 2).text().matches(".*\\S\\s{3,}\\S.*");
        return !table && gaps >= FEWEST_PAIRS && words >= gaps && words <= gaps + FEWEST_PAIRS;
    }

    /** The gaps of the lines right below that have no labels of their own, or are counted on from the first letter or number. */
    private int gapsBelow(int from, boolean numbered) {
        int gaps = 0;
        for (int i = from; i < all.size() && all.get(i).is(Trait.GAP); i++) {
            int ordinal = i - from + 1;
            boolean ofGroup = all.get(i).labels().isEmpty()
                    || all.get(i).labels().stream()
                            .anyMatch(label -> label.ordinal() == ordinal
                                    && (label.kind() == Label.Kind.LETTER
                                            || numbered && label.kind() == Label.Kind.NUMBER));
            if (!ofGroup) {
                break;
            }
            gaps += GapSigns.count(all.get(i).text());
        }
        return gaps;
    }

    private void gapped(int from) {
        for (int i = from;
                i < all.size()
                        && all.get(i).is(Trait.GAP)
                        && all.get(i).labels().isEmpty();
                i++) {
            found.put(i, Blocks.Kind.GAPPED);
        }
    }
}
