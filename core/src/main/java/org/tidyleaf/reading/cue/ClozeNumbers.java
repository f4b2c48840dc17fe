package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;

/** "7." or "7" alone below a text with the gap "(7) ____": the text asks, and what stands below the number is offered for the gap. */
final class ClozeNumbers {

    /** "7" alone, or with what it is worth. */
    private static final Pattern BARE = Pattern.compile("(\\d{1,3})(?:\\s+(.*)|$)");

    private ClozeNumbers() {}

    /** Labels numbers without a sign: those of the gaps above, each below the one before. */
    static void label(List<Cues> all) {
        if (all.stream().noneMatch(cues -> cues.is(Trait.CLOZE))) {
            return;
        }
        Set<Integer> gaps = Set.of();
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            if (cues.is(Trait.CLOZE)) {
                String below = i + 1 < all.size() ? all.get(i + 1).text() : "";
                gaps = TraitFinder.numberedGaps(cues.text() + " " + below);
            }
            Matcher bare = BARE.matcher(cues.text());
            boolean asked = bare.matches()
                    && gaps.contains(Integer.parseInt(bare.group(1)))
                    && cues.labels().isEmpty()
                    && (bare.group(2) == null
                            || PointsFinder.only(bare.group(2)).isPresent());
            if (asked) {
                int from = cues.line()
                        .text()
                        .indexOf(bare.group(1), cues.piece().segment().from());
                int number = Integer.parseInt(bare.group(1));
                int end = from + (bare.group(2) == null ? bare.end() : bare.start(2));
                all.set(
                        i,
                        cues.withLabels(List.of(new Label(Label.Kind.NUMBER, number, bare.group(1), "9", from, end))));
            }
        }
    }
}
