package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;

/** "0 1", "0 1 . 1", "0 1 . 2", "0 2": each digit in a box of its own on paper, which text keeps apart by spaces. */
final class SpacedNumbers {

    private static final Pattern NUMBER = Pattern.compile(
            "(\\d)\\s{1,3}(\\d)(?:\\s{0,3}\\.\\s{0,3}(\\d{1,2}))?(?:\\s+(?=[\\p{Lu}\\d\"\u201c_(])|\\s*$)");

    private static final int FEWEST = 3;

    private static final int TEN = 10;

    private SpacedNumbers() {}

    static void label(List<Cues> all) {
        List<Seen> run = new ArrayList<>();
        int last = 0;
        int lastPart = 0;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            int from = cues.piece().segment().from();
            Matcher number = NUMBER.matcher(cues.line().text())
                    .region(from, cues.piece().segment().to());
            if (!number.lookingAt() || cues.is(Cues.Trait.OFF_BODY)) {
                continue;
            }
            int value = Integer.parseInt(number.group(1)) * TEN + Integer.parseInt(number.group(2));
            int part = number.group(3) == null ? 0 : Integer.parseInt(number.group(3));
            boolean next = part == 0 ? value == last + 1 : part == (value == last ? lastPart + 1 : 1) && value >= last;
            if (next && value <= last + 1) {
                run.add(new Seen(i, label(value, part, from, number.end())));
                last = value;
                lastPart = part;
            }
        }
        if (run.size() >= FEWEST) {
            run.forEach(seen -> all.set(seen.piece(), all.get(seen.piece()).withLabels(List.of(seen.label()))));
        }
    }

    private static Label label(int value, int part, int from, int end) {
        return part == 0
                ? new Label(Label.Kind.NUMBER, value, String.valueOf(value), "9 9", from, end)
                : new Label(Label.Kind.CODE, part, value + "." + part, LabelFinder.DECIMAL_SHAPE, from, end);
    }
}
