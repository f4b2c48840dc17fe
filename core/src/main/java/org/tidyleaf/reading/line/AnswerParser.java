package org.tidyleaf.reading.line;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.wording.Vocabulary;

/** Understands what an answer line says: letters, the words of options, true or false. */
public final class AnswerParser {

    /** Before a noun, in all languages that are read. */
    public static final Pattern ARTICLE = Pattern.compile(
            "(?iu)^(?:(?:the|an?|der|die|das|eine?|le|la|les|une?|el|los|las|una|il|lo|gli|os?|as|uma?|het|de|een)\\s+|l['\u2019])");

    /** In letters: behind what looks like an article a single letter is no noun. */
    private static final int SHORTEST_NOUN = 3;

    private static final Pattern SIGN = Pattern.compile("[(\\[]?\\s*[\u221a\u2713\u2714\u00d7\u2717\u2718]\\s*[)\\]]?");
    private static final Pattern RIGHT_SIGN = Pattern.compile("[\u221a\u2713\u2714]");
    private static final Pattern BETWEEN_WORDS = Pattern.compile("[\\s\\p{Punct}\u2019\u2018\u201c\u201d]+");

    private static final Pattern ONE = Pattern.compile("[(\\[]?\\b([A-Za-z]|\\d{1,2}|[ivxIVX]{2,4})\\b[)\\].:]?");
    private static final Pattern LETTERS =
            Vocabulary.pattern("\\s*[(\\[]?([A-Z]|\\d{1,2}|[ivx]{2,4})[)\\].:]?(?:(?:\\s*[,;/&+]\\s*|\\s+)(?:"
                    + Vocabulary.ALL.either("and")
                    + "\\s+)?[(\\[]?(?:[A-Z]|\\d{1,2}|[ivx]{2,4})[)\\].:]?)*\\s*\\.?\\s*");
    /** "Option B": the word says nothing that the letter does not. */
    private static final Pattern WORD_BEFORE =
            Vocabulary.pattern("^\\s*" + Vocabulary.ALL.either("option") + "\\s+(?=(?:[A-Z]|\\d{1,2})\\b)");

    /** "B. 10", "B - so it is", "D (the finest)". */
    private static final Pattern LETTER_AND_TEXT = Pattern.compile(
            "\\s*[(\\[]?([A-Za-z]|\\d{1,2}(?=[).\\]]\\s))(?:[).\\]:-]|\\s+[-\u2013\u2014:=](?=\\s)|\\s+(?=\\([^()]*\\)[.\\s]*$))\\s*(.+)");

    /** "a rule (B)": both say the same. */
    private static final Pattern TEXT_AND_LETTER =
            Pattern.compile("\\s*(\\S.*?)\\s*[(\\[]([A-Za-z])[)\\]]\\s*[.]?\\s*");

    /** "B", "AC", "1, 3", "i, iii": what options are called, as an alternative of a pattern. */
    public static final String OPTION_NAMES = "[A-H](?:\\s*,?\\s*[A-H]){0,6}|[1-9](?:\\s*,\\s*[1-9]){0,6}"
            + "|(?:iv|v|i{1,3})(?:\\s*,\\s*(?:iv|v|i{1,3})){0,4}";

    /** "ACD": letters in a row, each further on in the alphabet than the one before. */
    private static final Pattern RUN = Pattern.compile("\\s*(?=\\S{2})(?:A?B?C?D?E?F?G?H?|a?b?c?d?e?f?g?h?)\\s*");

    private AnswerParser() {}

    /**
     * The 0-based places of the options that the text names, by letter or by their words; empty if it names none.
     *
     * @param said what the answer line says
     * @param labels printed letters in order, empty ones where bare
     * @param texts the options' plain texts in the same order
     */
    public static Set<Integer> options(String said, List<String> labels, List<String> texts) {
        String words = WORD_BEFORE.matcher(CircledSigns.plain(said)).replaceFirst("");
        Set<Integer> byText = byText(words, texts);
        if (!byText.isEmpty()) {
            return byText;
        }
        Set<Integer> bySeveralTexts = bySeveralTexts(words, texts);
        if (!bySeveralTexts.isEmpty()) {
            return bySeveralTexts;
        }
        String answer =
                RUN.matcher(words).matches() ? String.join(" ", words.strip().split("")) : words;
        boolean letters = LETTERS.matcher(answer).matches();
        Set<Integer> byLetters = letters ? byLetters(answer, labels) : Set.of();
        Matcher both = LETTER_AND_TEXT.matcher(answer);
        Matcher behind = TEXT_AND_LETTER.matcher(answer);
        if (byLetters.isEmpty() && behind.matches()) {
            Set<Integer> named = byLetters(behind.group(2), labels);
            return named.equals(byText(behind.group(1), texts)) ? named : Set.of();
        }
        if (byLetters.isEmpty() && both.matches()) {
            // "B. 10" looks like two letters until the second proves to be no label.
            return byLetters(both.group(1), labels);
        }
        return byLetters;
    }

