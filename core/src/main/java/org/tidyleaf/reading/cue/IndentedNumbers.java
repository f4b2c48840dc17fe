package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.tidyleaf.reading.line.KeyHeadings;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;

/**
 * "1. Tick the right answer." and, further in, "1. The metre is …", "2. A mile is …", then "2. Fill in.": numbers of the same
 * kind at two depths are two series.
 */
final class IndentedNumbers {

    /** Twentieths of a point: less than three typed spaces is an uneven margin. */
    private static final int DEEPER = 150;

    private static final int FEWEST = 4;

    private IndentedNumbers() {}

    /** Gives the deeper numbers a shape of their own. */
    static void label(List<Cues> all) {
        Map<String, List<Seen>> series = new TreeMap<>();
        // The answers at the end count in their own way.
        for (int i = 0; i < all.size() && !KeyHeadings.isHeading(all, i); i++) {
            Cues cues = all.get(i);
            if (cues.line().layout().cell().isPresent() || cues.is(Cues.Trait.OFF_BODY)) {
                continue;
            }
            for (Label label : cues.labels()) {
                if (label.kind() == Label.Kind.NUMBER && !Label.isWorded(label.shape())) {
                    series.computeIfAbsent(label.shape(), s -> new ArrayList<>())
                            .add(new Seen(i, label));
                }
            }
        }
        series.values().stream().filter(seen -> seen.size() >= FEWEST).forEach(seen -> deepen(all, seen));
    }

    private static void deepen(List<Cues> all, List<Seen> seen) {
        int margin = seen.stream().mapToInt(s -> indent(all, s)).min().orElseThrow();
        List<Seen> inner = new ArrayList<>();
        int outer = 0;
        int run = 0;
        for (Seen s : seen) {
            int ordinal = s.label().ordinal();
            boolean deep = indent(all, s) - margin >= DEEPER;
            boolean next = deep ? outer > 0 && ordinal == run + 1 : ordinal == outer + 1 || ordinal == 1;
            if (!next) {
                return;
            }
            run = deep ? ordinal : 0;
            outer = deep ? outer : ordinal;
            if (deep) {
                inner.add(s);
            }
        }
        if (inner.size() > 1 && outer > 1) {
            inner.forEach(s -> all.set(s.piece(), deeper(all.get(s.piece()), s.label())));
        }
    }

    private static int indent(List<Cues> all, Seen seen) {
        return all.get(seen.piece()).line().layout().indent();
    }

    private static Cues deeper(Cues cues, Label label) {
        List<Label> labels = new ArrayList<>(cues.labels());
        labels.replaceAll(other -> other.equals(label) ? label.ofShape(label.shape() + ">") : other);
        return cues.withLabels(labels);
    }
}
