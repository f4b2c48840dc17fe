package org.tidyleaf.intake;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Layout;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Source;
import org.tidyleaf.source.Span;

/**
 * Statements with boxes to tick in columns, set with spaces or tabs instead of a table: the lines are cut into cells, so
 * that they read as the table they look like.
 */
final class TickedColumns {

    private static final String TICK =
            "(?:[\u2713\u2714\u2715\u2717\u2610\u2611\u2612\u25a1\u25cb\u25cf\u25ef]|\\[[ xX]?]|\\([ xX]?\\)|[oO](?=\\s|$))";
    /** What the last of the ticks may end with. */
    private static final String LAST_SIGNS = "\u2713\u2714\u2715\u2717\u2610\u2611\u2612\u25a1\u25cb\u25cf\u25ef])oO";

    private static final String APART = "(?:\\s*\\t\\s*|\\s{2,})";
    private static final Pattern ROW = Pattern.compile("(\\S.*?)((?:" + APART + TICK + "){2,8})\\s*");
    private static final Pattern ONE = Pattern.compile(TICK);
    /** "9   The speaker …": its number, and what it counts. */
    private static final Pattern NUMBERED = Pattern.compile("([(]?(\\d{1,3})[.):]?)\\s+(\\S.*)");

    private static final Pattern PHRASE = Pattern.compile("\\S+(?:[^\\S\\t]\\S+)*");

    private static final int LONGEST_HEAD = 24;

    private final Source source;
    private final List<Line> lines = new ArrayList<>();
    private final int[] places;
    private int table;

    private TickedColumns(Source source) {
        this.source = source;
        this.places = new int[source.lines().size()];
        this.table = source.lines().stream()
                .flatMap(line -> line.layout().cell().stream())
                .mapToInt(Cell::table)
                .max()
                .orElse(-1);
    }

    /** The source with such lines as cells; the same where there are none. */
    static Source asTables(Source source) {
        boolean any = source.lines().stream().anyMatch(line -> ticks(line) > 0);
        return any ? new TickedColumns(source).run() : source;
    }

    private static int ticks(Line line) {
        if (line.layout().cell().isPresent() || line.layout().place() != Place.BODY || !endsInTick(line.text())) {
            return 0;
        }
        Matcher row = ROW.matcher(line.text());
        return row.matches() && !ONE.matcher(row.group(1)).lookingAt()
                ? (int) ONE.matcher(row.group(2)).results().count()
                : 0;
    }

    /** A cheap look before the pattern is tried. */
    private static boolean endsInTick(String text) {
        String row = text.stripTrailing();
        return !row.isEmpty() && LAST_SIGNS.indexOf(row.charAt(row.length() - 1)) >= 0;
    }

    private Source run() {
        int at = 0;
        while (at < source.lines().size()) {
            int rows = rowsBelow(at);
            if (rows > 1) {
                table(at, rows);
                at += rows + 1;
            } else {
                places[at] = lines.size() + 1;
                add(source.lines().get(at), 0, source.lines().get(at).text().length(), Optional.empty());
                at++;
            }
        }
        List<Note> notes = source.notes().stream()
                .map(note -> new Note(places[note.line() - 1], note.kind(), note.message()))
                .toList();
        return new Source(source.name(), source.format(), lines, source.figures(), notes, source.pages());
    }

    /** How many rows with as many ticks as the line has heads follow it. */
    private int rowsBelow(int head) {
        List<Line> all = source.lines();
        if (head + 2 >= all.size() || ticks(all.get(head)) > 0) {
            return 0;
        }
        int columns = ticks(all.get(head + 1));
        int rows = 0;
        while (columns > 0 && head + 1 + rows < all.size() && ticks(all.get(head + 1 + rows)) == columns) {
            rows++;
        }
        return columns > 0 && heads(all.get(head), columns).isEmpty() ? 0 : rows;
    }

    /** The places of the column heads: the last words or phrases of the line that wide spaces part; empty if too few. */
    private static List<int[]> heads(Line line, int columns) {
        List<int[]> phrases = new ArrayList<>();
        Matcher phrase = PHRASE.matcher(line.text());
        while (phrase.find()) {
            phrases.add(new int[] {phrase.start(), phrase.end()});
        }
        boolean fits = phrases.size() == columns || phrases.size() == columns + 1;
        List<int[]> heads = fits ? phrases.subList(phrases.size() - columns, phrases.size()) : List.of();
        return heads.stream().allMatch(head -> head[1] - head[0] <= LONGEST_HEAD) ? heads : List.of();
    }

    /** Whether the rows count on from one to the next, so that their numbers are a column of their own. */
    private boolean areNumbered(int head, int rows) {
        int last = 0;
        for (int row = 1; row <= rows; row++) {
            Matcher number = NUMBERED.matcher(source.lines().get(head + row).text());
            if (!number.matches() || last > 0 && Integer.parseInt(number.group(2)) != last + 1) {
                return false;
            }
            last = Integer.parseInt(number.group(2));
        }
        return true;
    }

    private void table(int head, int rows) {
        table++;
        int before = areNumbered(head, rows) ? 2 : 1;
        int columns = ticks(source.lines().get(head + 1));
        Line line = source.lines().get(head);
        List<int[]> heads = heads(line, columns);
        places[head] = lines.size() + 1;
        if (!line.text().substring(0, heads.get(0)[0]).isBlank()) {
            add(line, 0, heads.get(0)[0], cell(0, before - 1, before + columns));
        }
        for (int i = 0; i < columns; i++) {
            add(line, heads.get(i)[0], heads.get(i)[1], cell(0, before + i, before + columns));
        }
        for (int row = 1; row <= rows; row++) {
            row(head + row, row, before, columns);
        }
    }

    /** @param before how many columns stand left of those to tick: the statements', and perhaps their numbers' */
    private void row(int place, int row, int before, int columns) {
        Line line = source.lines().get(place);
        Matcher matcher = ROW.matcher(line.text());
        if (!matcher.matches()) {
            throw new IllegalStateException("line " + line.number() + " has lost its ticks");
        }
        places[place] = lines.size() + 1;
        Matcher number = NUMBERED.matcher(line.text());
        int statement = before > 1 && number.matches() ? number.end(1) : 0;
        if (statement > 0) {
            add(line, 0, statement, cell(row, 0, before + columns));
        }
        int from = statement > 0 ? number.start(3) : 0;
        add(line, from, matcher.end(1), cell(row, before - 1, before + columns));
        Matcher tick =
                ONE.matcher(line.text()).region(matcher.start(2), line.text().length());
        for (int column = before; tick.find(); column++) {
            add(line, tick.start(), tick.end(), cell(row, column, before + columns));
        }
    }

    private Optional<Cell> cell(int row, int column, int columns) {
        return Optional.of(new Cell(table, row, column, columns));
    }

    private void add(Line line, int from, int to, Optional<Cell> cell) {
        List<Span> spans = line.spans().stream()
                .filter(span -> span.from() < to && span.to() > from)
                .map(span -> new Span(
                        Math.max(span.from(), from) - from,
                        Math.min(span.to(), to) - from,
                        span.emphasis(),
                        span.color(),
                        span.figure()))
                .toList();
        Layout was = line.layout();
        Layout layout = cell.isEmpty()
                ? was
                : new Layout(
                        was.indent(),
                        from == 0 ? was.spaceBefore() : 0,
                        was.style(),
                        was.place(),
                        cell,
                        false,
                        was.box());
        int labelEnd = from == 0 ? Math.min(line.labelEnd(), to) : 0;
        lines.add(new Line(lines.size() + 1, line.text().substring(from, to), labelEnd, spans, layout));
    }
}
