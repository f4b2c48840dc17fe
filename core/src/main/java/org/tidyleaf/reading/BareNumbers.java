package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * "1 What did the writer do?", "2 Where …": numbers without a full stop. They count where nothing else numbers the
 * questions and they run on through the document.
 */
final class BareNumbers {

    private static final Pattern BARE = Pattern.compile("(\\d{1,3})(?:\\s+(?=[\\p{Lu}\u00bf\u00a1\"\u201c_(])|\\s*$)");

    /** A shorter run may be numbers of something else at the beginning of lines. */
    private static final int IN_EARNEST = 3;

    private BareNumbers() {}

    static void label(List<Cues> all) {
        boolean numbered = all.stream()
                .flatMap(cues -> cues.labels().stream())
                .anyMatch(label -> label.kind() == Label.Kind.NUMBER && label.ordinal() == 1);
        List<Integer> run = numbered ? List.of() : run(all);
        if (run.size() >= IN_EARNEST) {
            for (int i = 0; i < run.size(); i++) {
                add(all, run.get(i), i + 1);
            }
        }
    }

    /** The places of 1, 2, 3, … in order. */
    private static List<Integer> run(List<Cues> all) {
        List<Integer> run = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Matcher matcher = BARE.matcher(all.get(i).text());
            boolean next = all.get(i).line().layout().cell().isEmpty()
                    && matcher.lookingAt()
                    && Integer.parseInt(matcher.group(1)) == run.size() + 1;
            if (next) {
                run.add(i);
            }
        }
        return run;
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
            List<Label> labels = new ArrayList<>(cues.labels());
            labels.add(new Label(Label.Kind.NUMBER, ordinal, matcher.group(1), "9", from, matcher.end()));
            all.set(at, cues.withLabels(labels));
        }
    }
}
