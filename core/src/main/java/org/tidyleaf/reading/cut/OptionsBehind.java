package org.tidyleaf.reading.cut;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.line.ListedOptions;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Piece;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** "2. How many days has a week?   5      7      12", again and again: options far apart behind what asks for them. */
public final class OptionsBehind {

    private static final String WIDE = "(?:\\s{3,}|\\s?\\t\\s?)";
    private static final Pattern BETWEEN = Pattern.compile(WIDE);
    private static final String WORD = "(?:[^\\s_.?!:;,\u2026()\\[\\]\u2610\u25a1\u25cb]|(?<=\\d)[.,](?=\\d))+";
    private static final String OPTION = WORD + "(?:\\s" + WORD + "){0,3}";
    private static final Pattern ROW =
            Pattern.compile("(?<asked>.*?\\p{L}{2}.*?[?:.\u2026])(?:\\s{2,}|\\t)\\s*(?<options>" + OPTION + "(?:" + WIDE
                    + OPTION + "){1,5})(?<points>\\s+[(\\[]\\d{1,2}[)\\]])?\\s*");

    /** A longer line holds no question with its options. */
    private static final int LONGEST = 300;

    /** A line by itself may be anything. */
    private static final int FEWEST_LINES = 2;

    /** Of one line that says what to do with them. */
    private static final int FEWEST_TOLD = 3;

    /** Where the options stand, by the lines' numbers. */
    private final Map<Integer, Row> rows = new HashMap<>();

    /**
     * A line.
     *
     * @param start where its first option begins
     * @param end where its last ends, before what it is worth
     * @param options how many there are
     * @param told whether it says itself that one of them is to be marked
     */
    private record Row(int start, int end, int options, boolean told) {}

    OptionsBehind(Source source) {
        boolean several = false;
        for (Line line : source.lines()) {
            Optional<Row> row = row(line);
            row.ifPresent(found -> rows.put(line.number(), found));
            several |= row.filter(found -> found.options() > 2).isPresent();
        }
        if (rows.size() < FEWEST_LINES || !several) {
            rows.values().removeIf(row -> !row.told() || row.options() < FEWEST_TOLD);
        }
    }

    private static Optional<Row> row(Line line) {
        Matcher row = mayBe(line) ? ROW.matcher(line.text()) : null;
        if (row == null || !row.matches() || isLabelled(line, row.start("options"))) {
            return Optional.empty();
        }
        boolean told = Vocabulary.ALL.mentions(Words.of(row.group("asked")), "pick", "mark_words");
        boolean closed = !told && row.group("asked").endsWith(".");
        int options = BETWEEN.split(row.group("options")).length;
        return closed
                ? Optional.empty()
                : Optional.of(new Row(row.start("options"), row.end("options"), options, told));
    }

    private static boolean mayBe(Line line) {
        String text = line.text();
        return line.layout().cell().isEmpty()
                && text.length() < LONGEST
                && (text.indexOf('\t') > 0 || text.contains("   "))
                && (text.indexOf('?') > 0
                        || text.indexOf(':') > 0
                        || text.indexOf('.') > 0
                        || text.indexOf('\u2026') > 0);
    }

    private static boolean isLabelled(Line line, int start) {
        String text = line.text();
        return !LabelFinder.find(text, start, text.length()).isEmpty();
    }

    /** The question and each of its options; empty where the line is no such one. */
    List<Piece> pieces(Line line) {
        Row row = rows.get(line.number());
        if (row == null) {
            return List.of();
        }
        List<Piece> pieces = new ArrayList<>();
        pieces.add(new Piece(new Segment(line.number(), 0, row.start()), true));
        Matcher between = BETWEEN.matcher(line.text()).region(row.start(), row.end());
        int at = row.start();
        while (between.find()) {
            pieces.add(new Piece(new Segment(line.number(), at, between.start()), false));
            at = between.end();
        }
        boolean worth = !line.text().substring(row.end()).isBlank();
        int end = worth ? row.end() : line.text().length();
        pieces.add(new Piece(new Segment(line.number(), at, end), false));
        if (worth) {
            pieces.add(new Piece(new Segment(line.number(), end, line.text().length()), false));
        }
        return pieces;
    }

    /** Empty labels that say the place of each option in its line. */
    public static void label(List<Cues> all) {
        for (int i = 0; i + 1 < all.size(); i++) {
            Line line = all.get(i).line();
            Optional<Row> row = all.get(i).piece().first() ? row(line) : Optional.empty();
            boolean begins = row.isPresent()
                    && all.get(i + 1).line() == line
                    && all.get(i + 1).piece().segment().from() == row.get().start();
            for (int at = i + 1; begins && at < all.size() && all.get(at).line() == line; at++) {
                int from = all.get(at).piece().segment().from();
                if (from >= row.get().end()) {
                    break;
                }
                Label label = new Label(Label.Kind.LETTER, at - i, "", ListedOptions.SHAPE, from, from);
                all.set(at, all.get(at).withLabels(List.of(label)));
            }
        }
    }
}
