package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;

/** "7–9. Three tools for right angles" between the questions 6 and 10: one question that takes three numbers. */
final class NumberRanges {

    private static final Pattern RANGE =
            Pattern.compile("(\\d{1,3})\\s?[-\u2013\u2014]\\s?(\\d{1,3})([.)])\\s+(?=\\p{Lu})");

    private static final int MOST = 10;

    private NumberRanges() {}

    static void label(List<Cues> all) {
        int last = 0;
        String shape = "";
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            Matcher range = RANGE.matcher(cues.line().text())
                    .region(
                            cues.piece().segment().from(),
                            cues.piece().segment().to());
            boolean possible = cues.labels().isEmpty() && !cues.is(Trait.OFF_BODY) && range.lookingAt();
            String like = possible ? "9" + range.group(3) : "";
            boolean next = possible
                    && Integer.parseInt(range.group(1)) == last + 1
                    && (shape.equals(like)
                            || shape.isEmpty() && goesOn(all, i, Integer.parseInt(range.group(2)), like));
            if (next) {
                int end = Integer.parseInt(range.group(2));
                shape = like;
                if (end > last + 1 && end <= last + MOST) {
                    List<Label> labels = new ArrayList<>(cues.labels());
                    String printed = range.group(1) + "\u2013" + range.group(2);
                    labels.add(new Label(Label.Kind.NUMBER, last + 1, printed, shape, range.start(), range.end()));
                    all.set(i, cues.withLabels(labels));
                    last = end;
                }
            }
            if (possible) {
                continue;
            }
            for (Label label : cues.labels()) {
                if (label.kind() == Label.Kind.NUMBER) {
                    last = label.ordinal();
                    shape = label.shape();
                }
            }
        }
    }

    /** Above all numbers only what goes on behind it can tell: "1–5." over "6." */
    private static boolean goesOn(List<Cues> all, int place, int end, String shape) {
        return all.subList(place + 1, all.size()).stream()
                .flatMap(cues -> cues.labels().stream())
                .filter(label -> label.kind() == Label.Kind.NUMBER)
                .findFirst()
                .filter(label -> label.ordinal() == end + 1 && label.shape().equals(shape))
                .isPresent();
    }
}
