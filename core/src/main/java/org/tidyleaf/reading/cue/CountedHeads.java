package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Task A – Tick the box.", "Task B – Complete the text.", "Test II. True or false", "Test III. Essay": a word with letters or
 * numerals that count on through the paper heads its parts.
 */
final class CountedHeads {

    private static final Pattern HEAD = Pattern.compile(
            "(\\p{Lu}\\p{L}{2,20})\\s(?:([A-H])(?:\\s*[.:)\u2013\u2014-]\\s*\\S.*)?|([IVX]{1,4})\\s*[.:)\u2013\u2014-].*)");

    private static final List<String> NUMERALS = List.of("I", "II", "III", "IV", "V", "VI", "VII", "VIII", "IX", "X");

    private static final int FEWEST_LETTERS = 3;

    /** Nothing else is counted in numerals behind a word. */
    private static final int FEWEST_NUMERALS = 2;

    private static final int LONGEST = 160;

    /** Between two of them stand at least so many lines, or they are a list. */
    private static final int APART = 2;

    private CountedHeads() {}

    /** The lines of one word; letters and numerals are kept apart. */
    private record Counted(List<Integer> places, int last) {}

    static void mark(List<Cues> all) {
        Map<String, Counted> series = new TreeMap<>();
        for (int i = 0; i < all.size(); i++) {
            Optional<Matcher> head = head(all.get(i));
            if (head.isEmpty() || isBesideFigure(all, i)) {
                continue;
            }
            boolean letter = head.get().group(2) != null;
            int ordinal = letter
                    ? head.get().group(2).charAt(0) - 'A' + 1
                    : NUMERALS.indexOf(head.get().group(3)) + 1;
            String key = head.get().group(1) + (letter ? " A" : " I");
            Counted above = series.get(key);
            // The first numeral is often left out, where its directions stand right below the title.
            boolean first = above == null && (ordinal == 1 || !letter && ordinal == 2);
            boolean next = above != null
                    && ordinal == above.last() + 1
                    && i - above.places().get(above.places().size() - 1) > APART;
            if (first || next) {
                List<Integer> places = new ArrayList<>(first ? List.of() : above.places());
                places.add(i);
                series.put(key, new Counted(places, ordinal));
            }
        }
        series.forEach((key, counted) -> {
            int fewest = key.endsWith("A") ? FEWEST_LETTERS : FEWEST_NUMERALS;
            if (counted.places().size() >= fewest) {
                counted.places().forEach(i -> all.get(i).traits().add(Trait.SECTION_WORD));
            }
        });
    }

    /** "Figure B" is the name of a picture. */
    private static boolean isBesideFigure(List<Cues> all, int piece) {
        return piece > 0 && all.get(piece - 1).is(Trait.FIGURE_ONLY)
                || piece + 1 < all.size() && all.get(piece + 1).is(Trait.FIGURE_ONLY);
    }

    private static Optional<Matcher> head(Cues cues) {
        Matcher head = HEAD.matcher(cues.text());
        boolean possible = cues.text().length() < LONGEST
                && cues.line().layout().cell().isEmpty()
                && !cues.is(Trait.OFF_BODY)
                && !cues.is(Trait.PASSAGE_HEAD)
                && head.matches()
                && !Vocabulary.ALL.has("option", head.group(1))
                && !Vocabulary.ALL.has("passage_head", head.group(1));
        return possible ? Optional.of(head) : Optional.empty();
    }
}
