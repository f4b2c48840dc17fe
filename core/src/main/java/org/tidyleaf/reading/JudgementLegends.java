package org.tidyleaf.reading;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.tidyleaf.reading.Cues.Trait;

/**
 * "TRUE   if the statement agrees with the text" and below it "FALSE   if …": lines that say when to write which word. They
 * go on with the instruction above the statements.
 */
final class JudgementLegends {

    /** The word, of two words perhaps, and behind a wide space, a sign or an "if" what it stands for. */
    private static final List<Pattern> ENTRIES = Stream.of("\\p{L}+", "\\p{L}+ \\p{L}+")
            .map(word ->
                    Pattern.compile("(" + word + ")(?:\\t|\\s{2,}|\\s?[=:\u2013-]\\s|\\s(?=\\p{Ll}))\\s*\\S+\\s.*"))
            .toList();

    private JudgementLegends() {}

    static void mark(List<Cues> all) {
        for (int i = 0; i + 1 < all.size(); i++) {
            List<String> below = words(all.get(i + 1));
            boolean pair = words(all.get(i)).stream()
                    .anyMatch(first -> below.stream()
                            .anyMatch(second -> JudgedBy.in(first + " / " + second)
                                    .filter(judged -> judged.get(0).equalsIgnoreCase(first))
                                    .isPresent()));
            if (pair) {
                all.get(i).traits().add(Trait.LEGEND);
                all.get(i + 1).traits().add(Trait.LEGEND);
                boolean third =
                        i + 2 < all.size() && words(all.get(i + 2)).stream().anyMatch(JudgedBy::isNeither);
                if (third) {
                    all.get(i + 2).traits().add(Trait.LEGEND);
                }
            }
        }
    }

    /** The words that a line may explain; empty where it has a label or a gap of its own. */
    private static List<String> words(Cues cues) {
        String text = cues.text().strip();
        if (!cues.labels().isEmpty() || cues.is(Trait.GAP) || cues.is(Trait.LONG)) {
            return List.of();
        }
        return ENTRIES.stream()
                .map(entry -> entry.matcher(text))
                .filter(Matcher::matches)
                .map(entry -> entry.group(1))
                .toList();
    }
}
