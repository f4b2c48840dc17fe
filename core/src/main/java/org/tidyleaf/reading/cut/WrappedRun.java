package org.tidyleaf.reading.cut;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/**
 * "… i. honey ii. nectar" above "iii. wax iv. pollen", or above "wax iv. pollen": options side by side that wrap, of which
 * either line may hold too few to tell.
 *
 * @param fromAbove whether it begins on the line above
 * @param convincing whether both lines together hold enough of it
 */
record WrappedRun(boolean fromAbove, boolean convincing) {

    /** What is longer did not wrap. */
    private static final int LONGEST = 400;

    /** @param labels those of one shape on the line, in their order; at least one */
    static WrappedRun of(Source source, Line line, List<Label> labels) {
        if (line.text().length() > LONGEST) {
            return new WrappedRun(false, false);
        }
        Label first = labels.get(0);
        Label last = labels.get(labels.size() - 1);
        List<Label> above = lettersOf(source, line.number() - 1, first.shape());
        List<Label> below = lettersOf(source, line.number() + 1, first.shape());
        boolean fromAbove =
                !above.isEmpty() && !isOfHead(line.text(), first) && isFollowedBy(above.get(above.size() - 1), first);
        boolean goesOn = !below.isEmpty() && isFollowedBy(last, below.get(0));
        int before = fromAbove ? inRow(reversed(above), -1) : 0;
        int behind = goesOn ? inRow(below, 1) : 0;
        int most = Math.max(labels.size(), Math.max(before, behind));
        int all = labels.size() + before + behind;
        // One letter on each line letters the lines.
        boolean convincing = all >= PieceSplitter.CONVINCING_RUN && most > 1;
        return new WrappedRun(fromAbove && convincing, (fromAbove || goesOn) && convincing);
    }

    /** How many of the first labels count on by a step. */
    private static int inRow(List<Label> labels, int step) {
        int count = 1;
        while (count < labels.size()
                && labels.get(count).ordinal() == labels.get(count - 1).ordinal() + step) {
            count++;
        }
        return count;
    }

    private static List<Label> reversed(List<Label> labels) {
        List<Label> reversed = new ArrayList<>(labels);
        Collections.reverse(reversed);
        return reversed;
    }

    private static List<Label> lettersOf(Source source, int number, String shape) {
        if (number < 1 || number > source.lines().size()) {
            return List.of();
        }
        String text = source.line(number).text();
        if (text.length() > LONGEST) {
            return List.of();
        }
        return IntStream.range(0, text.length())
                .filter(at -> at == 0 || Character.isWhitespace(text.charAt(at - 1)))
                .boxed()
                .flatMap(at -> LabelFinder.lettersAt(text, at, text.length()).stream())
                .filter(label -> label.shape().equals(shape) && !isOfHead(text, label))
                .toList();
    }

    /** "Part E: …" below D. */
    private static boolean isOfHead(String text, Label label) {
        String before = text.substring(0, label.from()).stripTrailing();
        int from = before.length();
        while (from > 0 && !Character.isWhitespace(before.charAt(from - 1))) {
            from--;
        }
        String word = before.substring(from);
        return Vocabulary.ALL.has("section", word) || Vocabulary.ALL.has("question", word);
    }

    private static boolean isFollowedBy(Label label, Label next) {
        return next.shape().equals(label.shape()) && next.ordinal() == label.ordinal() + 1;
    }
}
