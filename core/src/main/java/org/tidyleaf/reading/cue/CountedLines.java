package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.Optional;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;

/** "1  The inspector looked at every", "2  frame, wrote down numbers, …": numbers of the lines of a passage, whose sentences run on from one to the next. */
final class CountedLines {

    private static final int FEWEST = 3;

    /** A shorter line is an entry of a list. */
    private static final int FULL = 45;

    private CountedLines() {}

    /** Takes the numbers off such lines. */
    static void unlabel(List<Cues> all) {
        int from = 0;
        while (from < all.size()) {
            int to = from + 1;
            int running = 0;
            while (to < all.size() && goesOn(all.get(to - 1), all.get(to))) {
                running += runsOn(all.get(to - 1), all.get(to)) ? 1 : 0;
                to++;
            }
            if (to - from >= FEWEST && running * 2 >= to - from - 1 && running > 1) {
                all.subList(from, to).replaceAll(cues -> cues.withLabels(List.of()));
            }
            from = to;
        }
    }

    /** Whether both have a bare number and the second is the next. */
    private static boolean goesOn(Cues above, Cues here) {
        return bare(above)
                .flatMap(first -> bare(here).filter(second -> second.ordinal() == first.ordinal() + 1))
                .isPresent();
    }

    private static Optional<Label> bare(Cues cues) {
        return cues.line().layout().cell().isPresent()
                ? Optional.empty()
                : cues.number().filter(label -> label.shape().equals("9"));
    }

    private static boolean runsOn(Cues above, Cues here) {
        String text = here.text().replaceFirst("^\\s*\\d+\\s*", "");
        return above.text().length() >= FULL
                && !above.is(Trait.ENDS_SENTENCE)
                && !above.is(Trait.GAP)
                && !text.isEmpty()
                && Character.isLowerCase(text.charAt(0));
    }
}
