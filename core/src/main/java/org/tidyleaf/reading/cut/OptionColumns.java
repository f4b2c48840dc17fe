package org.tidyleaf.reading.cut;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Piece;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;

/**
 * "A. wax   C. pollen" above "B. honey   D. resin": options that run down the columns, set with wide spaces or in cells.
 * They are read down, not across.
 */
final class OptionColumns {

    private static final int MOST_ROWS = 6;
    /** A cheap look for a further letter on the line. */
    private static final Pattern FURTHER = Pattern.compile("\\s[(\\[]?[B-Hb-h][.)\\]]\\s");

    private static final Pattern WORD_START = Pattern.compile("(?<=^|\\s)\\S");

    private final List<Line> lines;

    OptionColumns(List<Line> lines) {
        this.lines = lines;
    }

    /** How many lines from a place on form one such block, and its pieces in the order of their letters. */
    record Block(int lines, List<Piece> pieces) {}

    /** The block that begins at a place; empty where none does. */
    Optional<Block> at(int place) {
        return lines.get(place).layout().cell().isPresent()
                ? cells(place)
                : spaced(place, true)
                        .or(() -> FURTHER.matcher(lines.get(place).text()).find()
                                ? spaced(place, false)
                                : Optional.empty());
    }

    /** @param wide whether wide spaces part the columns; where they are narrow, each row has to show that letters run down */
    private Optional<Block> spaced(int place, boolean wide) {
        List<List<Label>> rows = new ArrayList<>();
        while (place + rows.size() < lines.size() && rows.size() < MOST_ROWS) {
            Line line = lines.get(place + rows.size());
            List<Label> row = line.layout().cell().isEmpty() ? letters(line.text(), wide) : List.of();
            boolean lone = rows.isEmpty() && row.size() < 2;
            if (row.isEmpty()
                    || lone
                    || !rows.isEmpty() && row.size() > rows.get(0).size()) {
                break;
            }
            rows.add(row);
        }
        for (int count = rows.size(); count > 1; count--) {
            List<List<Label>> block = rows.subList(0, count);
            if (runsDown(block) && (wide || block.stream().allMatch(row -> row.size() > 1))) {
                return Optional.of(new Block(count, pieces(place, block)));
            }
        }
        return Optional.empty();
    }

    /** The letter that begins the line and those of its shape further on; empty where the line begins otherwise. */
    private static List<Label> letters(String text, boolean behindWide) {
        List<Label> letters = new ArrayList<>();
        Matcher start = WORD_START.matcher(text);
        while (start.find()) {
            boolean wide = !behindWide
                    || start.start() > 0
                            && (text.charAt(start.start() - 1) == '\t'
                                    || start.start() > 1
                                            && text.substring(start.start() - 2, start.start())
                                                    .isBlank());
            if (!letters.isEmpty() && !wide) {
                continue;
            }
            Optional<Label> letter = LabelFinder.letterAt(text, start.start(), text.length());
            if (letters.isEmpty() && letter.isEmpty()) {
                return List.of();
            }
            letter.filter(label -> letters.isEmpty()
                            || label.shape().equals(letters.get(0).shape()))
                    .ifPresent(letters::add);
        }
        return letters;
    }

    private static boolean runsDown(List<List<Label>> rows) {
        for (int row = 0; row < rows.size(); row++) {
            for (int column = 0; column < rows.get(row).size(); column++) {
                Label label = rows.get(row).get(column);
                boolean alike = label.shape().equals(rows.get(0).get(0).shape());
                if (!alike || label.ordinal() != 1 + column * rows.size() + row) {
                    return false;
                }
            }
        }
        // Only the last column may be shorter.
        return rows.stream().allMatch(row -> row.size() >= rows.get(0).size() - 1);
    }

    private List<Piece> pieces(int place, List<List<Label>> rows) {
        Map<Integer, Piece> sorted = new TreeMap<>();
        for (int row = 0; row < rows.size(); row++) {
            Line line = lines.get(place + row);
            List<Label> labels = rows.get(row);
            for (int column = 0; column < labels.size(); column++) {
                int from = column == 0 ? 0 : labels.get(column).from();
                int to = column + 1 < labels.size()
                        ? labels.get(column + 1).from()
                        : line.text().length();
                sorted.put(labels.get(column).ordinal(), new Piece(new Segment(line.number(), from, to), column == 0));
            }
        }
        return List.copyOf(sorted.values());
    }

    private Optional<Block> cells(int place) {
        int table = lines.get(place).layout().cell().orElseThrow().table();
        Map<Integer, List<Piece>> sorted = new TreeMap<>();
        boolean down = false;
        int count = 0;
        int end = place;
        while (end < lines.size() && isOf(table, end)) {
            Line line = lines.get(end);
            Optional<Label> letter =
                    LabelFinder.letterAt(line.text(), 0, line.text().length());
            if (letter.isEmpty() || sorted.containsKey(letter.get().ordinal())) {
                return Optional.empty();
            }
            List<Piece> option = new ArrayList<>(List.of(new Piece(line.whole(), true)));
            boolean alone = letter.get().end() >= line.text().length();
            for (int i = end + 1; alone && isBeside(line, i); i++) {
                option.add(new Piece(lines.get(i).whole(), true));
            }
            count++;
            down |= letter.get().ordinal() != count;
            end += option.size();
            sorted.put(letter.get().ordinal(), option);
        }
        boolean whole = sorted.containsKey(1) && sorted.containsKey(count) && count > 3;
        List<Piece> pieces = sorted.values().stream().flatMap(List::stream).toList();
        return down && whole ? Optional.of(new Block(end - place, pieces)) : Optional.empty();
    }

    private boolean isOf(int table, int place) {
        return lines.get(place)
                .layout()
                .cell()
                .filter(cell -> cell.table() == table)
                .isPresent();
    }

    /** Whether a line stands in the cell right behind that of a letter alone. */
    private boolean isBeside(Line letter, int place) {
        Cell left = letter.layout().cell().orElseThrow();
        return place < lines.size()
                && lines.get(place)
                        .layout()
                        .cell()
                        .filter(cell -> cell.table() == left.table()
                                && cell.row() == left.row()
                                && cell.column() == left.column() + 1)
                        .isPresent();
    }
}
