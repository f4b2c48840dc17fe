package org.tidyleaf.reading.block;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.cue.ListHeads;
import org.tidyleaf.reading.cue.WordsInCapitals;
import org.tidyleaf.reading.cut.PairKeys;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Segment;

/** Blocks of pairs: in a table, on lines with both sides, in one list below the other, with what asks for them. */
final class PairBlocks {

    /** A tab, or on a printed page what is nearly as wide. */
    private static final Pattern WIDE = Pattern.compile("\\t|\\s{3}");

    /** "D  break lines". */
    private static final Pattern BARE_LETTER = Pattern.compile("([A-H])\\s+(?=\\S)");

    static final int FEWEST_PAIRS = 3;

    private final List<Cues> all;
    private final MatchLists lists;
    private static final Pattern NUMBER = Pattern.compile("[(]?(\\d{1,2})[.)]\\s");

    private final Map<Integer, Blocks.Kind> found;

    /** @param found takes what each piece is */
    PairBlocks(List<Cues> all, MatchLists lists, Map<Integer, Blocks.Kind> found) {
        this.all = all;
        this.lists = lists;
        this.found = found;
    }

    void pairs(int from, List<Integer> table) {
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
                                .filter(label -> label.ordinal() == 1
                                        || from + 2 < all.size() && lists.isNext(from + 2, Label.Kind.NUMBER, from + 1))
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
    boolean numbersBelow(List<Integer> table) {
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
    void targetsBelow(List<Integer> table) {
        for (int i = table.get(table.size() - 1) + 1; lists.isFurtherTarget(i); i++) {
            found.put(i, Blocks.Kind.PAIR);
        }
    }

    /** What stands right above the pairs asks for them, unless it heads a section. */
    void lead(int piece) {
        if (!isHead(piece)) {
            boolean goesOn = number(piece).isEmpty() && all.get(piece).spaceBefore() == 0;
            Blocks.Kind kind = goesOn ? Blocks.Kind.LEAD : Blocks.Kind.NEW_LEAD;
            found.put(piece, isBelowBareNumber(piece) ? Blocks.Kind.LEAD_ON : kind);
        }
    }

    /** Whether a line heads a section by its looks or words. */
    boolean isHead(int piece) {
        return all.get(piece).is(Trait.SECTION_WORD) || all.get(piece).is(Trait.HEADING) || ListHeads.isOne(all, piece);
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
        Matcher numberAbove = NUMBER.matcher(above);
        Matcher number = NUMBER.matcher(cues.text());
        if (far && numberAbove.lookingAt() && number.lookingAt()) {
            return Integer.parseInt(number.group(1)) == Integer.parseInt(numberAbove.group(1)) + 1;
        }
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

    private Optional<Label> number(int piece) {
        return all.get(piece).number();
    }

    private Optional<Cell> cell(int piece) {
        return all.get(piece).line().layout().cell();
    }
}
