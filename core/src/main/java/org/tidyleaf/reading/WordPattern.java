package org.tidyleaf.reading;

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
        return words.isEmpty() ? "(?!)" : root.rest();
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
        StringBuilder pattern = new StringBuilder("(?:");
        next.forEach((letter, after) -> {
            pattern.append(pattern.length() > "(?:".length() ? "|" : "");
            pattern.append(literal(letter)).append(after.rest());
        });
        return pattern.append(complete ? "|)" : ")").toString();
    }

    private static String literal(int letter) {
        String one = Character.toString(letter);
        return Character.isLetterOrDigit(letter) || letter == ' ' ? one : Pattern.quote(one);
    }
}
