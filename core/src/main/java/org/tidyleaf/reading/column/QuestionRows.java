package org.tidyleaf.reading.column;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Columns;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.source.Cell;

/**
 * A table with a numbered question in each row, "1 | Which bee lays the eggs? | 2", and between them rows of other kinds: options in
 * rows of their own ("  | A) the queen" or "A | the queen"), heads of parts ("SECTION B: Words") with what is to be done there, and
 * the sum of the points.
 */
final class QuestionRows {

    private static final int FEWEST_OPTIONS = 2;

    private static final int FEWEST_QUESTIONS = 2;

    private static final int MOST_HEAD_WORDS = 12;

    private static final Pattern NUMBER = Pattern.compile("[(]?(?:\\p{L}{1,8}\\s?)?(\\d{1,3})[.):]?");

    private static final Pattern LETTER = Pattern.compile("[(\\[]?([A-Ha-h])[.):\\]]?");

    private static final Pattern LETTER_BEFORE = Pattern.compile("[(\\[]?([A-Ha-h])[.):\\]]\\s*\\S.*");

    private final List<Cues> all;
    private final Map<Integer, Columns.Use> heads;
    private final Map<Integer, Columns.Use> uses = new HashMap<>();

    /** How many options the question has so far that is being gone through. */
    private int options;

    /** How many questions have as many options as one can choose from. */
    private int chosen;

    private int questions;
    private int parts;

    /** The number that was read last, and whether the next one may begin anew. */
    private int last = -1;

    private boolean anew = true;

    private QuestionRows(List<Cues> all, Map<Integer, Columns.Use> heads) {
        this.all = all;
        this.heads = heads;
    }

    /**
     * What its cells are for; empty where the table is no such one, or has no rows but those of questions.
     *
     * @param rows without the row of heads; rows and columns give the place of the first piece in each cell
     * @param heads what that row says of the columns, if there is one
     */
    static Map<Integer, Columns.Use> find(
            List<Cues> all, Map<Integer, Map<Integer, Integer>> rows, Map<Integer, Columns.Use> heads) {
        QuestionRows found = new QuestionRows(all, heads);
        boolean whole = rows.values().stream().map(TreeMap::new).allMatch(found::row);
        boolean convincing = found.chosen > 0 || found.parts > 0 && found.questions >= FEWEST_QUESTIONS;
        return whole && convincing ? found.uses : Map.of();
    }

    private boolean row(TreeMap<Integer, Integer> row) {
        return question(row) || last > 0 && option(row) || head(row) || last > 0 && sum(row);
    }

    private boolean question(TreeMap<Integer, Integer> row) {
        Matcher number = NUMBER.matcher(row.containsKey(0) && row.containsKey(1) ? text(row, 0) : "");
        if (!number.matches()) {
            return false;
        }
        int value = Integer.parseInt(number.group(1));
        if (value != last + 1 && !anew) {
            return false;
        }
        last = value;
        anew = false;
        options = 0;
        questions++;
        row.forEach((column, piece) -> uses.put(piece, behind(column, piece)));
        uses.put(row.get(0), new Columns.Use(Columns.Kind.NUMBER, "", true));
        uses.put(row.get(1), new Columns.Use(Columns.Kind.QUESTION, "", false));
        return true;
    }

    private Columns.Use behind(int column, int piece) {
        return heads.getOrDefault(column, OptionCells.behind(all.get(piece)));
    }

    /** Whether it is the next option of the question above, letter and text in two cells or in one. */
    private boolean option(TreeMap<Integer, Integer> row) {
        if (!row.containsKey(1)) {
            return false;
        }
        boolean apart = row.containsKey(0);
        Matcher letter = (apart ? LETTER : LETTER_BEFORE).matcher(text(row, apart ? 0 : 1));
        if (!letter.matches() || !letter.group(1).equalsIgnoreCase(next())) {
            return false;
        }
        row.forEach((column, piece) -> uses.put(piece, behind(column, piece)));
        if (apart) {
            uses.put(row.get(0), new Columns.Use(Columns.Kind.LABEL, "", false));
        }
        take(row.get(1), apart ? letter.group(1) : "");
        if (!apart) {
            // Where a page ends, the next row may have come into the same cell.
            OptionCells.cell(all, row.get(1)).stream()
                    .skip(1)
                    .filter(this::isNext)
                    .forEach(piece -> take(piece, ""));
        }
        return true;
    }

    private String next() {
        return String.valueOf((char) ('a' + options));
    }

    private boolean isNext(int piece) {
        Matcher letter = LETTER_BEFORE.matcher(all.get(piece).text().strip());
        return letter.matches() && letter.group(1).equalsIgnoreCase(next());
    }

    private void take(int piece, String letter) {
        options++;
        chosen += options == FEWEST_OPTIONS ? 1 : 0;
        uses.put(piece, new Columns.Use(Columns.Kind.OPTION, letter, false));
    }

    /** Whether nothing but the head of a part stands in it, and what is to be done there, and perhaps what it is worth. */
    private boolean head(TreeMap<Integer, Integer> row) {
        Map.Entry<Integer, Integer> first = row.firstEntry();
        Cues head = all.get(first.getValue());
        boolean alone = row.tailMap(first.getKey(), false).values().stream()
                .allMatch(piece -> PointsFinder.bare(all.get(piece).text()).isPresent());
        boolean over = first.getKey() == 0
                || head.is(Cues.Trait.BOLD)
                || head.is(Cues.Trait.SECTION_WORD)
                || head.is(Cues.Trait.TYPE_HEAD)
                || head.is(Cues.Trait.GROUP_HEAD)
                || columns(head) == 1;
        boolean asks = head.is(Cues.Trait.GAP) || head.is(Cues.Trait.QUESTION_MARK);
        // "Points | 2" is a field of the question above.
        boolean field = Optional.ofNullable(
                        ColumnHeads.find(all, Map.of(0, first.getValue())).get(0))
                .filter(use -> use.kind() == Columns.Kind.POINTS)
                .isPresent();
        boolean wordy = head.words().size() > MOST_HEAD_WORDS;
        if (!alone || !over || asks || field || wordy || head.is(Cues.Trait.END_WORD)) {
            return false;
        }
        // "Answer in full sentences." in a row of its own below the head of the part.
        boolean told = anew && parts > 0 && !head.is(Cues.Trait.SECTION_WORD);
        parts++;
        anew = true;
        row.values().forEach(piece -> uses.put(piece, new Columns.Use(Columns.Kind.HEAD, "", false)));
        List<Integer> lines = OptionCells.cell(all, first.getValue());
        lines.forEach(piece -> uses.put(
                piece,
                new Columns.Use(
                        piece == lines.get(0) && !told ? Columns.Kind.SECTION : Columns.Kind.TOLD,
                        "",
                        lines.indexOf(piece) < 2)));
        return true;
    }

    /** "Total | 20". */
    private boolean sum(TreeMap<Integer, Integer> row) {
        boolean sum = all.get(row.firstEntry().getValue()).is(Cues.Trait.END_WORD);
        if (sum) {
            row.values().forEach(piece -> uses.put(piece, new Columns.Use(Columns.Kind.HEAD, "", false)));
        }
        return sum;
    }

    private static int columns(Cues cues) {
        return cues.line().layout().cell().map(Cell::columns).orElse(0);
    }

    private String text(Map<Integer, Integer> row, int column) {
        return all.get(row.get(column)).text().strip();
    }
}
