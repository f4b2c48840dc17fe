package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/**
 * "★★ 2. A stone …", "2. ★★ A stone …", "2) (**) A stone …": stars before or behind several numbers tell how hard a question is.
 * They letter and mark nothing.
 */
public final class LevelsBesideNumbers {

    private static final String STARS = "(?:[\u2605\u2606\u2729\u272a\u2b50]{1,5}|[(\\[]\\*{1,4}[)\\]])";

    private static final Pattern ALONE = Pattern.compile(STARS);

    private static final Pattern BEFORE = Pattern.compile("\\s*(" + STARS + ")\\s*(?=[\\p{L}\\d(#])");
    private static final Pattern BEHIND = Pattern.compile("\\s*(" + STARS + ")\\s*(?=\\S)");

    /** One may be any sign. */
    private static final int FEWEST = 2;

    private LevelsBesideNumbers() {}

    static void label(List<Cues> all) {
        List<Integer> places = new ArrayList<>();
        List<Label> numbers = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Optional<Label> number = number(all.get(i));
            if (number.isPresent()) {
                places.add(i);
                numbers.add(number.get());
            }
        }
        for (int i = 0; places.size() >= FEWEST && i < places.size(); i++) {
            all.set(places.get(i), all.get(places.get(i)).withLabels(List.of(numbers.get(i))));
        }
    }

    /** The number with its stars as one label; empty where the line has no stars beside a number. */
    private static Optional<Label> number(Cues cues) {
        String text = cues.line().text();
        int from = cues.piece().segment().from();
        int to = cues.piece().segment().to();
        if (cues.text().isEmpty() || !mayHaveStars(cues.text())) {
            return Optional.empty();
        }
        Matcher before = BEFORE.matcher(text).region(from, to);
        int start = before.lookingAt() ? before.end() : from;
        return LabelFinder.find(text, start, to).stream()
                .filter(label -> label.kind() == Label.Kind.NUMBER)
                .findFirst()
                .flatMap(label -> {
                    Matcher behind = BEHIND.matcher(text).region(label.end(), to);
                    int end = behind.lookingAt() ? behind.end() : label.end();
                    return start > from || end > label.end()
                            ? Optional.of(
                                    new Label(label.kind(), label.ordinal(), label.printed(), label.shape(), from, end))
                            : Optional.empty();
                });
    }

    private static boolean mayHaveStars(String text) {
        return text.chars().limit(12).anyMatch(sign -> "\u2605\u2606\u2729\u272a\u2b50*".indexOf(sign) >= 0);
    }

    /** The stars within such a label; empty where it has none. */
    public static Optional<String> of(Cues cues, Label label) {
        Matcher stars = ALONE.matcher(cues.line().text().substring(Math.min(label.from(), label.end()), label.end()));
        return stars.find() ? Optional.of(stars.group()) : Optional.empty();
    }
}
