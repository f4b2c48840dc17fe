package org.tidyleaf.question;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Compares two versions of a text word by word: their longest common series of words and spaces is what stayed. */
final class Revision {

    private static final Pattern WORD = Pattern.compile("\\s+|\\S+");

    /** Beyond so many comparisons only what is alike at both ends is carried over; no stem is that long. */
    private static final int MOST_COMPARISONS = 4_000_000;

    private Revision() {}

    /**
     * For each character of the new text what the same character of the old one had, or {@code otherwise} where it is new.
     *
     * @param had one value for each character of the old text
     */
    static <T> List<T> carryOver(String old, List<T> had, String now, T otherwise) {
        List<Word> before = words(old);
        List<Word> after = words(now);
        List<T> result = new ArrayList<>();
        if ((long) before.size() * after.size() > MOST_COMPARISONS) {
            now.chars().forEach(c -> result.add(otherwise));
            return result;
        }
        int[][] common = common(before, after);
        int i = 0;
        for (int j = 0; j < after.size(); j++) {
            while (i < before.size()
                    && !before.get(i).text().equals(after.get(j).text())
                    && common[i + 1][j] >= common[i][j + 1]) {
                i++;
            }
            boolean stayed = i < before.size()
                    && before.get(i).text().equals(after.get(j).text());
            for (int c = 0; c < after.get(j).text().length(); c++) {
                result.add(stayed ? had.get(before.get(i).at() + c) : otherwise);
            }
            i += stayed ? 1 : 0;
        }
        return result;
    }

    private record Word(String text, int at) {}

    private static List<Word> words(String text) {
        List<Word> words = new ArrayList<>();
        Matcher matcher = WORD.matcher(text);
        while (matcher.find()) {
            words.add(new Word(matcher.group(), matcher.start()));
        }
        return words;
    }

    /** Length of the longest common series of what is left of both from each pair of places. */
    private static int[][] common(List<Word> a, List<Word> b) {
        int[][] length = new int[a.size() + 1][b.size() + 1];
        for (int i = a.size() - 1; i >= 0; i--) {
            for (int j = b.size() - 1; j >= 0; j--) {
                length[i][j] = a.get(i).text().equals(b.get(j).text())
                        ? length[i + 1][j + 1] + 1
                        : Math.max(length[i + 1][j], length[i][j + 1]);
            }
        }
        return length;
    }
}
