package org.tidyleaf.reading.make;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.block.MatchLists;
import org.tidyleaf.reading.block.PairColumns;
import org.tidyleaf.reading.block.PairLines;
import org.tidyleaf.reading.block.PairTables;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Segment;

/** The two sides of the pairs as they are printed: in columns of a table, on one line, or one list below the other. */
final class PairSides {

    /** Dots to draw lines between. */
    private static final Pattern DOTS = Pattern.compile(
            "\\s*[\u2022\u25cf\u25cb]\\s+[\u2022\u25cf\u25cb]\\s*|\\s*(?:[\u2022\u00b7\u25cf\u25cb\u2219]|(?<=\\s)[.](?=\\s{2,}[.]\\s)|(?<=\\s{2})[oO*])\\s{2,}[.oO*\u2022\u00b7\u25cf\u25cb\u2219](?:\\s+|(?<=[^oO])\\s*)");

    private static final Pattern ROOM_BEHIND =
            Pattern.compile("(.*[^\\s_.\u2026])\\s*(?:_{2,}|\\.{3,}|\u2026+|[(\\[]\\s+[)\\]])\\s*");

    private static final Pattern DOT_BESIDE =
            Pattern.compile("\\s*(?:[\u2022\u25cf\u25cb\u2219]\\s+)?(\\S.*?)(?:\\s+[\u2022\u25cf\u25cb\u2219])?\\s*");

    private PairSides() {}

    /** Parts the sides; whether each line is a finished pair already ("oak = hard"). */
    static boolean part(Draft draft, List<Segment> left, List<Segment> right) {
        boolean equals = true;
        boolean terms = hasTermsAbove(draft);
        boolean dotted = draft.pairs.stream().anyMatch(PairSides::isDotBetween);
        boolean lettersFirst = areLettersOverNumerals(draft.pairs);
        Optional<PairColumns> columns = PairColumns.of(draft.pairs);
        for (Cues cues : withoutHeads(draft.pairs)) {
            Segment segment = cues.piece().segment();
            Optional<Cell> cell = cues.line().layout().cell();
            if (cell.isPresent() && columns.isPresent()) {
                equals = false;
                side(columns.get(), cell.get(), left, right).ifPresent(side -> side.add(segment));
                continue;
            }
            if (cell.isEmpty() && MatchLists.LIST_HEAD.matcher(cues.text()).matches()) {
                continue;
            }
            if (cell.isPresent()) {
                equals = false;
                if (isBlankBetween(draft, cell.get()) || isDotBetween(cues)) {
                    continue;
                }
                boolean label = !dotted && terms && cell.get().column() % 2 == 0;
                boolean ofLeft = dotted
                        ? cell.get().column() == 0
                        : !terms && cell.get().column() < cell.get().columns() / 2;
                if (!label) {
                    (ofLeft ? left : right).add(withoutDots(cues, segment));
                }
                continue;
            }
            Matcher dots = DOTS.matcher(cues.line().text()).region(segment.from(), segment.to());
            // Behind the label, for that may stand far before its text.
            int textFrom = cues.labels().stream().mapToInt(Label::end).max().orElse(segment.from());
            Matcher between = dots.find()
                    ? dots
                    : PairLines.between(cues).matcher(cues.line().text()).region(textFrom, segment.to());
            boolean apart = between == dots || between.find();
            String behind = apart ? cues.line().text().substring(between.end(), segment.to()) : "";
            if (!behind.isBlank()) {
                left.add(withoutRoom(cues, new Segment(segment.line(), segment.from(), between.start())));
                right.add(new Segment(segment.line(), between.end(), segment.to()));
                equals &= between != dots && !between.group().isBlank();
            } else {
                boolean number = lettersFirst
                        ? !isSecondList(draft, cues) || !isNumeral(cues)
                        : !isTargetAlone(cues, left, right)
                                && cues.labels().stream()
                                        .anyMatch(label -> label.kind() == Label.Kind.NUMBER
                                                || label.kind() == Label.Kind.ROMAN && !isSecondList(draft, cues));
                // "__C__ 1. gauge": what is written on the blank is the answer.
                boolean blank = cues.line().text().startsWith("_", segment.from());
                int from = blank
                        ? segment.from()
                        : cues.margin().map(Cues.Margin::to).orElse(segment.from());
                (number ? left : right).add(new Segment(segment.line(), from, segment.to()));
                equals = false;
            }
        }
        return equals;
    }

    /** "          4. the lid": below lines that hold both sides a target that is left over, far to the right. */
    private static boolean isTargetAlone(Cues cues, List<Segment> left, List<Segment> right) {
        int line = cues.line().number();
        return cues.line().layout().indent() > 0
                && !left.isEmpty()
                && !right.isEmpty()
                && left.get(left.size() - 1).line()
                        == right.get(right.size() - 1).line()
                && left.get(left.size() - 1).line() == line - 1;
    }

    /** Where the text of a cell belongs; nowhere where the cell is of a label, room or the names of columns. */
    private static Optional<List<Segment>> side(
            PairColumns columns, Cell cell, List<Segment> left, List<Segment> right) {
        if (cell.row() < columns.firstRow()) {
            return Optional.empty();
        }
        return cell.column() == columns.left()
                ? Optional.of(left)
                : cell.column() == columns.right() ? Optional.of(right) : Optional.empty();
    }

    /** A dot to draw lines from, in a cell of its own between the first and the last. */
    private static boolean isDotBetween(Cues cues) {
        return PairTables.DOTS.matcher(cues.text()).matches()
                && cues.line()
                        .layout()
                        .cell()
                        .filter(cell -> cell.column() > 0 && cell.column() < cell.columns() - 1)
                        .isPresent();
    }

