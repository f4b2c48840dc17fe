package org.tidyleaf.reading.line;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.wording.GapSigns;
import org.tidyleaf.reading.wording.Vocabulary;

/** "Use these words: saw, clamp, file.": a bank of words named in the heading or the instruction above the gaps. */
public final class WordBanks {

    private static final Pattern NAMED = Vocabulary.pattern(
            ".*\\b" + Vocabulary.ALL.either("bank", "use") + "\\b[^:]{0,60}:\\s*(.{5,200}?)[.]?\\s*");

    private static final Pattern LINE = Vocabulary.pattern(
            "\\W*" + Vocabulary.ALL.either("bank", "bank_word") + "\\s*[:\u2013-]\\s*(.{5,200}?)[.]?\\s*");

    private static final int FEWEST_PHRASES = 3;

    private static final int LONGEST_PHRASE = 60;

    private static final Pattern WORD = Pattern.compile("[^.:?!]{1,30}");

    private static final Pattern BEHIND_COLON = Pattern.compile("([^:]{3,80}):\\s*(.{5,200}?)[.]?\\s*");

    /** More words than that without a gap are no bank. */
    private static final int MOST_LEFT_OVER = 4;

    private static final int LONGEST_ENDING = 2;

    /** Two words are a choice, no bank. */
    private static final int FEWEST = 3;

    private WordBanks() {}

    /** "Word bank: comb, drone, nectar": a line that is nothing but a bank. */
    public static boolean isLine(String text) {
        return LINE.matcher(text).matches() && !named(text).isEmpty();
    }

    /**
     * "Fill these in: comb - drone - nectar" right above a text with about as many gaps: whatever words ask for it, the list
     * is for the gaps.
     */
    public static boolean isFor(String text, int gaps) {
        int words = behindColon(text).size();
        return gaps >= FEWEST && words >= gaps && words <= gaps + MOST_LEFT_OVER;
    }

    /** What stands before the colon of a list of words; the whole text where there is none. */
    public static String asked(String text) {
        Matcher list = BEHIND_COLON.matcher(text);
        return list.matches() ? list.group(1) : text;
    }

    /** The words listed behind the first colon; empty where none are. */
    public static List<String> behindColon(String text) {
        Matcher list = BEHIND_COLON.matcher(text);
        return list.matches() ? list(list.group(2)) : List.of();
    }

    /** The words that the text lists behind its colon; empty where it lists none. */
    public static List<String> named(String text) {
        if (text.indexOf(':') < 0 && text.indexOf('-') < 0 && text.indexOf('\u2013') < 0) {
            return List.of();
        }
        int end = PointsFinder.beside(text)
                .or(() -> PointsFinder.each(text))
                .map(PointsFinder.Found::from)
                .orElse(0);
        String words = end > 0 ? text.substring(0, end) : text;
        Matcher line = LINE.matcher(words);
        Matcher named = NAMED.matcher(words);
        return line.matches() ? list(line.group(1)) : named.matches() ? list(named.group(1)) : List.of();
    }

    /** The word of a bank that an answer is: the same, or the only one that begins alike where languages change endings. */
    public static Optional<String> wordFor(String answer, List<String> words) {
        Optional<String> same = words.stream()
                .filter(word -> word.strip().equalsIgnoreCase(answer.strip()))
                .findFirst();
        if (same.isPresent()) {
            return same;
        }
        List<String> alike = words.stream()
                .filter(word -> beginAlike(
                        word.strip().toLowerCase(Locale.ROOT), answer.strip().toLowerCase(Locale.ROOT)))
                .toList();
        return alike.size() == 1 ? Optional.of(alike.get(0)) : Optional.empty();
    }

    private static boolean beginAlike(String word, String answer) {
        int shared = 0;
        while (shared < Math.min(word.length(), answer.length()) && word.charAt(shared) == answer.charAt(shared)) {
            shared++;
        }
        return shared >= 2 && shared >= Math.max(word.length(), answer.length()) - LONGEST_ENDING;
    }

    private static List<String> list(String text) {
        List<String> words = Arrays.stream(text.split("\\s*[,;/|\u00b7\u2022]\\s*|\\s{2,}|\\s+[\u2013-]\\s+"))
                .map(String::strip)
                .filter(word -> !word.isEmpty())
                .toList();
        boolean all = words.size() >= FEWEST
                && words.stream().allMatch(word -> WORD.matcher(word).matches());
        return all ? words : List.of();
    }

    /** "Can I help?     That's kind of you.     Be careful!": at least three phrases, far apart; empty for another line. */
    public static List<String> phrases(String text) {
        List<String> parts = Arrays.stream(text.strip().split("\\s{3,}|\\t+"))
                .map(part -> part.strip().replaceAll("[,;]$", ""))
                .toList();
        boolean brief = parts.stream()
                .allMatch(part -> !part.isEmpty() && part.length() <= LONGEST_PHRASE && GapSigns.count(part) == 0);
        return brief && parts.size() >= FEWEST_PHRASES ? parts : List.of();
    }
}
