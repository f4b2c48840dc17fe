package org.tidyleaf.reading;

import java.util.List;
import java.util.Optional;

/**
 * "I. Circle the correct word." with questions that begin with 1 or count on right below, and so for "II.", "III.":
 * letters or numerals over lists head groups of questions and are no options, whatever the keys at the end look like.
 */
final class ListHeads {

    private ListHeads() {}

    /** Whether a whole series of letters or numerals stands over lists. */
    static boolean are(List<Cues> all, List<Seen> series) {
        long heads = series.stream().filter(one -> isOverList(all, one.piece())).count();
        long within = series.stream()
                .filter(one -> all.get(one.piece())
                        .line()
                        .text()
                        .substring(one.label().end())
                        .matches("[(]?1[.):].*"))
                .count();
        return heads >= 2 && heads + within == series.size();
    }

    /** Whether the letter or numeral right before or after that of a place stands over a list. */
    static boolean isOne(List<Cues> all, int piece) {
        return all.get(piece).labels().stream()
                .filter(label -> label.kind() == Label.Kind.LETTER || label.kind() == Label.Kind.ROMAN)
                .anyMatch(label -> isBesideHead(all, piece, label));
    }

    private static boolean isBesideHead(List<Cues> all, int piece, Label label) {
        for (int i = 0; i < all.size(); i++) {
            boolean neighbour = i != piece
                    && all.get(i).labels().stream()
                            .anyMatch(other -> other.shape().equals(label.shape())
                                    && Math.abs(other.ordinal() - label.ordinal()) == 1);
            if (neighbour && isOverList(all, i)) {
                return true;
            }
        }
        return false;
    }

    private static boolean isOverList(List<Cues> all, int piece) {
        return piece + 1 < all.size()
                && all.get(piece + 1).labels().stream()
                        .filter(label -> label.kind() == Label.Kind.NUMBER)
                        .anyMatch(label -> label.ordinal() == 1 || countsOn(all, piece, label));
    }

    /** Whether a number is the next after the last of its kind above a place. */
    private static boolean countsOn(List<Cues> all, int piece, Label number) {
        for (int i = piece - 1; i >= 0; i--) {
            Optional<Label> last = all.get(i).labels().stream()
                    .filter(label -> label.shape().equals(number.shape()))
                    .findFirst();
            if (last.isPresent()) {
                return last.get().ordinal() + 1 == number.ordinal();
            }
        }
        return false;
    }
}
