package org.tidyleaf.question;

import java.util.ArrayList;
import java.util.List;

/**
 * A text whose lines are rows of a table, cells kept apart by em spaces, cut into what is text and what is a table.
 *
 * @param text what stands there where it is no table
 * @param rows the cells of each row; empty where it is text
 */
public record ProseRows(Prose text, List<List<Prose>> rows) {

    private static final String CELLS_APART = "\u2003";
    private static final int FEWEST = 2;

    /** The text in its order, each table by itself; pictures stand with the first block. */
    public static List<ProseRows> of(Prose prose) {
        List<ProseRows> blocks = new ArrayList<>();
        String typed = prose.typed();
        int from = 0;
        int at = 0;
        while (at < typed.length()) {
            List<List<Prose>> rows = new ArrayList<>();
            int end = at;
            while (end < typed.length() && line(typed, end).contains(CELLS_APART)) {
                rows.add(cells(prose, end, line(typed, end)));
                end = Math.min(typed.length(), end + line(typed, end).length() + 1);
            }
            if (rows.size() >= FEWEST) {
                addText(blocks, prose, from, at);
                blocks.add(new ProseRows(Prose.EMPTY, rows));
                from = end;
                at = end;
            } else {
                at = Math.min(typed.length(), at + line(typed, at).length() + 1);
            }
        }
        addText(blocks, prose, from, typed.length());
        return blocks;
    }

    public boolean isTable() {
        return !rows.isEmpty();
    }

    public int columns() {
        return rows.stream().mapToInt(List::size).max().orElse(0);
    }

    private static String line(String typed, int from) {
        int end = typed.indexOf('\n', from);
        return typed.substring(from, end < 0 ? typed.length() : end);
    }

    private static List<Prose> cells(Prose prose, int from, String line) {
        List<Prose> cells = new ArrayList<>();
        int at = from;
        for (String cell : line.split(CELLS_APART, -1)) {
            cells.add(prose.cut(at, at + cell.length()));
            at += cell.length() + CELLS_APART.length();
        }
        return cells;
    }

    private static void addText(List<ProseRows> blocks, Prose prose, int from, int to) {
        String text = prose.typed().substring(from, to);
        if (!text.isBlank()) {
            int end = from + text.stripTrailing().length();
            blocks.add(new ProseRows(prose.cut(from, end), List.of()));
        }
    }
}
