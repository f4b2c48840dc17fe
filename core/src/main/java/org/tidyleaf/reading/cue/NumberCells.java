package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Cell;

/** A table for each question, whose first cell holds nothing but its number. */
final class NumberCells {

    private static final Pattern NUMBER = Pattern.compile("\\s*[(]?(\\d{1,3})[.):]?\\s*");
    private static final int SEVERAL = 2;

    private NumberCells() {}

    static void label(List<Cues> all) {
        List<Integer> firsts = new ArrayList<>();
        for (int i = 0; i + 1 < all.size(); i++) {
            if (isFirst(all, i) && number(all.get(i)) > 0) {
                firsts.add(i);
            }
        }
        boolean count = firsts.size() >= SEVERAL;
        for (int i = 1; i < firsts.size(); i++) {
            count &= number(all.get(firsts.get(i))) == number(all.get(firsts.get(i - 1))) + 1;
        }
        for (int i : count ? firsts : List.<Integer>of()) {
            Cues cues = all.get(i);
            int end = cues.piece().segment().to();
            int from = cues.piece().segment().from();
            String printed = String.valueOf(number(cues));
            all.set(i, cues.withLabels(List.of(new Label(Label.Kind.NUMBER, number(cues), printed, "9", from, end))));
        }
    }

    /** The first cell of a table that goes on beside it with words. */
    private static boolean isFirst(List<Cues> all, int piece) {
        Optional<Cell> cell = all.get(piece).line().layout().cell();
        Optional<Cell> beside = all.get(piece + 1).line().layout().cell();
        return cell.isPresent()
                && beside.isPresent()
                && cell.get().row() == 0
                && cell.get().column() == 0
                && beside.get().table() == cell.get().table()
                && beside.get().row() == 0
                && beside.get().column() == 1
                && all.get(piece + 1).labels().isEmpty()
                && all.get(piece + 1).words().size() > 2;
    }

    private static int number(Cues cues) {
        Matcher number = NUMBER.matcher(cues.text());
        boolean bare = cues.labels().stream().allMatch(label -> label.kind() == Label.Kind.NUMBER);
        return bare && number.matches() ? Integer.parseInt(number.group(1)) : 0;
    }
}
