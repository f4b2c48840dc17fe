package org.tidyleaf.reading.model;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.reading.Role;

/** What the layout of larger parts settles before single lines are looked at: lists of answers, tables of
 * questions, blocks of pairs and the like. */
public record Layouts(KeyList keyList, Columns columns, Blocks blocks) {

    /** Pieces whose labels say nothing about how questions are numbered. */
    public Set<Integer> settled() {
        Set<Integer> settled = new HashSet<>(keyList.pieces());
        settled.addAll(blocks.inside());
        settled.addAll(columns.labels());
        return settled;
    }

    /** The same, but that those pieces begin parts of questions and go on with nothing. */
    public Layouts without(Set<Integer> parts) {
        return new Layouts(keyList, columns, blocks.without(parts));
    }

    /** The only step possible for a piece, where its part's layout settles it. */
    public Optional<Step> step(int piece, Step from) {
        return keyList.pieces().contains(piece)
                ? Optional.of(new Step(Role.KEY, false, Step.OUTSIDE))
                : columns.step(piece, from).or(() -> blocks.step(piece, from));
    }
}
