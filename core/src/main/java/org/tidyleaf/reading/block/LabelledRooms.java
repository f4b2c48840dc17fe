package org.tidyleaf.reading.block;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.BankWords;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Label the parts of the hive.", a picture, perhaps words to choose from, and "A ________   D ________" over "B ________   E
 * ________": letters of the picture with room for their names, however many stand in a line. They are no options.
 */
final class LabelledRooms {

    private static final Pattern NAMES_ASKED =
            Vocabulary.pattern(".*\\b" + Vocabulary.ALL.either("name_parts") + "\\b.*");

    private static final Pattern ROOM =
            Pattern.compile("(?:^|\\s)[(\\[]?([A-Z]|\\d{1,2})[)\\].:=]?\\s{0,3}[_.\u2026]{4,}(?=\\s|$)");

    private static final int FEWEST = 3;

    /** In pieces, between what asks for the names and the room for them. */
    private static final int FARTHEST = 12;

    private LabelledRooms() {}

    static Map<Integer, Blocks.Kind> find(List<Cues> all) {
        Map<Integer, Blocks.Kind> found = new HashMap<>();
        for (int i = 0; i < all.size(); i++) {
            boolean asks = all.get(i).line().layout().cell().isEmpty()
                    && Vocabulary.ALL.mentions(all.get(i).words(), "name_parts")
                    && NAMES_ASKED.matcher(all.get(i).text()).matches();
            if (asks) {
                below(all, i, found);
            }
        }
        return found;
    }

    private static void below(List<Cues> all, int lead, Map<Integer, Blocks.Kind> found) {
        int from = lead + 1;
        while (from < all.size() && from <= lead + FARTHEST && mayStandBetween(all.get(from))) {
            from++;
        }
        List<String> letters = new ArrayList<>();
        int end = from;
        while (end < all.size() && !labels(all.get(end)).isEmpty()) {
            letters.addAll(labels(all.get(end)));
            end++;
        }
        boolean several = end - from < letters.size() || from > lead + 1;
        if (!several || !areAll(letters)) {
            return;
        }
        found.put(lead, Blocks.Kind.NEW_LEAD);
        for (int i = lead + 1; i < end; i++) {
            Cues cues = all.get(i);
            boolean words = i < from
                    && !cues.is(Trait.FIGURE_ONLY)
                    && (cues.line().layout().cell().isPresent() || BankWords.isWords(cues.text()));
            found.put(i, words ? Blocks.Kind.WORDS : Blocks.Kind.LISTED);
        }
    }

    /** A picture, what stands for one, or words to choose from. */
    private static boolean mayStandBetween(Cues cues) {
        return labels(cues).isEmpty()
                && cues.number().isEmpty()
                && (cues.is(Trait.FIGURE_ONLY)
                        || cues.line().layout().cell().isPresent()
                        || cues.text().matches("\\[[^\\]]{3,80}]")
                        || BankWords.isWords(cues.text()));
    }

    /** The letters of a line that holds nothing but letters with room. */
    private static List<String> labels(Cues cues) {
        String text = cues.text();
        if (text.indexOf('_') < 0 && text.indexOf('.') < 0 && text.indexOf('\u2026') < 0) {
            return List.of();
        }
        Matcher room = ROOM.matcher(text);
        List<String> labels = room.results().map(found -> found.group(1)).toList();
        return room.replaceAll("").isBlank() ? labels : List.of();
    }

    /** In whatever order, A to F or 1 to 6. */
    private static boolean areAll(List<String> letters) {
        TreeSet<Integer> places = new TreeSet<>();
        for (String letter : letters) {
            places.add(Character.isDigit(letter.charAt(0)) ? Integer.parseInt(letter) : letter.charAt(0) - 'A' + 1);
        }
        return letters.size() >= FEWEST
                && places.size() == letters.size()
                && places.first() == 1
                && places.last() == letters.size();
    }
}
