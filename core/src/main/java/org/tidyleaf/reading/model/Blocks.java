package org.tidyleaf.reading.model;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.reading.Role;

/**
 * What stands below a question as one block of its own shape.
 *
 * @param byPiece for places among the pieces that belong to such a block, what they are in it
 */
public record Blocks(Map<Integer, Kind> byPiece) {

    /** The part of a block that a piece is. */
    public enum Kind {
        /** What asks for the pairs below it. */
        LEAD,
        /** The same with a number of its own, or apart from what stands above. */
        NEW_LEAD,
        /** The same below a number that stands alone, with notes for the author between. */
        LEAD_ON,
        /** A pair's line, or one of the two cells of a pair. */
        PAIR,
        /** A step to be ordered, with a blank for its number before it. */
        STEP,
        /** The number in the room beside a step: its place, if it is told. */
        STEP_PLACE,
        /** Room for the answers to all questions, or what announces it. */
        ANSWER_GRID,
        /** The name of a column of steps. */
        TABLE_HEAD,
        /** A cell of a grid of statements against columns. */
        ROW,
        /** A cell of a table to complete. */
        CELL,
        /** A line that goes on with its question, whatever its letters or numbers look like. */
        LISTED,
        /** One of the options of all questions below. */
        OFFERED,
        /** Words to choose from. */
        WORDS,
        /** The text that the words go into. */
        GAPPED,
        /** Which goes with which, below the pairs. */
        PAIR_KEY,
        /** The answer to one gap of the text above. */
        GAP_ANSWER,
        /** A cell of a table of grades. */
        SCALE,
        /** A further question within a lettered part: "(ii) …" below "(c) (i) …". */
        SUB_PART,
        /** The first line of a text that questions below are about. */
        PASSAGE,
        /** A further one. */
        PASSAGE_ON
    }

    /** The places of what stands inside blocks, not of what asks for them. */
    public Set<Integer> inside() {
        Set<Integer> inside = new HashSet<>(byPiece.keySet());
        inside.removeIf(piece -> Set.of(Kind.LEAD, Kind.LEAD_ON, Kind.NEW_LEAD).contains(byPiece.get(piece)));
        return inside;
    }

    Blocks without(Set<Integer> pieces) {
        Map<Integer, Kind> others = new HashMap<>(byPiece);
        others.keySet().removeAll(pieces);
        return new Blocks(Map.copyOf(others));
    }

    /** Whether the piece asks for the block below it. */
    public boolean isLead(int piece) {
        return at(piece)
                .filter(kind -> kind == Kind.LEAD || kind == Kind.LEAD_ON || kind == Kind.NEW_LEAD)
                .isPresent();
    }

    public Optional<Kind> at(int piece) {
        return Optional.ofNullable(byPiece.get(piece));
    }

    /** The only step that fits, given the one before. */
    Optional<Step> step(int piece, Step from) {
        int inside = Math.max(0, from.option());
        return at(piece).map(kind -> switch (kind) {
            case LEAD -> new Step(Role.STEM, from.role() == Role.STEM && from.option() == 0, 0);
            case LEAD_ON -> new Step(Role.STEM, from.inQuestion(), 0);
            case NEW_LEAD -> new Step(Role.STEM, false, 0);
            case PAIR -> new Step(Role.PAIR, false, inside);
            case STEP -> new Step(Role.OPTION, false, inside + 1);
            case ROW, CELL -> new Step(Role.ROW, false, inside);
            case WORDS -> new Step(Role.WORDS, false, inside);
            case OFFERED -> new Step(Role.WORDS, false, Step.OUTSIDE);
            case GAP_ANSWER, PAIR_KEY, STEP_PLACE -> new Step(Role.KEY, false, inside);
            case SCALE -> new Step(Role.ASIDE, false, Step.OUTSIDE);
            case TABLE_HEAD, ANSWER_GRID -> new Step(Role.ASIDE, false, from.option());
            case PASSAGE -> new Step(Role.STIMULUS, false, Step.OUTSIDE);
            case PASSAGE_ON -> new Step(Role.STIMULUS, true, Step.OUTSIDE);
            case GAPPED, LISTED -> new Step(Role.STEM, true, 0);
            case SUB_PART ->
                from.option() > 0 ? new Step(Role.OPTION, true, from.option()) : new Step(Role.STEM, true, 0);
        });
    }
}
