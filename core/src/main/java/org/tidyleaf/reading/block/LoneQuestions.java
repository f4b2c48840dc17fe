package org.tidyleaf.reading.block;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.GapSigns;

/**
 * "C. Complete the text" and below it a text with gaps, "D. Open question" and below it a sentence with room to write: what
 * stands alone below the heading of a part, without a number, is its one question.
 */
final class LoneQuestions {

    private LoneQuestions() {}

    /** The pieces that begin such questions. */
    static Set<Integer> find(List<Cues> all) {
        Set<Integer> found = new HashSet<>();
        for (int i = 2; i < all.size(); i++) {
            boolean below = (isPartHead(all.get(i - 1)) || isHeadAmongLists(all, i - 1)) && isText(all.get(i));
            if (below && (hasGap(all.get(i)) || hasRoomBelow(all, i)) && isAlone(all, i)) {
                found.add(i);
            }
        }
        return found;
    }

    /** Lettered or called a part, and set like a heading. */
    private static boolean isPartHead(Cues cues) {
        boolean lettered = cues.labels().stream()
                .anyMatch(label -> (label.kind() == Label.Kind.LETTER || label.kind() == Label.Kind.ROMAN)
                        && label.printed().matches("\\p{Lu}.*"));
        return cues.line().layout().cell().isEmpty()
                && (cues.is(Trait.SECTION_WORD) || lettered && cues.looksLikeHeading());
    }

    /** "C. Complete the text with these words: …", where "A." and "B." stand over numbers from 1. */
    private static boolean isHeadAmongLists(List<Cues> all, int piece) {
        Cues cues = all.get(piece);
        Optional<Label> letter = cues.labels().stream()
                .filter(label ->
                        label.kind() == Label.Kind.LETTER && label.printed().matches("\\p{Lu}") && label.ordinal() > 1)
                .findFirst();
        return letter.isPresent()
                && cues.is(Trait.INSTRUCTION_WORD)
                && IntStream.range(0, all.size() - 1)
                        .anyMatch(i -> i != piece
                                && all.get(i).labels().stream()
                                        .anyMatch(label -> label.shape()
                                                .equals(letter.get().shape()))
                                && all.get(i + 1)
                                        .number()
                                        .filter(one -> one.ordinal() == 1)
                                        .isPresent());
    }

    private static boolean isText(Cues cues) {
        return cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && cues.sign().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && !cues.is(Trait.OFF_BODY)
                && !cues.is(Trait.FILL_IN)
                && !cues.is(Trait.WRITING_LINE)
                && !cues.is(Trait.CLOZE)
                && cues.text().contains(" ");
    }

    private static boolean hasGap(Cues cues) {
        return GapSigns.count(cues.text()) > 0;
    }

    private static boolean hasRoomBelow(List<Cues> all, int piece) {
        return all.get(piece).is(Trait.ENDS_SENTENCE)
                && piece + 1 < all.size()
                && all.get(piece + 1).is(Trait.WRITING_LINE);
    }

    /** Behind it and its room the next part begins, or nothing does. */
    private static boolean isAlone(List<Cues> all, int piece) {
        int next = piece + 1;
        while (next < all.size()
                && (all.get(next).is(Trait.WRITING_LINE) || hasGap(all.get(next)) && isText(all.get(next)))) {
            next++;
        }
        return next == all.size()
                || isPartHead(all.get(next))
                || isHeadAmongLists(all, next)
                || next + 1 < all.size()
                        && all.get(next + 1)
                                .number()
                                .filter(one -> one.ordinal() == 1)
                                .isPresent()
                || all.get(next).is(Trait.END_WORD)
                || all.get(next).lead().isPresent();
    }
}
