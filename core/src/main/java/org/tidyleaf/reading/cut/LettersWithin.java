package org.tidyleaf.reading.cut;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Piece;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/**
 * "1 Which is a unit of mass? A metre B gram C litre", again and again: options behind what asks for them, their letters between
 * single blanks and without a sign.
 */
final class LettersWithin {

    private static final String OPTION = "(?!\\s)(?:(?!\\s[A-E]\\s).){1,50}?";

    private static final Pattern ROW =
            Pattern.compile("\\s*\\d{1,3}[.):]?\\s+\\S(?:(?!\\sB\\s).)*?\\s(?<a>A)\\s" + OPTION
                    + "\\s(?<b>B)\\s" + OPTION + "\\s(?<c>C)\\s" + OPTION + "(?:\\s(?<d>D)\\s" + OPTION
                    + "(?:\\s(?<e>E)\\s" + OPTION + ")?)?\\s*");

    private static final List<String> LETTERS = List.of("a", "b", "c", "d", "e");

    /** Fewer such lines may hold the names of something. */
    private static final int FEWEST = 3;

    /** A longer line is no question with its options. */
    private static final int LONGEST = 300;

    private final Map<Integer, List<Integer>> cuts = new HashMap<>();

    LettersWithin(Source source) {
        for (Line line : source.lines()) {
            String text = line.text();
            boolean possible = text.length() < LONGEST && text.contains(" B ") && text.contains(" C ");
            Matcher row = possible ? ROW.matcher(text) : null;
            if (row != null && row.matches() && line.layout().cell().isEmpty()) {
                cuts.put(
                        line.number(),
                        LETTERS.stream()
                                .map(row::start)
                                .filter(start -> start >= 0)
                                .toList());
            }
        }
        if (cuts.size() < FEWEST) {
            cuts.clear();
        }
    }

    /** The question and each of its options; empty where the line is no such one. */
    List<Piece> pieces(Line line) {
        List<Piece> pieces = new ArrayList<>();
        int from = 0;
        for (int cut : cuts.getOrDefault(line.number(), List.of())) {
            pieces.add(new Piece(new Segment(line.number(), from, cut), pieces.isEmpty()));
            from = cut;
        }
        if (from > 0) {
            pieces.add(new Piece(new Segment(line.number(), from, line.text().length()), false));
        }
        return pieces;
    }
}
