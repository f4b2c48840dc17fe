package org.tidyleaf.reading.habit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;

/**
 * "QUESTION 1", "1.1 Choose the right answer.", "1.1.1 …": where numbers have several levels, those with deeper ones
 * right below them head groups of questions.
 */
final class DecimalHeads {

    /** A longer text behind the number asks something itself. */
    private static final int LONGEST_HEAD = 60;

    private DecimalHeads() {}

    /** Takes the heads out of the chains and gives their places. */
    static Set<Integer> takeOut(List<Cues> all, Map<String, List<Seen>> chains) {
        List<Seen> decimals = chains.getOrDefault(LabelFinder.DECIMAL_SHAPE, List.of());
        Set<Integer> heads = new HashSet<>();
        List<Seen> leaves = new ArrayList<>();
        for (int i = 0; i < decimals.size(); i++) {
            boolean parent = i + 1 < decimals.size() && isBelow(decimals.get(i + 1), decimals.get(i));
            if (parent || headsType(all, decimals.get(i).piece())) {
                heads.add(decimals.get(i).piece());
            } else {
                leaves.add(decimals.get(i));
            }
        }
        if (!leaves.isEmpty()) {
            chains.put(LabelFinder.DECIMAL_SHAPE, leaves);
        } else if (heads.stream().anyMatch(head -> headsType(all, head))) {
            chains.remove(LabelFinder.DECIMAL_SHAPE);
        }
        for (String shape : List.copyOf(chains.keySet())) {
            List<Seen> outer = chains.get(shape);
            if (decimals.isEmpty() || shape.equals(LabelFinder.DECIMAL_SHAPE)) {
                continue;
            }
            List<Seen> kept = new ArrayList<>();
            for (int i = 0; i < outer.size(); i++) {
                Seen seen = outer.get(i);
                int next = i + 1 < outer.size() ? outer.get(i + 1).piece() : all.size();
                if (isOver(all, seen, decimals, next)) {
                    heads.add(seen.piece());
                } else {
                    kept.add(seen);
                }
            }
            if (kept.isEmpty()) {
                chains.remove(shape);
            } else {
                chains.put(shape, kept);
            }
        }
        return heads;
    }

    /** "2.1 Multiple Choice Questions" and right below it "1) …". */
    private static boolean headsType(List<Cues> all, int piece) {
        return all.get(piece).is(Cues.Trait.TYPE_HEAD)
                && piece + 1 < all.size()
                && all.get(piece + 1).labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.NUMBER && label.ordinal() == 1);
    }

    /**
     * Whether the first decimal below a plain number begins with it: "QUESTION 2" and then "2.1".
     *
     * @param next where the next plain number stands
     */
    private static boolean isOver(List<Cues> all, Seen seen, List<Seen> decimals, int next) {
        int to = all.get(seen.piece()).piece().segment().to();
        String behind =
                all.get(seen.piece()).line().text().substring(seen.label().end(), to);
        return behind.length() < LONGEST_HEAD
                && !tells(all.get(seen.piece()))
                && decimals.stream()
                        .filter(decimal -> decimal.piece() > seen.piece() && decimal.piece() < next)
                        .findFirst()
                        .filter(decimal -> decimal.label()
                                .printed()
                                .startsWith(seen.label().ordinal() + ".1"))
                        .isPresent();
    }

    /** "1 A student measures a sheet of card.": what its parts are about, and no name for them. */
    private static boolean tells(Cues cues) {
        return cues.is(Cues.Trait.ENDS_SENTENCE)
                && cues.text().endsWith(".")
                && !cues.is(Cues.Trait.INSTRUCTION_WORD)
                && !cues.is(Cues.Trait.TYPE_HEAD)
                && !cues.is(Cues.Trait.BOLD);
    }

    private static boolean isBelow(Seen inner, Seen outer) {
        return inner.label().printed().startsWith(outer.label().printed() + ".");
    }
}
