package org.tidyleaf.reading.wording;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.WordLimits;

/** "Write 60-80 words", "in no more than 50 words": how long a written answer is to be. */
public final class WordLimitsFinder {

    private static final String WORDS = "\\s*" + Vocabulary.ALL.either("word_count") + "\\b";
    private static final Pattern RANGE = Vocabulary.pattern(
            "\\b(\\d{2,4})\\s*(?:-|\u2013|\u2014|" + Vocabulary.ALL.either("to", "and") + ")\\s*(\\d{2,4})" + WORDS);
    private static final Pattern LEAST =
            Vocabulary.pattern("\\b" + Vocabulary.ALL.either("at_least") + "\\.?\\s*(\\d{1,4})" + WORDS);
    private static final Pattern MOST =
            Vocabulary.pattern("\\b" + Vocabulary.ALL.either("at_most") + "\\.?\\s*(\\d{1,4})" + WORDS);

    private WordLimitsFinder() {}

    public static WordLimits find(String text) {
        if (text.chars().noneMatch(Character::isDigit)) {
            return WordLimits.NONE;
        }
        Matcher range = RANGE.matcher(text);
        if (range.find() && Integer.parseInt(range.group(1)) <= Integer.parseInt(range.group(2))) {
            return new WordLimits(Integer.parseInt(range.group(1)), Integer.parseInt(range.group(2)));
        }
        Matcher least = LEAST.matcher(text);
        Matcher most = MOST.matcher(text);
        int from = least.find() ? Integer.parseInt(least.group(1)) : 0;
        int to = most.find() ? Integer.parseInt(most.group(1)) : 0;
        return to > 0 && to < from ? WordLimits.NONE : new WordLimits(from, to);
    }
}
