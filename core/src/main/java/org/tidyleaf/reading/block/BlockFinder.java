package org.tidyleaf.reading.block;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.cue.FormRows;
import org.tidyleaf.reading.cue.GappedTexts;
import org.tidyleaf.reading.cue.LetteredBanks;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.WordBanks;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Cell;

/**
 * Finds blocks by the instruction above them and their own shape: pairs in two columns, steps with blanks for their
 * numbers, grids of ticks, banks of words.
 */
public final class BlockFinder {

    private static final Vocabulary WORDS = Vocabulary.ALL;
    /** The number of a row, in a cell of its own. */
    private static final Pattern ROW_NUMBER = Pattern.compile("[(]?(\\d{1,3})[.):]?");

    private static final Pattern BANK = Vocabulary.pattern("\\b" + WORDS.either("bank") + "\\b");

    private static final Pattern FILL_TABLE = Vocabulary.pattern("\\b" + WORDS.either("fill_table") + "\\b");

    private static final Pattern NUMBERED_BLANK = Pattern.compile(
            "(?:[\u2022\u00b7*-]\\s+)?[(\\[]\\s*\\d{0,2}\\s*[)\\]]\\s.*|_{2,}\\s*\\d{0,2}\\s*_*\\s.*|_\\s*\\d{1,2}\\s*_+\\s.*|[\u2610\u25a1]\\s.*");
    /** "Lift the lid. ____": the place of a step goes behind it. */
    private static final Pattern BLANK_BEHIND = Pattern.compile(
            "[^_\\[(]*\\p{L}[^_\\[(]*?\\s*(?:_{2,}\\s*\\d{0,2}\\s*_*|[(\\[]\\s*\\d{0,2}\\s*[)\\]])\\s*");

    public static final Pattern TICK = Pattern.compile(
            "[xXoO\u2713\u2714\u2715\u2717\u2610\u2611\u2612\u25a1\u25cb\u25cf]|\\[[ xX]?]|\\([ xX]?\\)");
    private final List<Cues> all;
    private final MatchLists lists;
    private final Map<Integer, Blocks.Kind> found = new HashMap<>();
    private final PairBlocks pairs;
    private final GapBlocks gaps;

    private BlockFinder(List<Cues> all) {
        this.all = all;
        this.lists = new MatchLists(all);
        this.pairs = new PairBlocks(all, lists, found);
        this.gaps = new GapBlocks(all, found);
    }

    public static Blocks find(List<Cues> all) {
        BlockFinder finder = new BlockFinder(all);
        for (int i = 0; i + 1 < all.size(); i++) {
            finder.below(i);
        }
        GappedTexts.find(all).forEach(finder.found::putIfAbsent);
        finder.found.putAll(LetteredBanks.find(all));
        SharedOptions.Found shared = SharedOptions.find(all);
        shared.asked().forEach(finder.found::remove);
        shared.offered().forEach(piece -> finder.found.put(piece, Blocks.Kind.OFFERED));
        for (int listed : OfferedSequences.find(all)) {
            finder.found.put(listed, Blocks.Kind.LISTED);
            if (finder.found.get(listed - 1) == Blocks.Kind.NEW_LEAD) {
                finder.found.remove(listed - 1);
            }
        }
        LoneQuestions.find(all).forEach(piece -> finder.found.putIfAbsent(piece, Blocks.Kind.NEW_LEAD));
        JudgedBehind.find(all).forEach(piece -> finder.found.putIfAbsent(piece, Blocks.Kind.NEW_LEAD));
        FormRows.rooms(all).forEach(piece -> finder.found.put(piece, Blocks.Kind.LISTED));
        GradeScales.find(all).forEach(piece -> finder.found.put(piece, Blocks.Kind.SCALE));
        finder.found.putAll(AnswerGrids.find(all));
        finder.found.putAll(LabelledRooms.find(all));
        SubParts.find(all).forEach(piece -> finder.found.putIfAbsent(piece, Blocks.Kind.SUB_PART));
        TextsToRead.find(all).forEach(finder.found::putIfAbsent);
        return new Blocks(Map.copyOf(finder.found));
    }

    /** Whether the rows of a table go on with the number of the line above it. */
    private boolean countsOn(int lead, List<Integer> table) {
        Matcher first =
                ROW_NUMBER.matcher(table.isEmpty() ? "" : all.get(table.get(0)).text());
        return first.matches()
                && number(lead)
                        .filter(label -> label.ordinal() + 1 == Integer.parseInt(first.group(1)))
                        .isPresent();
    }

