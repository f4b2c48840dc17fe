package org.tidyleaf.reading.line;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/** The words or sentences that the lines of a bank offer. */
public final class BankWords {

    private static final Pattern WORDS_APART = Pattern.compile(
            "\\p{L}[\\p{L}'\u2019-]*(?: [\\p{L}'\u2019-]+)?(?:(?:\\s{3,}|\\t+)\\p{L}[\\p{L}'\u2019-]*(?: [\\p{L}'\u2019-]+)?){2,60}");

    /** "wax, honey, pollen, comb" and no full stop. */
    private static final Pattern WORDS_LISTED = Pattern.compile(
            "\\p{L}[\\p{L}'\u2019-]*(?: [\\p{L}'\u2019-]+)?(?:\\s?[,;]\\s+\\p{L}[\\p{L}'\u2019-]*(?: [\\p{L}'\u2019-]+)?){3,60}");

    private static final Pattern WORDS_BOXED = Pattern.compile(
            "[\\[({|]\\s*[^,;/|\\[\\](){}]{1,30}(?:\\s*[,;/|\u2013-]\\s+[^,;/|\\[\\](){}]{1,30}){2,60}\\s*[\\])}|]");

    private static final Pattern WORDS_DASHED = Pattern.compile(
            "\\p{L}[\\p{L}'\u2019-]*(?: [\\p{L}'\u2019-]+)?(?:\\s+[\u2013\u2014\u2022\u00b7/|-]\\s+\\p{L}[\\p{L}'\u2019-]*(?: [\\p{L}'\u2019-]+)?){2,60}");

    private static final int FEWEST_LETTERED = 3;

    private BankWords() {}

    /** The words of a bank's lines. */
    public static List<String> of(List<Cues> lines) {
        Map<String, String> lettered = lettered(lines);
        if (lettered.size() >= FEWEST_LETTERED) {
            return List.copyOf(lettered.values());
        }
        List<String> words = new ArrayList<>();
        for (Cues cues : lines) {
            List<String> bank = WordBanks.named(cues.text());
            List<String> named = bank.isEmpty() ? WordBanks.behindColon(cues.text()) : bank;
            if (!named.isEmpty()) {
                words.addAll(named);
                continue;
            }
            List<String> phrases = WordBanks.phrases(cues.text());
            if (phrases.stream().anyMatch(phrase -> phrase.matches(".*[,.?!].*"))) {
                words.addAll(phrases);
                continue;
            }
            for (String word : cues.text()
                    .replaceAll("^[\\[({|]\\s*|\\s*[\\])}|]$", "")
                    .split("\\s+[\u2013\u2014-]\\s+|\\s{2,}|\\t|\\s*[,;/|\u00b7\u2022]\\s*")) {
                if (!word.isBlank()) {
                    words.add(word.strip());
                }
            }
        }
        return words.size() == 1 ? List.of(words.get(0).split("\\s+")) : words;
    }

    /** The words or sentences by their letters, in their order; empty where the lines are not lettered on from the first. */
    public static Map<String, String> lettered(List<Cues> lines) {
        Map<String, String> words = new LinkedHashMap<>();
        String last = "";
        for (Cues line : lines) {
            boolean besideLetter = !last.isEmpty() && words.get(last).isEmpty();
            Optional<Label> label = besideLetter ? Optional.empty() : LetteredLists.label(line);
            if (label.filter(next -> next.ordinal() == words.size() + 1).isPresent()) {
                last = label.get().printed().toUpperCase(Locale.ROOT);
                words.put(
                        last,
                        line.line()
                                .text()
                                .substring(
                                        label.get().end(),
                                        line.piece().segment().to())
                                .strip());
            } else if (last.isEmpty()) {
                return Map.of();
            } else {
                words.put(last, (words.get(last) + " " + line.text()).strip());
            }
        }
        return words;
    }

    /** Nothing but words, parted by signs or wide spaces. */
    public static boolean isWords(String text) {
        return Stream.of(WORDS_APART, WORDS_BOXED, WORDS_DASHED, WORDS_LISTED)
                .anyMatch(words -> words.matcher(text.strip()).matches());
    }
}
