package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** "A 12 mm", "B 15 mm", "C 18 mm" on lines one below the other: letters without a full stop, known by their run. */
final class BareLetters {

    private static final Pattern BARE = Pattern.compile("([A-H])(?:\\s+)(?=\\S)");

    private BareLetters() {}

    /** Adds a label to each piece of such a run of at least two; "A" alone is a word. */
    static void label(List<Cues> all) {
        for (int i = 0; i < all.size(); i++) {
            if (isLetter(all.get(i), 'A')) {
                int end = i + 1;
                while (end < all.size() && isLetter(all.get(end), (char) ('A' + end - i))) {
                    end++;
                }
                for (int at = i; at < end && end - i > 1; at++) {
                    add(all, at, at - i + 1);
                }
            }
        }
    }

    private static boolean isLetter(Cues cues, char letter) {
        Matcher matcher = BARE.matcher(cues.text());
        return cues.labels().isEmpty()
                && matcher.lookingAt()
                && matcher.group(1).charAt(0) == letter;
    }

    private static void add(List<Cues> all, int at, int ordinal) {
        Cues cues = all.get(at);
        int from = cues.piece().segment().from();
        while (Character.isWhitespace(cues.line().text().charAt(from))) {
            from++;
        }
        Matcher matcher = BARE.matcher(cues.line().text())
                .region(from, cues.piece().segment().to());
        if (matcher.lookingAt()) {
            List<Label> labels = new ArrayList<>(
                    List.of(new Label(Label.Kind.LETTER, ordinal, matcher.group(1), "A", from, matcher.end())));
            all.set(at, cues.withLabels(labels));
        }
    }
}
