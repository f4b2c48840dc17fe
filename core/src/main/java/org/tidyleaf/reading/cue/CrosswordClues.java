package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Across" over "1. A male bee (5)" and "4. …", "Down" over "1. …" and "2. …": clues of a crossword. Their numbers leave out
 * those of the other list, and what stands in brackets behind them counts letters.
 */
public final class CrosswordClues {

    private static final String SHAPE = "Qclue";

    private static final int FEWEST = 2;

    private CrosswordClues() {}

    static void label(List<Cues> all) {
        List<List<Integer>> lists = new ArrayList<>();
        List<Integer> heads = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            String key = heads.size() % 2 == 0 ? "across" : "down";
            List<Integer> clues = isHead(all.get(i), key) ? clues(all, i + 1) : List.of();
            if (clues.size() >= FEWEST) {
                heads.add(i);
                lists.add(clues);
            }
        }
        if (heads.size() < 2) {
            return;
        }
        heads.forEach(head -> {
            all.get(head).traits().add(Trait.SECTION_WORD);
            all.set(head, all.get(head).withLabels(List.of()));
        });
        for (List<Integer> clues : lists) {
            clues.forEach(clue -> all.set(clue, clue(all.get(clue))));
        }
    }

    private static boolean isHead(Cues cues, String key) {
        String text = cues.text().strip().replaceAll("\\s*[:.]$", "").toLowerCase(Locale.ROOT);
        return Vocabulary.ALL.has(key, text);
    }

    /** The lines below with rising numbers; one that wraps goes on between them. */
    private static List<Integer> clues(List<Cues> all, int from) {
        List<Integer> clues = new ArrayList<>();
        int last = 0;
        for (int i = from; i < all.size(); i++) {
            int before = last;
            int ordinal = all.get(i)
                    .number()
                    .map(Label::ordinal)
                    .filter(number -> number > before)
                    .orElse(0);
            if (ordinal > 0) {
                clues.add(i);
                last = ordinal;
            } else if (all.get(i).number().isPresent()
                    || isHead(all.get(i), "across")
                    || isHead(all.get(i), "down")
                    || i > from && all.get(i - 1).is(Trait.ENDS_SENTENCE)) {
                break;
            }
        }
        return clues;
    }

    private static Cues clue(Cues cues) {
        Label number = cues.number().orElseThrow();
        return cues.withLabels(
                List.of(new Label(Label.Kind.CODE, 0, number.printed(), SHAPE, number.from(), number.end())));
    }

    /** Whether a question is such a clue. */
    public static boolean isOne(Draft draft) {
        return draft.cues.stream().limit(1).anyMatch(CrosswordClues::isOne);
    }

    /** Whether a line is one. */
    public static boolean isOne(Cues cues) {
        return cues.labels().stream().anyMatch(label -> label.shape().equals(SHAPE));
    }
}
