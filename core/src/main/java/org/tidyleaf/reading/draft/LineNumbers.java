package org.tidyleaf.reading.draft;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** "  5   settle the matter": the numbers that count every fifth line of a passage, in its left or right margin. */
final class LineNumbers {

    private static final Pattern LEFT = Pattern.compile("\\s*(\\d{1,3})(?:\\s{2,}|\\t\\s*|\\s*$)");
    private static final Pattern RIGHT = Pattern.compile("(?:\\s{2,}|\\t)\\s*(\\d{1,3})\\s*$");
    private static final Pattern REFERENCE = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("line") + "\\.?\\s*\\d");

    /** Passages are counted in fives, or in tens. */
    private static final int STEP = 5;

    private LineNumbers() {}

    /** Whether somebody asks about a line by its number, so that lines and numbers have to stay. */
    static boolean areNeeded(Source source) {
        return source.lines().stream()
                .filter(line -> line.text().chars().anyMatch(Character::isDigit))
                .anyMatch(line -> REFERENCE.matcher(line.text()).find());
    }

    /** The passage without such numbers; as it is where its margins hold none that count on. */
    static List<Segment> without(Source source, List<Segment> passage) {
        for (Pattern margin : List.of(LEFT, RIGHT)) {
            List<Segment> cut = new ArrayList<>();
            int last = 0;
            int found = 0;
            for (Segment segment : passage) {
                Matcher matcher =
                        margin.matcher(source.line(segment.line()).text()).region(segment.from(), segment.to());
                boolean here = margin == LEFT ? matcher.lookingAt() : matcher.find();
                int value = here ? Integer.parseInt(matcher.group(1)) : 0;
                if (here && value % STEP == 0 && value > last && value <= last + 2 * STEP) {
                    last = value;
                    found++;
                    cut.add(
                            margin == LEFT
                                    ? new Segment(segment.line(), matcher.end(), segment.to())
                                    : new Segment(segment.line(), segment.from(), matcher.start()));
                } else {
                    cut.add(segment);
                }
            }
            if (found > 1 || found == 1 && last == STEP && passage.size() < 2 * STEP) {
                return cut;
            }
        }
        return passage;
    }
}