    private void below(int lead) {
        Cues cues = all.get(lead);
        if (cues.line().layout().cell().isPresent() || found.containsKey(lead)) {
            return;
        }
        boolean bank = WordBanks.isLine(cues.text()) && all.get(lead + 1).is(Trait.GAP)
                || cues.labels().isEmpty()
                        && !WordBanks.behindColon(cues.text()).isEmpty()
                        && WordBanks.isFor(cues.text(), gaps.gapsBelow(lead + 1, false));
        if (bank) {
            found.put(lead, Blocks.Kind.WORDS);
            gaps.gapped(lead + 1);
            return;
        }
        List<Integer> heads = lead + 2 < all.size() ? tableBelow(lead + 2) : List.of();
        if (gaps.isLineOfWords(lead + 1) && SortingTables.isOne(all, heads)) {
            found.put(lead + 1, Blocks.Kind.WORDS);
            heads.forEach(piece -> found.put(piece, Blocks.Kind.ROW));
            pairs.lead(lead);
            return;
        }
        List<Integer> columns = tableBelow(lead + 1);
        boolean asked = number(lead).isPresent() || cues.is(Trait.INSTRUCTION_WORD);
        if (asked && !WordBanks.behindColon(cues.text()).isEmpty() && SortingTables.isOne(all, columns)) {
            columns.forEach(piece -> found.put(piece, Blocks.Kind.ROW));
            pairs.lead(lead);
            return;
        }
        if (gaps.isBankBelow(lead)) {
            found.put(lead + 1, Blocks.Kind.WORDS);
            gaps.gapped(lead + 2);
            return;
        }
        // A picture may stand between what is asked and its table.
        boolean pictured = lead + 2 < all.size() && all.get(lead + 1).is(Trait.FIGURE_ONLY);
        List<Integer> table = tableBelow(pictured ? lead + 2 : lead + 1);
        if (table.isEmpty() && cues.is(Trait.GAP)) {
            gaps.gapAnswers(lead);
        }
        // "3) …" above rows 4) and 5): the rows are questions of their own.
        if (countsOn(lead, table)) {
            return;
        }
        boolean own = isNumbered(lead) || JudgedBy.in(cues.text()).isPresent() && JudgedRows.haveNoNumbers(all, table);
        if (own && JudgedRows.areToJudge(all, table, cues)) {
            table.forEach(piece -> found.put(piece, Blocks.Kind.ROW));
            return;
        }
        boolean toFill = asked
                && !table.isEmpty()
                && (PairTables.isHalfEmpty(all, table)
                        || !Directions.asksToMatch(cues) && PairTables.isPartlyFilled(all, table));
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
                && (PairTables.isAroundBlanks(all, table)
                        || PairTables.isNumberedAgainstLettered(all, table)
                        || PairTables.isNumberedAgainstBlanks(all, table))) {
            table.forEach(
                    piece -> found.put(piece, PairTables.isKey(all, piece) ? Blocks.Kind.PAIR_KEY : Blocks.Kind.PAIR));
            pairs.targetsBelow(table);
            pairs.lead(lead);
            return;
        }
        if (!table.isEmpty() && PairTables.isLetteredTerms(all, table) && pairs.numbersBelow(table)) {
            pairs.lead(lead);
            return;
        }
        Map<Integer, Blocks.Kind> steps = Directions.asksForOrder(cues) ? StepTables.find(all, table) : Map.of();
        if (!steps.isEmpty()) {
            found.putAll(steps);
            return;
        }
        if (own && JudgedRows.are(all, table)) {
            table.forEach(piece -> found.put(piece, Blocks.Kind.ROW));
            return;
        }
        if (!table.isEmpty() && isGrid(table)) {
            if (!isBelowNumber(lead)
                    && !JudgedColumns.find(all, byCells(table), Map.of()).uses().isEmpty()) {
                return;
            }
            table.forEach(piece -> found.put(piece, Blocks.Kind.ROW));
            pairs.lead(lead);
        } else if (asked && PairLines.areDotted(all, lead + 1)) {
            pairs.pairs(lead + 1, table);
        } else if (Directions.asksToMatch(cues)
                || lead > 0 && isBareNumber(lead) && Directions.asksToMatch(all.get(lead - 1))) {
            int choices = lists.pairingsBelow(lead + 1);
            int below = table.isEmpty() ? lead + 1 : table.get(table.size() - 1) + 1;
            if (choices > lead + 1 && choices >= below) {
                // What has the next number of the paper asks, where the directions above have none.
                boolean asks = number(lead).isEmpty()
                        && number(lead + 1).isPresent()
                        && !OfferedSequences.goesOn(
                                all.get(lead + 2), number(lead + 1).get());
                for (int i = asks ? lead + 2 : lead + 1; i < choices; i++) {
                    found.put(i, Blocks.Kind.LISTED);
                }
                return;
            }
            pairs.pairs(lead + 1, table);
        } else if (WORDS.mentions(cues.words(), "bank")
                && BANK.matcher(cues.text()).find()) {
            int below = lead + 1 < all.size() && all.get(lead + 1).is(Trait.POINTS_ONLY) ? lead + 2 : lead + 1;
            gaps.bank(below, tableBelow(below));
        } else if (Directions.asksForOrder(cues)
                && (cues.is(Trait.ENDS_SENTENCE)
                        || cues.is(Trait.COLON)
                        || cues.text().indexOf(':') < 0)
                && isListInLine(lead + 1)) {
            found.put(lead + 1, Blocks.Kind.GAPPED);
        } else if (Directions.asksForOrder(cues) || lead > 0 && isOrderedAbove(lead)) {
            steps(lead + 1);
        }
    }

    /** "metre / millimetre / inch" or "4 kg, 450 g, 0.5 kg" alone below what asks for their order. */
    private boolean isListInLine(int piece) {
        return piece < all.size()
                && all.get(piece).labels().isEmpty()
                && ListedOrder.isList(all.get(piece).text())
                && (piece + 1 == all.size()
                        || !ListedOrder.isList(all.get(piece + 1).text()));
    }

    /** "Number the steps. (4 points)" above "6. Preparing a hive:". */
    private boolean isOrderedAbove(int lead) {
        return number(lead).isPresent()
                && all.get(lead).is(Trait.COLON)
                && all.get(lead - 1).labels().isEmpty()
                && Directions.asksForOrder(all.get(lead - 1));
    }

    /** "7." and nothing else: what it asks stands in the heading above. */
    private boolean isBareNumber(int piece) {
        int to = all.get(piece).piece().segment().to();
        return number(piece)
                .map(label -> all.get(piece).line().text().substring(label.end(), to))
                .filter(String::isBlank)
                .isPresent();
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

    /** Whether a line, or the one it goes on from without any space, has a number. */
    private boolean isBelowNumber(int piece) {
        return isNumbered(piece)
                || piece > 0
                        && all.get(piece).labels().isEmpty()
                        && all.get(piece).spaceBefore() == 0
                        && isNumbered(piece - 1);
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

    private void steps(int from) {
        int end = from;
        while (end < all.size() && NUMBERED_BLANK.matcher(all.get(end).text()).matches()) {
            end++;
        }
        while (end < all.size()
                && (end == from || BLANK_BEHIND.matcher(all.get(from).text()).matches())
                && all.get(end).labels().isEmpty()
                && BLANK_BEHIND.matcher(all.get(end).text()).matches()) {
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
        // Below a head, or as a paragraph of its own: it goes on with no question above.
        boolean apart = from > 1
                && all.get(from - 1).is(Trait.INSTRUCTION_WORD)
                && all.get(from - 1).spaceBefore() > 0;
        boolean alone = from > 1 && number(from - 1).isEmpty() && (apart || pairs.isHead(from - 2));
        if (alone) {
            pairs.lead(from - 1);
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
        List<Map<Integer, Cues>> rows = new ArrayList<>();
        for (Map<Integer, Integer> row : byCells(table).values()) {
            Map<Integer, Cues> cells = new TreeMap<>();
            row.forEach((column, piece) -> cells.put(column, all.get(piece)));
            rows.add(cells);
        }
        return rows.size() >= 3 && TickTables.isOne(rows);
    }

    /** By row and column the place of the first piece in each cell. */
    private Map<Integer, Map<Integer, Integer>> byCells(List<Integer> table) {
        Map<Integer, Map<Integer, Integer>> rows = new TreeMap<>();
        for (int piece : table) {
            Cell cell = cell(piece).orElseThrow();
            rows.computeIfAbsent(cell.row(), row -> new TreeMap<>()).putIfAbsent(cell.column(), piece);
        }
        return rows;
    }
}
