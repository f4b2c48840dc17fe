package org.tidyleaf.reading.line;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;

/** Words to choose among within a sentence: in brackets, parted by strokes, or listed. */
public final class Alternatives {

    public static final Pattern BRACKETS =
            Pattern.compile("[(\\[]\\s*([^()\\[\\]/|]{1,30}(?:\\s*[/|]\\s*[^()\\[\\]/|]{1,30}){1,4})\\s*[)\\]]");

    /** "is long / longer than": single words with a stroke between. */
    public static final Pattern SLASHED = Pattern.compile("[\\p{L}'\u2019]+(?:\\s/\\s[\\p{L}'\u2019]+)+");

    public static final int FEWEST_LISTED = 3;

    private static final int LONGEST_LISTED = 30;

    private Alternatives() {}

    /** Whether a sentence has words to choose among, in brackets or parted by a stroke. */
    public static boolean hasAlternatives(String text) {
        Matcher slashed = SLASHED.matcher(text);
        return BRACKETS.matcher(text).find()
                || split(text, "\\s+[\u2013\u2014-]\\s+").size() >= FEWEST_LISTED
                || slashed.find() && slashed.group().length() < text.strip().length();
    }

    /** "queen, drone, worker, wasp" and nothing else. */
    public static boolean isListed(String text) {
        List<String> words = split(text.replaceAll("[.]$", ""), "\\s*[,;|]\\s+");
        return areList(words);
    }

    /** At least three, each of a few words. */
    public static boolean areList(List<String> words) {
        return words.size() >= FEWEST_LISTED
                && words.stream().allMatch(word -> word.length() < LONGEST_LISTED && word.split("\\s+").length < 4);
    }

    public static boolean hasBrackets(String text) {
        return (text.indexOf('/') >= 0 || text.indexOf('|') >= 0)
                && BRACKETS.matcher(text).find();
    }

    /** The place of the only word that is printed otherwise than the rest, or -1. */
    public static int setApart(Prose stem, List<String> words) {
        List<Integer> marked = new ArrayList<>();
        for (int i = 0; i < words.size(); i++) {
            String word = words.get(i);
            boolean apart = stem.parts().stream()
                    .anyMatch(part -> part instanceof Inline.Text text
                            && !text.emphasis().isEmpty()
                            && text.text().strip().equals(word));
            if (apart) {
                marked.add(i);
            }
        }
        return marked.size() == 1 ? marked.get(0) : -1;
    }

    public static List<String> split(String text, String separator) {
        return Arrays.stream(text.split(separator)).map(String::strip).toList();
    }
}
