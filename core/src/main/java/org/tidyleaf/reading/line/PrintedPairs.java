package org.tidyleaf.reading.line;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Line;

/** Two words or letters to judge a statement by, as they are printed behind or before it: "True / False", "[ ] R  [ ] F". */
public final class PrintedPairs {

    public static final int LONGEST_JUDGEMENT = 20;

    /** "( True / False )" with its brackets, boxes and spaces. */
    public static final int LONGEST_PAIR = 48;

    private static final String BOX =
            "(?:(?:[" + LabelFinder.BOXES + "]|[(\\[]\\s{0,3}[xX\u2713\u2714]?\\s{0,3}[)\\]])\\s*)?";
    /** "V \u25a1   F \u25a1". */
    private static final String BOX_BEHIND =
            "(?:\\s?(?:[" + LabelFinder.BOXES + "]|[(\\[]\\s{0,3}[xX\u2713\u2714]?\\s{0,3}[)\\]]))?";

    private static final Pattern NEVER = Pattern.compile("(?!)");

    private static final List<Judgement> JUDGEMENTS = Stream.concat(
                    Vocabulary.ALL.pairs().stream(),
                    Stream.of("T/F", "V/F", "R/F", "W/F", "W/O", "J/O", "P/F", "J/N", "Y/N")
                            .map(pair -> pair.split("/")))
            .map(Judgement::of)
            .collect(Collectors.collectingAndThen(Collectors.toList(), PrintedPairs::withSmallLetters));

    private static final Set<String> JUDGEMENT_WORDS =
            JUDGEMENTS.stream().flatMap(judgement -> judgement.words().stream()).collect(Collectors.toSet());

    /**
     * A printed pair to judge by.
     *
     * @param words both in lower case, to look for before a pattern is tried
     * @param pattern the pair behind a statement
     * @param before the pair before one
     */
    public record Judgement(Set<String> words, Pattern pattern, Pattern before) {

        static Judgement of(String[] pair) {
            Set<String> words = new HashSet<>(Words.split(pair[0]));
            words.addAll(Words.split(pair[1]));
            boolean letters = pair[0].length() == 1;
            String both = "(" + Pattern.quote(pair[0]) + ")|(" + Pattern.quote(pair[1]) + ")";
            return new Judgement(words, judgementPattern(both, letters), beforePattern(both, letters));
        }
    }

    private static final Pattern TICK_BEFORE = Pattern.compile("\u2611|[(\\[]\\s{0,3}[xX\u2713\u2714]\\s{0,3}[)\\]]");

    private static final Pattern ANY_BOX =
            Pattern.compile("[" + LabelFinder.BOXES + "]|[(\\[]\\s{0,3}[xX\u2713\u2714]?\\s{0,3}[)\\]]");

    /** "Decide whether the statements are right or wrong": the pair ends the sentence. */
    public static final Pattern IN_SENTENCE =
            Vocabulary.pattern(".*\\p{Ll}\\s\\p{L}+\\s" + Vocabulary.ALL.either("or") + "\\s\\p{L}+[.:]?\\s*");

    private PrintedPairs() {}

    /** "Bees dance.      t   f": small letters only far behind the sentence, for they might end it. */
    private static List<Judgement> withSmallLetters(List<Judgement> judgements) {
        List<Judgement> all = new ArrayList<>(judgements);
        for (String pair : List.of("t/f", "r/f", "w/f", "v/f", "p/f", "j/n", "y/n")) {
            String[] letters = pair.split("/");
            Pattern pattern = Pattern.compile("\\s{3,}" + BOX + "(" + letters[0] + ")" + BOX_BEHIND
                    + "\\s*(?:/|\\s)\\s*" + BOX + "(" + letters[1] + ")" + BOX_BEHIND + "\\s*$");
            all.add(new Judgement(Set.of(letters), pattern, NEVER));
        }
        return List.copyOf(all);
    }

    private static Pattern judgementPattern(String pair, boolean letters) {
        String[] words = pair.split("\\|");
        String regex = "(?:\\s+|(?=\\())[(\\[]?\\s*" + BOX + words[0] + BOX_BEHIND
                + "\\s*[)\\]]?\\s*(?:/|\\||[-\u2013]|"
                + Vocabulary.ALL.either("and") + ")?\\s*[(\\[]?\\s*" + BOX + words[1] + BOX_BEHIND + "\\s*[)\\]]?\\s*$";
        return letters ? Pattern.compile(regex) : Vocabulary.pattern(regex);
    }

    /** Letters may stand side by side; words that do are the beginning of a sentence. */
    private static Pattern beforePattern(String pair, boolean letters) {
        String[] words = pair.split("\\|");
        String apart = letters ? "\\s{1,8}" : "\\s{2,8}|\\t|\\s(?=[\u2610\u2611\u25a1\u25cb\u25ef(\\[])";
        String regex = "\\s*[(\\[]?\\s*" + BOX + words[0] + "[)\\]]?(?:\\s?[/|]\\s?|" + apart + ")[(\\[]?" + BOX
                + words[1] + "\\s*[)\\]]?:?\\s+";
        return letters ? Pattern.compile(regex) : Vocabulary.pattern(regex);
    }

