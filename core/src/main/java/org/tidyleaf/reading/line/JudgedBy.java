package org.tidyleaf.reading.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;

/** The two words by which a heading or a lead says that statements are judged: "richtig oder falsch?", "T or F". */
public final class JudgedBy {

    private static final String BESIDE = "[\\s()\"'\u201c\u201d\u201e\u2018\u2019\u00ab\u00bb]{0,4}";

    /** "T or F", "V ou F", "R/F": the first letters of both words; of other languages only with a word or a stroke between, for "P = F / A" is a formula. */
    private static final Pattern LETTERS = Pattern.compile("\\bT\\b\\W{0,3}(?:or|/|,)?\\W{0,3}\\bF\\b|"
            + Vocabulary.ALL.judgingLetters().stream()
                    .map(pair -> "\\b" + pair[0] + "\\b" + BESIDE + "(?:/|" + Vocabulary.ALL.either("or") + ")" + BESIDE
                            + "\\b" + pair[1] + "\\b")
                    .collect(Collectors.joining("|")));

    /** "P, if it is true (prawdziwe), or F, …": a capital close to what it stands for, in all languages. */
    private static final Pattern LEGEND = Vocabulary.pattern(Vocabulary.ALL.pairs().stream()
            .map(pair -> "\\b" + Pattern.quote(pair[0]) + "\\b.{1,16}\\b(?-i:" + initial(pair[1]) + ")\\b.{1,40}\\b"
                    + Pattern.quote(pair[1]) + "\\b")
            .collect(Collectors.joining("|")));

    /** In lower case those that stand for the denying word: a cheap look before the pattern. */
    private static final Set<String> LAST_LETTERS = Vocabulary.ALL.judgingLetters().stream()
            .map(pair -> pair[1].toLowerCase(Locale.ROOT))
            .collect(Collectors.toSet());

    /** "(\u221a) or (\u00d7)". */
    private static final Pattern SIGNS =
            Pattern.compile("[\u221a\u2713\u2714]\\W{0,3}(?:\\p{L}{1,3})?\\W{0,4}[xX\u00d7\u2717\u2718](?!\\p{L})");

    private static final Pattern NEITHER = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("neither") + "\\b");

    private static final Pattern LETTERS_OFFERED = Pattern.compile(
            "\\b([A-H])\\b(?:\\s*,\\s*[A-H]\\b)*\\s*,?\\s+(?:" + Vocabulary.ALL.either("or") + ")\\s+([A-H])\\b");

    private static final List<Pair> PAIRS =
            Vocabulary.ALL.pairs().stream().map(Pair::of).toList();

    private JudgedBy() {}

    /**
     * Two words to judge by.
     *
     * @param words both with a capital letter
     * @param parts what a text must hold before the pattern is tried, in lower case
     * @param named a text that names both, one soon behind the other
     */
    private record Pair(List<String> words, Set<String> parts, Pattern named) {

        static Pair of(String[] pair) {
            String named = ".*\\b" + Pattern.quote(pair[0]) + "\\b.{1,16}\\b" + Pattern.quote(pair[1]) + "\\b.*";
            // In capitals they are words to write, with their meaning between them perhaps.
            String legend = ".*(?-i:\\b" + Pattern.quote(pair[0].toUpperCase(Locale.ROOT)) + "\\b.{1,120}\\b"
                    + Pattern.quote(pair[1].toUpperCase(Locale.ROOT)) + "\\b).*";
            return new Pair(
                    List.of(capital(pair[0]), capital(pair[1])),
                    Words.split(pair[0] + " " + pair[1]),
                    Vocabulary.pattern(named + "|" + legend));
        }
    }

    /** Both words with a capital letter, the affirming one first; empty where the text names no pair. */
    public static Optional<List<String>> in(String text) {
        Words words = Words.of(text);
        List<Pair> possible = Vocabulary.ALL.mentions(words, "pairs") ? PAIRS : List.of();
        for (Pair pair : possible) {
            if (words.hasAll(pair.parts()) && pair.named().matcher(text).matches()) {
                return Optional.of(pair.words());
            }
        }
        boolean lettered = words.hasAnyOf(LAST_LETTERS)
                && (LETTERS.matcher(text).find() || LEGEND.matcher(text).find());
        return lettered || SIGNS.matcher(text).find() ? Optional.of(List.of("True", "False")) : Optional.empty();
    }

    /** The pairs that a word is one of, "yes", both with a capital letter: "no" is of several languages. */
    public static List<List<String>> with(String word) {
        String bare = word.strip().replaceAll("[.!]$", "");
        return PAIRS.stream()
                .map(Pair::words)
                .filter(words -> words.stream().anyMatch(bare::equalsIgnoreCase))
                .distinct()
                .toList();
    }

    /** The pair and a third word for what can't be told: "True, False or Not given"; empty where the text names no third. */
    public static Optional<List<String>> threeIn(String text) {
        String plain = withPlainApostrophes(text);
        Matcher third = NEITHER.matcher(plain);
        boolean named = Vocabulary.ALL.mentions(Words.of(plain), "neither") && third.find();
        return named
                ? in(text).map(pair ->
                        List.of(pair.get(0), pair.get(1), capital(third.group().toLowerCase(Locale.ROOT))))
                : Optional.empty();
    }

    /** Whether it is a word for what can't be told. */
    public static boolean isNeither(String word) {
        return NEITHER.matcher(withPlainApostrophes(word)).matches();
    }

    private static String withPlainApostrophes(String text) {
        return text.replace('\u2019', '\'');
    }

    /** The letters that an instruction offers, "Write A, B or C"; empty where it offers none. */
    public static Optional<List<String>> lettersIn(String text) {
        Matcher offered = LETTERS_OFFERED.matcher(text);
        if (!offered.find() || offered.group(1).charAt(0) >= offered.group(2).charAt(0)) {
            return Optional.empty();
        }
        List<String> letters = new ArrayList<>();
        for (char letter = offered.group(1).charAt(0);
                letter <= offered.group(2).charAt(0);
                letter++) {
            letters.add(String.valueOf(letter));
        }
        return Optional.of(List.copyOf(letters));
    }

    /** Which of the words is meant: written out, or by the first letters of its words, "NG"; empty where none is. */
    public static Optional<Integer> place(String said, List<String> words) {
        String bare = said.strip().replaceAll("[.;,]$", "");
        for (int i = 0; i < words.size(); i++) {
            String initials = words.get(i).replaceAll("(\\p{L})[\\p{L}'\u2019]*\\s*", "$1");
            if (bare.equalsIgnoreCase(words.get(i)) || bare.equalsIgnoreCase(initials)) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    private static String initial(String word) {
        return word.substring(0, 1).toUpperCase(Locale.ROOT);
    }

    /** The word as it stands at the head of an option. */
    public static String capital(String word) {
        return Character.toUpperCase(word.charAt(0)) + word.substring(1);
    }
}