    /** The one option with these words; where none has, the article before them may be missing on either side. */
    private static Set<Integer> byText(String answer, List<String> texts) {
        Set<Integer> whole = byText(answer, texts, UnaryOperator.identity());
        Set<Integer> bare = whole.isEmpty() ? byText(answer, texts, AnswerParser::withoutArticle) : whole;
        return bare.isEmpty()
                ? byText(answer, texts.stream().map(AnswerParser::name).toList(), UnaryOperator.identity())
                : bare;
    }

    private static Set<Integer> byText(String answer, List<String> texts, UnaryOperator<String> form) {
        Set<Integer> found = new TreeSet<>();
        for (int i = 0; i < texts.size(); i++) {
            if (form.apply(bare(texts.get(i))).equals(form.apply(bare(answer)))) {
                found.add(i);
            }
        }
        return found.size() == 1 ? found : Set.of();
    }

    /** "Drawing A" of "Drawing A: 3 cm by 4 cm". */
    private static String name(String text) {
        int colon = text.indexOf(": ");
        return colon < SHORTEST_NOUN ? text : text.substring(0, colon);
    }

    private static String withoutArticle(String text) {
        String without = ARTICLE.matcher(text).replaceFirst("");
        return without.length() < SHORTEST_NOUN ? text : without;
    }

    private static Set<Integer> bySeveralTexts(String answer, List<String> texts) {
        Set<Integer> found = new TreeSet<>();
        String[] parts = answer.split("\\s*[,;/]\\s*|\\s+(?:" + Vocabulary.ALL.either("and") + ")\\s+");
        for (String part : parts) {
            Set<Integer> one = byText(part, texts);
            if (one.isEmpty()) {
                return Set.of();
            }
            found.addAll(one);
        }
        return found;
    }

    private static Set<Integer> byLetters(String answer, List<String> labels) {
        Set<Integer> found = new TreeSet<>();
        Matcher matcher = ONE.matcher(answer);
        while (matcher.find()) {
            String letter = matcher.group(1).toLowerCase(Locale.ROOT);
            int place = place(letter, labels);
            if (place >= 0) {
                found.add(place);
            } else if (!Vocabulary.ALL.has("and", letter)) {
                return Set.of();
            }
        }
        return found;
    }

    private static int place(String letter, List<String> labels) {
        for (int i = 0; i < labels.size(); i++) {
            if (labels.get(i).toLowerCase(Locale.ROOT).equals(letter)) {
                return i;
            }
        }
        boolean bareOptions = labels.stream().allMatch(String::isEmpty);
        boolean digits = letter.matches("\\d{1,2}");
        int ordinal = digits ? Integer.parseInt(letter) - 1 : letter.charAt(0) - 'a';
        // "Option 1", "Option 2" and the key "B", or lettered options and the key "2": by their places.
        boolean otherwise = labels.stream().allMatch(label -> label.matches(digits ? "\\p{L}" : "\\d{1,2}"));
        return (bareOptions || otherwise) && letter.length() <= 2 && ordinal >= 0 && ordinal < labels.size()
                ? ordinal
                : -1;
    }

    /** 0 for true, 1 for false. */
    public static Optional<Integer> judgement(String answer) {
        if (SIGN.matcher(answer).matches()) {
            return Optional.of(RIGHT_SIGN.matcher(answer).find() ? 0 : 1);
        }
        String bare = bare(answer);
        for (String[] pair : Vocabulary.ALL.pairs()) {
            if (bare.equals(pair[0]) || bare.equals(pair[1])) {
                return Optional.of(bare.equals(pair[0]) ? 0 : 1);
            }
        }
        if (Vocabulary.ALL.has("true", bare)) {
            return Optional.of(0);
        }
        return Vocabulary.ALL.has("false", bare) ? Optional.of(1) : Optional.empty();
    }

    /** The judgement that a text begins with, as "F (it is 1000)" where false ones are put right. */
    public static Optional<Integer> leadingJudgement(String answer) {
        return judgement(answer).or(() -> judgement(answer.replaceFirst("\\s*[(,;:.\u2013\u2014-].*", "")));
    }

    public static String bare(String text) {
        return BETWEEN_WORDS
                .matcher(text.toLowerCase(Locale.ROOT))
                .replaceAll(" ")
                .strip();
    }
}
