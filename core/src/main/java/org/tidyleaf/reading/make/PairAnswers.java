package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Prose;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.wording.Vocabulary;

/** What a key says of pairs: "1-b, 2-a", or both sides in words. */
final class PairAnswers {

    private static final Pattern PAIR_KEY = Pattern.compile(
            "(\\d{1,2}\\.\\d{1,2}|[ivx]{2,4}|\\w{1,2})\\s*[-\u2013:=.)\u2192]?\\s*([ivx]{2,4}|[A-Za-z]|\\d{1,2})(?=\\W|$)");

    private static final Pattern ANSWER_WORD =
            Vocabulary.pattern("(?<=\\d[.):]?\\s?)" + Vocabulary.ALL.either("answer") + "\\s*[:=]\\s*");

    private PairAnswers() {}

    /** For each left the place of its right; empty where the key does not say it of all. */
    static List<Integer> find(String said, MatchMaker.Side lefts, MatchMaker.Side rights) {
        if (lefts.labels().isEmpty()) {
            return keyByWords(said, lefts, rights);
        }
        // "(i)-(q)" says the same as "i-q".
        String bare = ANSWER_WORD.matcher(said).replaceAll(" ").replaceAll("[(\\[](\\w{1,4})[)\\]]", "$1");
        List<Integer> key = byLabels(bare, lefts, rights, 1, 2);
        // "a-2, b-1" over "1. …" on the left names the right side first.
        return key.isEmpty() ? byLabels(bare, lefts, rights, 2, 1) : key;
    }

    /**
     * @param left the group of a pair that holds the label of the left
     * @param right that of the right
     */
    private static List<Integer> byLabels(
            String said, MatchMaker.Side lefts, MatchMaker.Side rights, int left, int right) {
        Map<String, Integer> places = new TreeMap<>();
        Matcher matcher = PAIR_KEY.matcher(said);
        while (matcher.find()) {
            int place = PartsMaker.indexOf(rights.labels(), matcher.group(right));
            if (place >= 0) {
                places.putIfAbsent(matcher.group(left).toLowerCase(Locale.ROOT), place);
            }
        }
        List<Integer> key = new ArrayList<>();
        for (String label : lefts.labels()) {
            Integer place = places.get(label.toLowerCase(Locale.ROOT));
            if (place == null) {
                return List.of();
            }
            key.add(place);
        }
        return key;
    }

    /** "drone-b, worker-a": the lefts have no labels but their words. */
    private static List<Integer> keyByWords(String said, MatchMaker.Side lefts, MatchMaker.Side rights) {
        List<Integer> key = new ArrayList<>();
        for (Prose left : lefts.texts()) {
            Matcher matcher = Pattern.compile(
                            "(?i)(?:^|[\\s,;(])" + Pattern.quote(left.plain())
                                    + "(?:\\s*[-\u2013:=\u2192]\\s*|\\s+(?=(?:[A-Z]|\\d)\\s*(?:[,;.]|$)))([A-Za-z]|\\d{1,2})(?=\\W|$)")
                    .matcher(said);
            int place = matcher.find() ? PartsMaker.indexOf(rights.labels(), matcher.group(1)) : -1;
            place = place < 0 ? byWords(said, left.plain(), rights) : place;
            if (place < 0) {
                return List.of();
            }
            key.add(place);
        }
        return key;
    }

    /** "regina - depone le uova": both sides in words, the left perhaps without its article. */
    private static int byWords(String said, String left, MatchMaker.Side rights) {
        int whole = byWholeWords(said, left, rights);
        String bare = AnswerParser.ARTICLE.matcher(left).replaceFirst("");
        return whole < 0 && !bare.equals(left) ? byWholeWords(said, bare, rights) : whole;
    }

    private static int byWholeWords(String said, String left, MatchMaker.Side rights) {
        for (int i = 0; i < rights.texts().size(); i++) {
            boolean paired = Pattern.compile("(?i)(?:^|[\\s,;(])" + Pattern.quote(left) + "\\s*[-\u2013:=\u2192]+\\s*"
                            + Pattern.quote(rights.texts().get(i).plain().replaceAll("[.]$", "")) + "(?=\\W|$)")
                    .matcher(said)
                    .find();
            if (paired) {
                return i;
            }
        }
        return -1;
    }
}
