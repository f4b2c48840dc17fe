package org.tidyleaf.reading;

import java.util.List;
import java.util.regex.Pattern;

/**
 * "o świcie", "o pólen": an "o" before one blank is a bullet where it stands before several lines and no line holds it as a
 * word; in languages where it is one, a word it is at the beginning too.
 */
final class WordsAsBullets {

    private static final Pattern WITHIN = Pattern.compile("\\p{Ll}[,;]? o \\p{Ll}");

    /** One "o" within a line may be a slip. */
    private static final int FEWEST = 2;

    private WordsAsBullets() {}

    static void unlabel(List<Cues> all) {
        long within = all.stream()
                .filter(cues -> WITHIN.matcher(cues.text()).find())
                .limit(FEWEST)
                .count();
        boolean usedAsWord = within >= FEWEST;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            boolean lone = !begins(all, i - 1) && !begins(all, i + 1);
            if (cues.labels().stream().anyMatch(label -> isWord(cues, label, usedAsWord, lone))) {
                all.set(
                        i,
                        cues.withLabels(cues.labels().stream()
                                .filter(label -> !isWord(cues, label, usedAsWord, lone))
                                .toList()));
            }
        }
    }

    private static boolean begins(List<Cues> all, int piece) {
        return piece >= 0 && piece < all.size() && all.get(piece).text().matches("o\\s.*");
    }

    private static boolean isWord(Cues cues, Label label, boolean usedAsWord, boolean lone) {
        // A capital O is a ring to tick as well.
        boolean word = label.printed().equals("o") && (usedAsWord || lone)
                || label.printed().equals("O") && usedAsWord;
        return label.kind() == Label.Kind.BULLET
                && word
                && label.from() >= cues.line().labelEnd()
                && label.end() == label.from() + 2
                && cues.line().text().charAt(label.from() + 1) == ' ';
    }
}
