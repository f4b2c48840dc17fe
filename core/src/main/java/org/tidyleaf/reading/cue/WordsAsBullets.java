package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Cell;

/**
 * "o świcie", "o pólen": an "o" before one blank is a bullet where it stands before several lines and no line holds it as a
 * word; in languages where it is one, a word it is at the beginning too.
 */
final class WordsAsBullets {

    private static final Pattern WITHIN = Pattern.compile("\\p{Ll}[,;]?(?: [|/])? o \\p{Ll}");

    /** One "o" within a line may be a slip. */
    private static final int FEWEST = 2;

    private WordsAsBullets() {}

    static void unlabel(List<Cues> all) {
        if (all.stream().noneMatch(cues -> cues.has(Label.Kind.BULLET))) {
            return;
        }
        long within = all.stream()
                .filter(cues -> WITHIN.matcher(cues.line().text()).find())
                .limit(FEWEST)
                .count();
        boolean usedAsWord = within >= FEWEST;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            if (!cues.has(Label.Kind.BULLET)) {
                continue;
            }
            boolean lone = !begins(all, i, i - 1) && !begins(all, i, i + 1) || isOneOfOthers(all, i);
            if (cues.labels().stream().anyMatch(label -> isWord(cues, label, usedAsWord, lone))) {
                all.set(
                        i,
                        cues.withLabels(cues.labels().stream()
                                .filter(label -> !isWord(cues, label, usedAsWord, lone))
                                .toList()));
            }
        }
    }

    /** "o metro", "a tonelada" in one cell: bullets stand before all of its lines. */
    private static boolean isOneOfOthers(List<Cues> all, int piece) {
        Optional<Cell> cell = all.get(piece).line().layout().cell();
        int from = piece;
        while (cell.isPresent()
                && from > 0
                && all.get(from - 1).line().layout().cell().equals(cell)) {
            from--;
        }
        for (int i = from;
                cell.isPresent()
                        && i < all.size()
                        && all.get(i).line().layout().cell().equals(cell);
                i++) {
            if (!all.get(i).text().matches("o\\s.*")) {
                return true;
            }
        }
        return false;
    }

    /** Whether a neighbour, in the same cell if there are cells, begins so too. */
    private static boolean begins(List<Cues> all, int piece, int neighbour) {
        return neighbour >= 0
                && neighbour < all.size()
                && all.get(neighbour).text().matches("[oO]\\s.*")
                && all.get(neighbour)
                        .line()
                        .layout()
                        .cell()
                        .equals(all.get(piece).line().layout().cell());
    }

    private static boolean isWord(Cues cues, Label label, boolean usedAsWord, boolean lone) {
        // A capital O is a ring to tick as well, but "O que …" alone is no ring.
        String text = cues.line().text();
        boolean goesOn = label.end() < text.length() && Character.isLowerCase(text.charAt(label.end()));
        boolean word = label.printed().equals("o") && (usedAsWord || lone)
                || label.printed().equals("O") && (usedAsWord || lone && goesOn);
        return label.kind() == Label.Kind.BULLET
                && word
                && label.from() >= cues.line().labelEnd()
                && label.end() == label.from() + 2
                && cues.line().text().charAt(label.from() + 1) == ' ';
    }
}