    /**
     * A pair before a statement.
     *
     * @param words as printed
     * @param marked which of the two is set apart, 0-based; empty where both look alike
     * @param end where the statement begins in the line
     */
    public record Before(List<String> words, Optional<Integer> marked, int end) {}

    /** "(a) T   F   Wax melts.": the pair from a place of a line on. */
    public static Optional<Before> before(Line line, int from, int to) {
        int near = Math.min(to, from + LONGEST_PAIR);
        Words words = Words.of(line.text().substring(from, near));
        for (Judgement judgement : possible(words)) {
            Matcher pair = judgement.before().matcher(line.text()).region(from, to);
            if (words.hasAll(judgement.words()) && pair.lookingAt() && beginsSentence(line, pair.end())) {
                int place = line.standsOut(pair.start(1), pair.end(1), pair.start(2), pair.end(2));
                Optional<Integer> marked = place > 0 ? Optional.of(place - 1) : ticked(pair);
                boolean worded = pair.group(1).length() > 1;
                List<String> said = worded ? List.of(pair.group(1), pair.group(2)) : List.of("True", "False");
                return Optional.of(new Before(said, marked, pair.end()));
            }
        }
        return Optional.empty();
    }

    private static boolean beginsSentence(Line line, int at) {
        return at < line.text().length()
                && !Character.isLowerCase(line.text().charAt(at))
                && line.text().charAt(at) != '_';
    }

    /** The pairs to look for in a text; most hold no word of any. */
    public static List<Judgement> possible(Words words) {
        return words.stream().anyMatch(JUDGEMENT_WORDS::contains) ? JUDGEMENTS : List.of();
    }

    /** Whether a printed "True / False" stands behind the text. */
    public static boolean endsWithPair(String text) {
        Words words = Words.of(text);
        return possible(words).stream()
                .filter(judgement -> words.hasAll(judgement.words()))
                .map(judgement -> judgement.pattern().matcher(text))
                .anyMatch(matcher -> matcher.find() && matcher.start() > 0);
    }

    /** "True / False" and nothing else. */
    public static boolean isPairAlone(String text) {
        if (text.length() > LONGEST_PAIR) {
            return false;
        }
        Words words = Words.of(text);
        return possible(words).stream()
                .filter(judgement -> words.hasAll(judgement.words()))
                .anyMatch(judgement -> judgement.pattern().matcher(" " + text).matches());
    }

    /** "True / False - 2 points" and nothing else, which had no room behind the statement. */
    public static boolean isPairWithPoints(String text) {
        Optional<PointsFinder.Found> points = text.indexOf('/') < 0
                ? Optional.empty()
                : PointsFinder.beside(text).filter(found -> found.from() > 0);
        return points.filter(found -> found.from() <= LONGEST_PAIR)
                .filter(found -> endsWithPair("x " + text.substring(0, found.from())))
                .isPresent();
    }

    /** Whether "True" ends the one line and "False" is all of the next, but for points. */
    public static boolean isPairOver(String above, String below) {
        String text = below.strip();
        if (text.length() > LONGEST_JUDGEMENT) {
            return false;
        }
        int end = PointsFinder.beside(text)
                .map(PointsFinder.Found::from)
                .filter(from -> from > 0)
                .orElse(text.length());
        Words words = Words.of(text);
        Words last = Words.of(above.substring(Math.max(0, above.length() - LONGEST_PAIR)));
        return possible(words).stream()
                .filter(judgement -> words.hasAnyOf(judgement.words()) && last.hasAnyOf(judgement.words()))
                .map(judgement -> judgement.pattern().matcher(above + " " + text.substring(0, end)))
                .anyMatch(matcher -> matcher.find() && matcher.start() > 0 && matcher.start() <= above.length());
    }

    /** "( x ) true   (  ) false": which of the two has its box ticked, 0-based; empty where none or both have. */
    public static Optional<Integer> ticked(Matcher pair) {
        boolean first = TICK_BEFORE
                .matcher(pair.group().substring(0, pair.start(1) - pair.start()))
                .find();
        boolean second = TICK_BEFORE
                .matcher(pair.group().substring(pair.end(1) - pair.start(), pair.start(2) - pair.start()))
                .find();
        // Where a box stands behind the last of the words, each stands behind its word.
        String behind = pair.group().substring(pair.end(2) - pair.start());
        if (ANY_BOX.matcher(behind).find()) {
            boolean last = TICK_BEFORE.matcher(behind).find();
            return second == last ? Optional.empty() : Optional.of(second ? 0 : 1);
        }
        return first == second ? Optional.empty() : Optional.of(first ? 0 : 1);
    }
}
