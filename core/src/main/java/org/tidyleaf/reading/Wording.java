package org.tidyleaf.reading;

import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.reading.line.WordBanks;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;

/** What words of a question tell about paper and order, in all languages known. */
public final class Wording {

    private static final Vocabulary WORDS = Vocabulary.ALL;
    private static final Pattern PAPER = Vocabulary.pattern("\\b(" + WORDS.either("paper") + ")\\b");
    private static final Pattern BEGINNING =
            Vocabulary.pattern("(?:^|[.!?:;(\\n]\\s*|\\b(?:please|and|then|bitte|und)\\s+)$");
    private static final Pattern ABOVE = Vocabulary.pattern("\\W*(?:" + WORDS.either("above") + ")\\b.{0,30}");
    private static final Pattern NEGATIVE = Vocabulary.pattern("\\b(" + WORDS.either("negative") + ")\\b");
    private static final Pattern ABSOLUTE = Vocabulary.pattern("\\b(" + WORDS.either("absolute") + ")\\b");

    private Wording() {}

    /** A cheap look before a large pattern. */
    private static boolean mentions(String text, String kind) {
        return WORDS.mentions(Words.of(text), kind);
    }

    /** The words of a text that fit only paper: "underline", "see overleaf". */
    public static Optional<String> onPaper(String text) {
        return find(text).map(found -> found.group(1));
    }

    /** One word alone ("circle") is an order only where a sentence begins; several ("see overleaf") are one anywhere. */
    private static Optional<MatchResult> find(String text) {
        if (!mentions(text, "paper")) {
            return Optional.empty();
        }
        return PAPER.matcher(text)
                .results()
                .filter(found -> found.group(1).contains(" ")
                        || BEGINNING.matcher(text.substring(0, found.start())).find())
                .findFirst();
    }

    /**
     * The same text with the screen's word in place of the paper's; empty where it has none, or where what is meant can't be
     * said in one word.
     *
     * @param text as a teacher types it
     */
    public static Optional<String> onScreen(String text, QuestionType type) {
        Optional<MatchResult> found = find(text).filter(one -> !one.group(1).contains(" ") || isVerb(one.group(1)));
        if (found.isEmpty()) {
            return Optional.empty();
        }
        MatchResult matcher = found.get();
        boolean typed = type == QuestionType.TEXT_ENTRY
                || type == QuestionType.NUMERIC_ENTRY
                || type == QuestionType.EXTENDED_TEXT
                || type == QuestionType.TABLE_ENTRY;
        String screen = WORDS.counterpart("paper", matcher.group(1), typed ? "screen_type" : "screen_choose");
        if (screen.isEmpty()) {
            return Optional.empty();
        }
        boolean capital = Character.isUpperCase(matcher.group(1).charAt(0));
        String word = capital ? Character.toUpperCase(screen.charAt(0)) + screen.substring(1) : screen;
        return Optional.of(text.substring(0, matcher.start(1)) + word + text.substring(matcher.end(1)));
    }

    /** "Put a cross", "Kreuze an": several words that say what to do and not where. */
    private static boolean isVerb(String phrase) {
        return !Vocabulary.pattern(
                        "(?:on|in|over|see|au|sur|dans|voir|auf|im|siehe|al|en|sul|sulla|no|na|op|zie|a)\\b.*")
                .matcher(phrase)
                .matches();
    }

    /** Whether an option speaks of the others by their places ("all of the above", "both A and B"), so that none may move. */
    public static boolean refersToOthers(Option option) {
        String text = option.text().plain();
        return mentions(text, "above") && ABOVE.matcher(text).matches();
    }

    /** Whether a text lists exactly these words to fill gaps with, as "Complete with: saw, plane". */
    public static boolean lists(String text, List<String> words) {
        return WordBanks.named(text).equals(words);
    }

    /** The first negation in a text: "not", "except". */
    public static Optional<String> negation(String text) {
        if (!mentions(text, "negative")) {
            return Optional.empty();
        }
        Matcher matcher = NEGATIVE.matcher(text);
        return matcher.find() ? Optional.of(matcher.group(1)) : Optional.empty();
    }

    /** The first word in a text that allows of no exception: "always", "never". */
    public static Optional<String> absolute(String text) {
        if (!mentions(text, "absolute")) {
            return Optional.empty();
        }
        Matcher matcher = ABSOLUTE.matcher(text);
        return matcher.find() ? Optional.of(matcher.group(1)) : Optional.empty();
    }
}
