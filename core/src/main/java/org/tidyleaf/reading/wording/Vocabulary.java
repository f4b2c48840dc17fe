package org.tidyleaf.reading.wording;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * The key words of tests in all languages we know, from the resource files {@code words_xx.properties}. A document is
 * read with all of them at once: teachers mix languages, and a word of one is hardly ever a key word of another.
 */
public final class Vocabulary {

    public static final Vocabulary ALL = new Vocabulary(List.of("en", "de", "fr", "es", "it", "pt", "nl", "pl"));

    private final Map<String, Set<String>> words = new HashMap<>();

    /** The kinds that have an alternative which begins with the word. */
    private final Map<String, BitSet> kindsByFirstWord = new HashMap<>();

    private final Map<String, Integer> kindNumbers = new HashMap<>();

    private final List<String[]> pairs;
    private final Map<String, BigDecimal> numbers = new HashMap<>();

    private final List<Properties> byLanguage = new ArrayList<>();

    /** Of words that are key words of one language only, which that is. */
    private final Map<String, Integer> languages = new HashMap<>();

    private static final int SHARED = -1;

    /** Shorter words are words of many languages. */
    private static final int TELLING = 4;

    /** Fewer key words may have been borrowed. */
    private static final int FEWEST_OF_LANGUAGE = 3;

    private Vocabulary(List<String> languages) {
        for (String language : languages) {
            Properties own = load(language);
            byLanguage.add(own);
            own.forEach((key, value) -> {
                Set<String> all = words.computeIfAbsent(key.toString(), k -> new HashSet<>());
                List<String> alternatives =
                        List.of(value.toString().toLowerCase(Locale.ROOT).split("\\|"));
                all.addAll(alternatives);
                for (int i = 0; key.equals("numbers") && i < alternatives.size(); i++) {
                    numbers.putIfAbsent(alternatives.get(i), BigDecimal.valueOf(i + 1L));
                }
            });
        }
        pairs = words.getOrDefault("pairs", Set.of()).stream()
                .sorted()
                .map(pair -> pair.split("/"))
                .toList();
        tellLanguages();
        words.forEach((kind, alternatives) -> {
            int number = kindNumbers.size();
            kindNumbers.put(kind, number);
            firstWords(alternatives)
                    .forEach(word -> kindsByFirstWord
                            .computeIfAbsent(word, w -> new BitSet())
                            .set(number));
        });
    }

    private void tellLanguages() {
        for (int i = 0; i < byLanguage.size(); i++) {
            int language = i;
            byLanguage.get(i).entrySet().stream()
                    .flatMap(entry -> Words.split(entry.getValue().toString()).stream()
                            .filter(word ->
                                    word.length() >= TELLING || entry.getKey().equals("common")))
                    .forEach(word -> languages.merge(word, language, (one, other) -> one.equals(other) ? one : SHARED));
        }
        languages.values().removeIf(language -> language == SHARED);
    }

    /** For each language the capital letters that stand for its words to judge by, "V" and "F", the affirming one first. */
    public List<String[]> judgingLetters() {
        return letters("true", "false");
    }

    /** For each language that has both kinds the capital letters of theirs. */
    public List<String[]> letters(String first, String second) {
        List<String[]> letters = new ArrayList<>();
        for (Properties language : byLanguage) {
            Optional<String> one = letter(language, first);
            Optional<String> other = letter(language, second);
            if (one.isPresent() && other.isPresent()) {
                letters.add(new String[] {one.get(), other.get()});
            }
        }
        return letters;
    }

    private static Optional<String> letter(Properties language, String kind) {
        return Stream.of(language.getProperty(kind, "").split("\\|"))
                .filter(word -> word.length() == 1)
                .map(word -> word.toUpperCase(Locale.ROOT))
                .findFirst();
    }

    /** The pairs to judge by, "vrai/faux", of the language that most of the words tell; empty where none does clearly. */
    public List<String[]> pairsInLanguageOf(List<String> text) {
        int[] hits = new int[byLanguage.size()];
        text.stream().map(languages::get).filter(Objects::nonNull).forEach(language -> hits[language]++);
        int best = 0;
        int all = 0;
        for (int i = 0; i < hits.length; i++) {
            best = hits[i] > hits[best] ? i : best;
            all += hits[i];
        }
        boolean clear = hits[best] >= FEWEST_OF_LANGUAGE && hits[best] * 2 > all;
        return clear
                ? Stream.of(byLanguage.get(best).getProperty("pairs", "").split("\\|"))
                        .map(pair -> pair.split("/"))
                        .toList()
                : List.of();
    }

    /** The first word of each alternative. */
    private static Set<String> firstWords(Set<String> alternatives) {
        Set<String> first = new HashSet<>();
        for (String alternative : alternatives) {
            Pattern.compile("[^\\p{L}\\d]+")
                    .splitAsStream(alternative)
                    .filter(w -> !w.isEmpty())
                    .findFirst()
                    .ifPresent(first::add);
        }
        return first;
    }

    private static Properties load(String language) {
        Properties properties = new Properties();
        String name = "words_" + language + ".properties";
        try (var stream = Vocabulary.class.getResourceAsStream(name)) {
            if (stream == null) {
                throw new IllegalStateException("no word list " + name);
            }
            properties.load(new InputStreamReader(stream, StandardCharsets.UTF_8));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return properties;
    }

    /** The value of a number word, "two" for example. */
    public Optional<BigDecimal> number(String word) {
        return Optional.ofNullable(numbers.get(word.toLowerCase(Locale.ROOT)));
    }

    /** The numbers of the kinds that have an alternative which begins with one of the words. */
    BitSet kindsOf(Set<String> words) {
        BitSet kinds = new BitSet(kindNumbers.size());
        for (String word : words) {
            BitSet begun = kindsByFirstWord.get(word);
            if (begun != null) {
                kinds.or(begun);
            }
        }
        return kinds;
    }

    /**
     * Whether any alternative of the kinds begins with one of the words: a cheap look before a pattern of hundreds of
     * alternatives is tried at every place of a line.
     */
    public boolean mentions(Words words, String... kinds) {
        BitSet begun = words.kinds();
        for (int i = 0; i < kinds.length && !begun.isEmpty(); i++) {
            if (begun.get(kindNumbers.get(kinds[i]))) {
                return true;
            }
        }
        return false;
    }

    /** The first word of another kind in the language that has the word; empty where no language has. */
    public String counterpart(String kind, String word, String otherKind) {
        String wanted = word.toLowerCase(Locale.ROOT);
        for (Properties language : byLanguage) {
            if (List.of(language.getProperty(kind, "").split("\\|")).contains(wanted)) {
                return language.getProperty(otherKind, "").split("\\|")[0];
            }
        }
        return "";
    }

    public boolean has(String kind, String word) {
        return words.getOrDefault(kind, Set.of())
                .contains(word.toLowerCase(Locale.ROOT).strip());
    }

    /** A pattern's alternatives for one kind of word, longest first so that none hides another, in a group. */
    public String either(String... kinds) {
        Set<String> all = new TreeSet<>();
        for (String kind : kinds) {
            all.addAll(words.getOrDefault(kind, Set.of()));
        }
        return WordPattern.of(all);
    }

    /** The two words of each pair that a statement may be judged by: "true/false". */
    public List<String[]> pairs() {
        return pairs;
    }

    public static Pattern pattern(String regex) {
        return Pattern.compile(regex, Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CHARACTER_CLASS);
    }
}
