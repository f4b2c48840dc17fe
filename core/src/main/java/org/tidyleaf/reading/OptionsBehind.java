package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** "2. How many days has a week?   5      7      12", again and again: options far apart behind what asks for them. */
final class OptionsBehind {

    private static final String WIDE = "(?:\\s{3,}|\\s?\\t\\s?)";
    private static final Pattern BETWEEN = Pattern.compile(WIDE);
    private static final String WORD = "(?:[^\\s_.?!:;,\u2026()\\[\\]\u2610\u25a1\u25cb]|(?<=\\d)[.,](?=\\d))+";
    private static final String OPTION = WORD + "(?:\\s" + WORD + "){0,3}";
    private static final Pattern ROW = Pattern.compile(
            ".*?\\p{L}{2}.*?[?:\u2026](?:\\s{2,}|\\t)\\s*(" + OPTION + "(?:" + WIDE + OPTION + "){1,5})\\s*");

    /** A longer line holds no question with its options. */
    private static final int LONGEST = 300;

    /** A line by itself may be anything. */
    private static final int FEWEST_LINES = 2;

    /** Where the first option begins, by the lines' numbers. */
    private final Map<Integer, Integer> starts = new HashMap<>();

    OptionsBehind(Source source) {
        boolean several = false;
        for (Line line : source.lines()) {
            Matcher row = ROW.matcher(line.text());
            if (mayBe(line) && row.matches() && !isLabelled(line, row.start(1))) {
                starts.put(line.number(), row.start(1));
                several |= BETWEEN.split(row.group(1)).length > 2;
            }
        }
        if (starts.size() < FEWEST_LINES || !several) {
            starts.clear();
        }
    }

    private static boolean mayBe(Line line) {
        String text = line.text();
        return line.layout().cell().isEmpty()
                && text.length() < LONGEST
                && (text.indexOf('\t') > 0 || text.contains("   "))
                && (text.indexOf('?') > 0 || text.indexOf(':') > 0 || text.indexOf('\u2026') > 0);
    }

    private static boolean isLabelled(Line line, int start) {
        String text = line.text();
        return !LabelFinder.find(text, start, text.length()).isEmpty();
    }

    /** The question and each of its options; empty where the line is no such one. */
    List<Piece> pieces(Line line) {
        Integer start = starts.get(line.number());
        if (start == null) {
            return List.of();
        }
        List<Piece> pieces = new ArrayList<>();
        pieces.add(new Piece(new Segment(line.number(), 0, start), true));
        Matcher between = BETWEEN.matcher(line.text())
                .region(start, line.text().stripTrailing().length());
        int at = start;
        while (between.find()) {
            pieces.add(new Piece(new Segment(line.number(), at, between.start()), false));
            at = between.end();
        }
        pieces.add(new Piece(new Segment(line.number(), at, line.text().length()), false));
        return pieces;
    }

    /** Empty labels that say the place of each option in its line. */
    static void label(List<Cues> all) {
        for (int i = 0; i + 1 < all.size(); i++) {
            Line line = all.get(i).line();
            Matcher row = all.get(i).piece().first() && mayBe(line) ? ROW.matcher(line.text()) : null;
            boolean begins = row != null
                    && row.matches()
                    && !isLabelled(line, row.start(1))
                    && all.get(i + 1).line() == line
                    && all.get(i + 1).piece().segment().from() == row.start(1);
            for (int at = i + 1; begins && at < all.size() && all.get(at).line() == line; at++) {
                int from = all.get(at).piece().segment().from();
                Label label = new Label(Label.Kind.LETTER, at - i, "", ListedOptions.SHAPE, from, from);
                all.set(at, all.get(at).withLabels(List.of(label)));
            }
        }
    }
}
