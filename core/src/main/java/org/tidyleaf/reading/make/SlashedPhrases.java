package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * "The queen lays some eggs / some wax / some honey.": phrases of several words parted by strokes at the end of a sentence. How long the
 * first of them is shows in those between, or in the word that all of them begin with.
 */
final class SlashedPhrases {

    private static final int MOST_WORDS = 4;

    private SlashedPhrases() {}

    /** The phrases as they stand; empty where single words are parted, or nothing is. */
    static List<String> in(String stem) {
        String[] parts = stem.strip().replaceAll("[.?!]$", "").split("\\s+/\\s+");
        if (parts.length < 2) {
            return List.of();
        }
        List<String> before = List.of(parts[0].split("\\s+"));
        int length = length(before, parts);
        if (length < 2 || length > MOST_WORDS || length >= before.size()) {
            return List.of();
        }
        List<String> phrases = new ArrayList<>();
        phrases.add(String.join(" ", before.subList(before.size() - length, before.size())));
        phrases.addAll(Arrays.asList(parts).subList(1, parts.length));
        return phrases;
    }

    /** How many words the first phrase has; 0 where nothing tells. */
    private static int length(List<String> before, String[] parts) {
        int between = 0;
        for (int i = 1; i < parts.length; i++) {
            int words = parts[i].split("\\s+").length;
            boolean alike = i == 1 || words == between;
            if (!alike) {
                return 0;
            }
            between = words;
        }
        if (parts.length > 2) {
            return between;
        }
        String first = parts[1].split("\\s+")[0];
        int place = before.size() - between;
        return place > 0 && before.get(place).equalsIgnoreCase(first) ? between : 0;
    }
}
