package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Cell;

/** A table with a text and a box to tick in each row, drawn or an empty cell, before them a letter perhaps, and nothing else: its texts are options. */
final class BoxCells {

    private static final Pattern BOX = Pattern.compile(
            "[\u2610\u25a1\u25a2\u25cb\u25ef]|(?<ticked>[\u2611\u2612\u25a0\u25cf\u2713\u2714])|[(\\[]\\s*(?<tick>[xX\u2713\u2714]?)\\s*[)\\]]");

    private static final Pattern LETTER = Pattern.compile("([A-Ha-h])[.)]?");

    private static final Pattern TICK = Pattern.compile("[xX\u00d7\u2713\u2714\u2612\u2611]");

    private static final int FEWEST = 2;

    private BoxCells() {}

    /** Gives each text the box of its row; the box's own cell is nothing to read any more. */
    static void label(List<Cues> all) {
        besideEmptyCells(all);
        int from = 0;
        while (from < all.size()) {
            int columns = cell(all, from).map(Cell::columns).orElse(0);
            int to = from;
            while (to + columns <= all.size() && isRow(all, to, columns) && isAlike(all, from, to)) {
                to += columns;
            }
            for (int row = from; to - from >= columns * FEWEST && row < to; row += columns) {
                label(all, row, columns);
            }
            from = Math.max(to, from + 1);
        }
    }

    /** "Tick two." over rows of a statement and a cell to tick, which is empty or in which a teacher's copy has a tick. */
    private static void besideEmptyCells(List<Cues> all) {
        for (int i = 1; i < all.size(); i++) {
            Cues lead = all.get(i - 1);
            boolean asks = cell(all, i - 1).isEmpty()
                    && Vocabulary.ALL.mentions(lead.words(), "tick")
                    && !Vocabulary.ALL.mentions(lead.words(), "fill_table")
                    && JudgedBy.in(lead.text()).isEmpty();
            if (asks) {
                tickRows(all, i, lead.number().isPresent());
            }
        }
    }

    private static void tickRows(List<Cues> all, int first, boolean numbered) {
        List<Integer> texts = new ArrayList<>();
        Set<Integer> ticked = new HashSet<>();
        int at = first;
        while (at < all.size() && isText(all, at) && isRowOf(all, first, at, texts.size())) {
            texts.add(at);
            if (isTickBeside(all, at)) {
                ticked.add(at);
                at++;
            }
            at++;
        }
        boolean whole = at == all.size() || !sharesTable(all, first, at);
        boolean told = ticked.isEmpty()
                ? numbered
                        && texts.stream()
                                .allMatch(piece -> all.get(piece).text().contains(" "))
                : ticked.size() < texts.size();
        for (int piece : texts.size() > FEWEST && whole && told ? texts : List.<Integer>of()) {
            Cues cues = all.get(piece);
            all.set(piece, cues.withBoxBehind(cues.piece().segment().to(), ticked.contains(piece)));
            if (ticked.contains(piece)) {
                all.set(piece + 1, all.get(piece + 1).withLabels(List.of()));
                all.get(piece + 1).traits().add(Cues.Trait.RULE);
            }
        }
    }

    private static boolean isText(List<Cues> all, int piece) {
        return cell(all, piece)
                        .filter(cell -> cell.columns() == 2 && cell.column() == 0)
                        .isPresent()
                && all.get(piece).labels().isEmpty()
                && !all.get(piece).is(Cues.Trait.GAP);
    }

    private static boolean isTickBeside(List<Cues> all, int piece) {
        return piece + 1 < all.size()
                && sharesTable(all, piece, piece + 1)
                && cell(all, piece + 1).orElseThrow().column() == 1
                && cell(all, piece + 1).orElseThrow().row()
                        == cell(all, piece).orElseThrow().row()
                && TICK.matcher(all.get(piece + 1).text().strip()).matches();
    }

    private static boolean isRowOf(List<Cues> all, int first, int piece, int place) {
        return sharesTable(all, first, piece)
                && cell(all, piece).orElseThrow().row()
                        == cell(all, first).orElseThrow().row() + place;
    }

    private static boolean sharesTable(List<Cues> all, int first, int piece) {
        return cell(all, first).isPresent()
                && cell(all, first).map(Cell::table).equals(cell(all, piece).map(Cell::table));
    }

    private static void label(List<Cues> all, int row, int columns) {
        int last = row + columns - 1;
        int box = isBox(all.get(row)) ? row : last;
        int text = box == row ? row + 1 : row;
        boolean ticked = isTicked(all.get(box));
        Cues option =
                all.get(text).withBoxBehind(all.get(text).piece().segment().to(), ticked);
        Matcher letter = LETTER.matcher(all.get(text).text());
        boolean lettered = columns > 2 && letter.matches();
        all.set(
                text,
                lettered
                        ? option.withLabels(List.of(letter(option, letter.group(1))))
                        : option.has(Label.Kind.LETTER)
                                ? option.withLabels(all.get(text).labels())
                                : option);
        all.set(box, all.get(box).withLabels(List.of()));
        all.get(box).traits().add(Cues.Trait.RULE);
    }

    private static Label letter(Cues cues, String printed) {
        int ordinal = Character.toUpperCase(printed.charAt(0)) - 'A' + 1;
        int from = cues.piece().segment().from();
        return new Label(
                Label.Kind.LETTER,
                ordinal,
                printed,
                "A in a cell",
                from,
                cues.piece().segment().to());
    }

    private static boolean isBox(Cues cues) {
        return BOX.matcher(cues.text().strip()).matches();
    }

    private static boolean isTicked(Cues box) {
        Matcher matcher = BOX.matcher(box.text().strip());
        return matcher.matches()
                && (matcher.group("ticked") != null
                        || matcher.group("tick") != null
                                && !matcher.group("tick").isEmpty());
    }

    private static boolean isRow(List<Cues> all, int piece, int columns) {
        Optional<Cell> first = cell(all, piece);
        if (columns < 2 || columns > 3 || first.isEmpty() || first.get().columns() != columns) {
            return false;
        }
        for (int i = 0; i < columns; i++) {
            Optional<Cell> cell = cell(all, piece + i);
            boolean inRow = cell.filter(other -> other.table() == first.get().table()
                            && other.row() == first.get().row())
                    .isPresent();
            if (!inRow || cell.get().column() != i) {
                return false;
            }
        }
        boolean boxBehind = isBox(all.get(piece + columns - 1));
        return columns == 2
                ? boxBehind != isBox(all.get(piece))
                : boxBehind && LETTER.matcher(all.get(piece).text()).matches() && !isBox(all.get(piece + 1));
    }

    private static boolean isAlike(List<Cues> all, int first, int piece) {
        return cell(all, first).map(Cell::table).equals(cell(all, piece).map(Cell::table))
                && isBox(all.get(first)) == isBox(all.get(piece));
    }

    private static Optional<Cell> cell(List<Cues> all, int piece) {
        return all.get(piece).line().layout().cell();
    }
}