    /** "light ___    d    the lid": the room for the letter is no part of the left side. */
    private static Segment withoutRoom(Cues cues, Segment segment) {
        Matcher room = ROOM_BEHIND.matcher(cues.line().text()).region(segment.from(), segment.to());
        return room.matches() ? new Segment(segment.line(), segment.from(), room.end(1)) : segment;
    }

    /** "the queen •" beside "• lays eggs": the dots are there to draw lines between. */
    private static Segment withoutDots(Cues cues, Segment segment) {
        Matcher dotted = DOT_BESIDE.matcher(cues.line().text()).region(segment.from(), segment.to());
        return dotted.matches() && (dotted.end(1) < segment.to() || dotted.start(1) > segment.from())
                ? new Segment(segment.line(), dotted.start(1), dotted.end(1))
                : segment;
    }

    /** Lettered terms in a table, what is numbered in lines below it. */
    static boolean hasTermsAbove(Draft draft) {
        return draft.pairs.get(0).line().layout().cell().isPresent()
                && draft.pairs.get(draft.pairs.size() - 1).labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.NUMBER)
                && draft.pairs
                        .get(draft.pairs.size() - 1)
                        .line()
                        .layout()
                        .cell()
                        .isEmpty();
    }

    /** The middle one of three columns is for the letter of what goes with it, where the third has the targets. */
    private static boolean isBlankBetween(Draft draft, Cell cell) {
        return cell.columns() == 3
                && cell.column() == 1
                && draft.pairs.stream()
                        .flatMap(cues -> cues.line().layout().cell().stream())
                        .anyMatch(other -> other.column() == 2);
    }

    static List<String> writtenBetween(Draft draft) {
        Optional<PairColumns> columns = PairColumns.of(draft.pairs);
        if (columns.isPresent()) {
            return columns.get().written(draft.pairs);
        }
        return draft.pairs.stream()
                .filter(cues -> cues.line()
                        .layout()
                        .cell()
                        .filter(cell -> isBlankBetween(draft, cell))
                        .isPresent())
                .map(cues -> cues.text().strip())
                .toList();
    }

    /** A first row in bold over rows that are not names the two columns. */
    private static List<Cues> withoutHeads(List<Cues> pairs) {
        int heads = 0;
        while (heads < pairs.size()
                && pairs.get(heads)
                        .line()
                        .layout()
                        .cell()
                        .filter(cell -> cell.row() == 0)
                        .isPresent()
                && isHead(pairs.get(heads))) {
            heads++;
        }
        if (heads == 0 && isHeadLine(pairs)) {
            return pairs.subList(1, pairs.size());
        }
        if (heads == 0 && isHeadRow(pairs)) {
            return pairs.subList(2, pairs.size());
        }
        List<Cues> rest = pairs.subList(heads, pairs.size());
        boolean named = heads == 2 && rest.stream().noneMatch(PairSides::isHead);
        return named ? rest : pairs;
    }

    /** "a.", "b.", "c." and below them "i.", "ii.", "iii.", and no number. */
    private static boolean areLettersOverNumerals(List<Cues> pairs) {
        return !isNumeral(pairs.get(0))
                && pairs.get(0).has(Label.Kind.LETTER)
                && isNumeral(pairs.get(pairs.size() - 1))
                && pairs.stream().noneMatch(cues -> cues.has(Label.Kind.NUMBER));
    }

    private static boolean isNumeral(Cues cues) {
        return cues.has(Label.Kind.ROMAN);
    }

    /** Behind the head of a second list a numeral is a letter. */
    private static boolean isSecondList(Draft draft, Cues cues) {
        int heads = 0;
        boolean letters = false;
        for (Cues above : draft.pairs) {
            heads += MatchLists.LIST_HEAD.matcher(above.text()).matches() ? 1 : 0;
            letters |= above.labels().stream().noneMatch(label -> label.kind() == Label.Kind.ROMAN)
                    && above.has(Label.Kind.LETTER);
            if (above == cues) {
                break;
            }
        }
        return heads > 1 || letters;
    }

    /** "Column A    Column B": a first line without the labels that all lines below it have. */
    private static boolean isHeadLine(List<Cues> pairs) {
        boolean lines =
                pairs.stream().allMatch(cues -> cues.line().layout().cell().isEmpty());
        return lines
                && pairs.size() > 3
                && pairs.get(0).labels().isEmpty()
                && pairs.stream().skip(1).noneMatch(cues -> cues.labels().isEmpty());
    }

    /** "Tool | Job" over "a. plane | i. cuts": a first row of two names, where all below it are labelled on the left. */
    private static boolean isHeadRow(List<Cues> pairs) {
        List<Cues> first = pairs.stream().filter(cues -> row(cues) == 0).toList();
        List<Cues> lefts = pairs.stream()
                .filter(cues -> row(cues) > 0)
                .filter(cues -> cues.line().layout().cell().orElseThrow().column() == 0)
                .toList();
        return first.size() == 2
                && pairs.subList(0, 2).equals(first)
                && first.stream().allMatch(cues -> cues.labels().isEmpty() && !cues.is(Cues.Trait.ENDS_SENTENCE))
                && lefts.size() > 1
                && lefts.stream().noneMatch(cues -> cues.labels().isEmpty());
    }

    private static int row(Cues cues) {
        return cues.line().layout().cell().map(Cell::row).orElse(-1);
    }

    private static boolean isHead(Cues cues) {
        return cues.is(Cues.Trait.BOLD) || cues.line().layout().isTableHead();
    }
}
