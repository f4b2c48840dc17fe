package org.tidyleaf.reading;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** The two words by which a heading or a lead says that statements are judged: "richtig oder falsch?", "T or F". */
final class JudgedBy {

    private static final Pattern LETTERS = Pattern.compile("\\bT\\b\\W{0,3}(?:or|/|,)?\\W{0,3}\\bF\\b");

    private JudgedBy() {}

    /** Both words with a capital letter, the affirming one first; empty where the text names no pair. */
    static Optional<List<String>> in(String text) {
        for (String[] pair : Vocabulary.ALL.pairs()) {
            boolean named = Vocabulary.pattern(
                            ".*\\b" + Pattern.quote(pair[0]) + "\\b.{1,16}\\b" + Pattern.quote(pair[1]) + "\\b.*")
                    .matcher(text)
                    .matches();
            if (named) {
                return Optional.of(List.of(capital(pair[0]), capital(pair[1])));
            }
        }
        return LETTERS.matcher(text).find() ? Optional.of(List.of("True", "False")) : Optional.empty();
    }

    private static String capital(String word) {
        return Character.toUpperCase(word.charAt(0)) + word.substring(1);
    }
}
