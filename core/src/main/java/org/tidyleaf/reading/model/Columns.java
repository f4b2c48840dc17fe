package org.tidyleaf.reading.model;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.tidyleaf.reading.Role;

/**
 * What the heads of tables say about their cells.
 *
 * @param byPiece for places among the pieces that stand in a table of questions, what their column is for
 * @param room the places of questions with an empty column beside them, to write in
 * @param judgements how statements are judged, by their places
 */
public record Columns(Map<Integer, Use> byPiece, Set<Integer> room, Map<Integer, Judgement> judgements) {

    /** What a column is for. */
    public enum Kind {
        HEAD,
        NUMBER,
        QUESTION,
        OPTION,
        RIGHT_OPTION,
        ANSWER,
        POINTS,
        ROOM,
        FEEDBACK,
        HINT,
        LABEL,
        PASSAGE,
        SECTION,
        TOLD
    }

    /**
     * A cell's use.
     *
     * @param name of an option's column its letter, of a label's its head, of a number the whole of it where its cell has only a
     *     part, of a passage the numbers it is for; else empty
     * @param beginsRow whether it is the first cell of its row
     */
    public record Use(Kind kind, String name, boolean beginsRow) {}

    /**
     * The two words beside a statement, or above the columns to tick beside it.
     *
     * @param marked which of them is ticked, 0-based
     */
    public record Judgement(List<String> words, Optional<Integer> marked) {}

    public Optional<Use> at(int piece) {
        return Optional.ofNullable(byPiece.get(piece));
    }

    /** The places of what the author notes in columns of their own: "CO1" there numbers nothing. */
    Set<Integer> labels() {
        return byPiece.entrySet().stream()
                .filter(entry -> entry.getValue().kind() == Kind.LABEL)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    /** The only step that fits the column, given the one before. */
    Optional<Step> step(int piece, Step from) {
        int inside = Math.max(0, from.option());
        return at(piece).map(use -> switch (use.kind()) {
            case HEAD -> new Step(Role.ASIDE, false, Step.OUTSIDE);
            case NUMBER -> new Step(Role.STEM, false, 0);
            case QUESTION -> new Step(Role.STEM, !use.beginsRow(), 0);
            case OPTION, RIGHT_OPTION -> new Step(Role.OPTION, false, inside + 1);
            case ANSWER -> new Step(Role.KEY, false, inside);
            case POINTS -> new Step(Role.POINTS, false, inside);
            case FEEDBACK -> new Step(Role.FEEDBACK, false, inside);
            case HINT -> new Step(Role.HINT, false, inside);
            case LABEL, ROOM -> new Step(Role.ASIDE, false, inside);
            case SECTION -> new Step(Role.SECTION, !use.beginsRow(), Step.OUTSIDE);
            case TOLD -> new Step(Role.INSTRUCTION, !use.beginsRow(), Step.OUTSIDE);
            case PASSAGE -> new Step(Role.STIMULUS, !use.beginsRow(), Step.OUTSIDE);
        });
    }
}
