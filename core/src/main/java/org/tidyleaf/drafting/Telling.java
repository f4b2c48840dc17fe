package org.tidyleaf.drafting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The telling words of a passage: numbers, names, and long words that stand in it seldom. */
final class Telling {

    private static final Pattern WORD = Pattern.compile("\\p{L}[\\p{L}'\u2019-]*|\\d+(?:[.,]\\d+)?");
    private static final int LONG = 5;
    private static final Set<String> COMMON = Set.of(
            "about",
            "above",
            "after",
            "again",
            "against",
            "almost",
            "along",
            "already",
            "always",
            "among",
            "another",
            "around",
            "because",
            "become",
            "becomes",
            "before",
            "begins",
            "behind",
            "being",
            "below",
            "between",
            "could",
            "during",
            "either",
            "enough",
            "every",
            "first",
            "found",
            "given",
            "great",
            "however",
            "large",
            "later",
            "least",
            "little",
            "makes",
            "might",
            "never",
            "nearly",
            "often",
            "other",
            "others",
            "place",
            "quite",
            "rather",
            "right",
            "seldom",
            "several",
            "should",
            "since",
            "small",
            "sometimes",
            "still",
            "their",
            "there",
            "therefore",
            "these",
            "thing",
            "things",
            "those",
            "though",
            "three",
            "through",
            "together",
            "toward",
            "under",
            "until",
            "usually",
            "where",
            "which",
            "while",
            "whole",
            "whose",
            "within",
            "without",
            "would",
            "years");

    /** What kind a word is; only words of one kind are offered beside one another. */
    enum Kind {
        NUMBER,
        NAME,
        WORD
    }

    /** A word of a sentence with its place there. */
    record Found(String word, int from, Kind kind) {}

    private final Map<String, Integer> counts = new HashMap<>();
    private final Map<String, Kind> all = new LinkedHashMap<>();

    Telling(List<String> sentences) {
        for (String sentence : sentences) {
            Matcher words = WORD.matcher(sentence);
            while (words.find()) {
                counts.merge(words.group().toLowerCase(Locale.ROOT), 1, Integer::sum);
            }
        }
        sentences.forEach(sentence -> in(sentence).forEach(found -> all.putIfAbsent(found.word(), found.kind())));
    }

    /** The telling words of a sentence in their order. */
    List<Found> in(String sentence) {
        List<Found> found = new ArrayList<>();
        Matcher words = WORD.matcher(sentence);
        while (words.find()) {
            kind(words.group(), words.start() == 0)
                    .ifPresent(kind -> found.add(new Found(words.group(), words.start(), kind)));
        }
        return found;
    }

    private Optional<Kind> kind(String word, boolean first) {
        if (Character.isDigit(word.charAt(0))) {
            return Optional.of(Kind.NUMBER);
        }
        if (Character.isUpperCase(word.charAt(0)) && !first && word.length() > 2) {
            return Optional.of(Kind.NAME);
        }
        boolean telling = !first && word.length() >= LONG && !COMMON.contains(word.toLowerCase(Locale.ROOT));
        return telling && Character.isLowerCase(word.charAt(0)) ? Optional.of(Kind.WORD) : Optional.empty();
    }

    /** The most telling of a sentence: a name or a number before a word, a seldom word before one that stands there often. */
    Optional<Found> best(String sentence) {
        return in(sentence).stream()
                .filter(found -> others(found, sentence).size() > 0)
                .min(Comparator.comparing((Found found) -> found.kind() == Kind.WORD)
                        .thenComparing(found -> counts.getOrDefault(found.word().toLowerCase(Locale.ROOT), 0))
                        .thenComparing(found -> -found.word().length())
                        .thenComparing(Found::from));
    }

    /** Words of the same kind from elsewhere in the passage, the likest in length and ending first. */
    List<String> others(Found word, String sentence) {
        String ending = word.word().substring(Math.max(0, word.word().length() - 2));
        return all.entrySet().stream()
                .filter(other -> other.getValue() == word.kind())
                .map(Map.Entry::getKey)
                .filter(other -> !other.equalsIgnoreCase(word.word()) && !sentence.contains(other))
                .sorted(Comparator.comparing((String other) -> !other.endsWith(ending))
                        .thenComparing(
                                other -> Math.abs(other.length() - word.word().length()))
                        .thenComparing(Comparator.naturalOrder()))
                .toList();
    }
}
