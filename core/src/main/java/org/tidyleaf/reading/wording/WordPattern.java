package org.tidyleaf.reading.wording;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;

/**
 * A pattern that matches any of some words, the longest that fits. Words that begin alike share their beginning, so that
 * a letter no word goes on with ends the search at once: hundreds of plain alternatives would each be tried at every
 * place of a text.
 */
final class WordPattern {
    private final Map<Integer, WordPattern> next = new TreeMap<>();
    private boolean complete;

    private WordPattern() {}

    /** The pattern as one group that captures nothing; no words make a pattern that never matches. */
    static String of(Set<String> words) {
        WordPattern root = new WordPattern();
        words.forEach(root::add);
        return words.isEmpty() ? "(?!)" : "(?:" + root.rest() + ")";
    }

    private void add(String word) {
        WordPattern at = this;
        for (int letter : word.codePoints().toArray()) {
            at = at.next.computeIfAbsent(letter, l -> new WordPattern());
        }
        at.complete = true;
    }

    /** What may follow here; the end comes last, for longer words go first. */
    private String rest() {
        if (next.isEmpty()) {
            return "";
        }
        List<String> ways = new ArrayList<>();
        next.forEach((letter, after) -> ways.add(literal(letter) + after.rest()));
        if (complete) {
            ways.add("");
        }
        // A group costs time and room at every place it is tried.
        return ways.size() == 1 ? ways.get(0) : "(?:" + String.join("|", ways) + ")";
    }

    private static String literal(int letter) {
        String one = Character.toString(letter);
        return Character.isLetterOrDigit(letter) || letter == ' ' ? one : Pattern.quote(one);
    }
}
