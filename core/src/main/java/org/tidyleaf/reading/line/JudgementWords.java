package org.tidyleaf.reading.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Source;

/** The words for true and false where a paper prints only their letters, "V   F": in the language of its other key words. */
public final class JudgementWords {

    private static final List<String> ENGLISH = List.of("True", "False");

    private JudgementWords() {}

    /** Both with a capital letter, the affirming one first; the English ones where the language is not clear. */
    public static List<String> of(Source source) {
        List<String[]> pairs = inLanguageOf(source);
        boolean english = pairs.isEmpty() || ENGLISH.get(0).equalsIgnoreCase(pairs.get(0)[0]);
        return english ? ENGLISH : inLetters(source, pairs);
    }

    /** All pairs of the source's language, each with capital letters; none where the language is not clear. */
    public static List<List<String>> pairs(Source source) {
        return inLanguageOf(source).stream()
                .map(pair -> List.of(JudgedBy.capital(pair[0]), JudgedBy.capital(pair[1])))
                .toList();
    }

    private static List<String[]> inLanguageOf(Source source) {
        List<String> words = new ArrayList<>();
        source.lines().forEach(line -> words.addAll(Words.split(line.text())));
        return Vocabulary.ALL.pairsInLanguageOf(words);
    }

    /** The pair whose first letters the paper prints, else the usual one of the language. */
    private static List<String> inLetters(Source source, List<String[]> pairs) {
        String[] printed = pairs.stream()
                .filter(pair -> isPrinted(source, pair))
                .findFirst()
                .orElse(pairs.get(0));
        return List.of(JudgedBy.capital(printed[0]), JudgedBy.capital(printed[1]));
    }

    private static boolean isPrinted(Source source, String[] pair) {
        Pattern initials = Pattern.compile("\\b" + initial(pair[0]) + "\\b\\W{1,8}\\b" + initial(pair[1]) + "\\b");
        return source.lines().stream()
                        .anyMatch(line -> initials.matcher(line.text()).find())
                || IntStream.range(1, source.lines().size())
                        .anyMatch(i -> isCell(source.lines().get(i - 1), pair[0])
                                && isCell(source.lines().get(i), pair[1]));
    }

    private static boolean isCell(Line line, String word) {
        return line.layout().cell().isPresent() && line.text().strip().equals(initial(word));
    }

    private static String initial(String word) {
        return word.substring(0, 1).toUpperCase(Locale.ROOT);
    }
}
