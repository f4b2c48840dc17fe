package org.tidyleaf.reading.line;

import java.math.BigDecimal;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;

/** Reads what a test says about points: "(2 points)", "[1]", "2 marks each", "Each question is worth 1 point". */
public final class PointsFinder {

    private static final String NUMBER = "(\\d{1,3}(?:[.,]\\d{1,2})?|" + Vocabulary.ALL.either("numbers") + ")";
    /** German for units of evaluation; in small letters a word of its own in English. */
    private static final String UNITS = "BE";

    private static final String WORD = "(?:" + Vocabulary.ALL.either("points") + "|(?-i:\\b" + UNITS + "\\b))";
    /** German "je 2 Punkte" means each, Dutch "kun je 20 punten halen" means you. */
    private static final String EACH =
            "(?<!\\b(?:kun|kan|krijg|haal|verdien|heb|als|dat|moet|mag|scoor)\\s)" + Vocabulary.ALL.either("each");

    private static final Pattern ONLY = Vocabulary.pattern("[(\\[]?\\s*(?:\\+?" + NUMBER + "\\s*" + WORD + "\\.?|"
            + WORD + "\\s*[:=]\\s*" + NUMBER + ")\\s*[)\\]]?\\.?");
    /** "- 2 points", "(___/2)", "/2" and nothing else: forms that are points only in their place. */
    private static final Pattern ALONE = Vocabulary.pattern("[-\u2013\u2014]\\s+" + NUMBER + "\\s*" + WORD
            + "\\.?|[(\\[]?\\s*(?:" + WORD
            + "\\s*[:=]?\\s*)?(?:_{2,20}|\\.{3,20}|\u2026{1,8})?\\s*/\\s*(\\d{1,2})\\s*(?:" + WORD
            + ")?\\.?\\s*[)\\]]?");

    private static final Pattern AT_END = Vocabulary.pattern("\\s*(?:[(\\[]\\s*(?:[/+]\\s*)?" + NUMBER + "\\s*" + WORD
            + "\\.?\\s*[)\\]]|[(\\[]\\s*" + WORD + "\\.?\\s*[:=]?\\s*" + NUMBER
            + "\\s*[)\\]]|(?<=\\S\\s{5,90}|\\S\\s{0,2}\\t\\s{0,2})\\(" + NUMBER + "\\)|\\[" + NUMBER
            + "]|(?<![:=]\\s{0,9})\\[\\s+" + NUMBER + "\\s+])\\s*$");
    /** "2 pts" far behind a text, at the right margin, behind a dash or a whole sentence. */
    private static final Pattern FAR_BEHIND = Vocabulary.pattern(
            "(?:(?<=\\S)(?:\\s*\\t|\\s{4})|(?<=[^\\s\\d])\\s+[-\u2013\u2014](?=\\s)|(?<=[.:])\\s+|(?<=[?!]))\\s*"
                    + NUMBER + "\\s*" + WORD + "\\.?\\s*$");

    /** A cheap look before that: a sentence's end, a number and a word. */
    private static final Pattern ENDS_IN_WORD = Pattern.compile("[?!.:]\\s*\\S{1,6}\\s*\\p{L}{1,8}\\.?$");

    private static final Pattern AT_START =
            Vocabulary.pattern("\\s*[(\\[]\\s*(?:" + Vocabulary.ALL.either("type_head", "difficulty")
                    + "\\s*[-\u2013\u2014,;:|/]\\s*)?" + NUMBER + "\\s*" + WORD + "\\.?\\s*[)\\]](?:[.:](?=\\s))?\\s*");
    /** "(1,0) Mark the right one." */
    private static final Pattern DECIMAL_AT_START =
            Pattern.compile("\\s*[(\\[](\\d{1,2}[.,]\\d{1,2})[)\\]]\\s+(?=\\p{Lu})");

    /** "(0-2)" right behind a question's number: from nothing to two points. */
    private static final Pattern FROM_NOTHING =
            Vocabulary.pattern("\\s*\\(\\s*0\\s*[-\u2013]\\s*(\\d{1,2})\\s*(?:" + WORD + "\\.?)?\\s*\\)\\s*");

    /** "(0–3 p.)" at the end. */
    private static final Pattern FROM_NOTHING_AT_END =
            Vocabulary.pattern("\\s*\\(\\s*0\\s*[-\u2013]\\s*(\\d{1,2})\\s*(?:" + WORD + "|p)\\.?\\s*\\)\\s*$");

    private static final String SCORE_RULE = "(?<![._\u2026])(?:_{2,}|\\.{3,}|\u2026+)";

    /** "____ / 3 p.": a place for what was earned over what can be, in brackets, close to the stroke or behind a whole sentence. */
    private static final Pattern SCORED = Vocabulary.pattern("\\s*(?:[(\\[]\\s*" + SCORE_RULE + "\\s*/|" + SCORE_RULE
            + "/|(?<=[?!.]\\s{1,9}|\\s{3}|\\t)/|(?<=[?!:)\\]]\\s{0,9}|[^.]\\.\\s{1,9}|\\s{3}|\\t)" + SCORE_RULE
            + "\\s*/)\\s*(\\d{1,2})\\s*(?:" + WORD
            + "|p)?\\.?\\s*[)\\]]?\\s*$");

    private static final Pattern SCORE = Vocabulary.pattern("[(\\[]?\\s*(?:" + WORD + "\\s*[:=]?\\s*)?" + SCORE_RULE
            + "\\s*/\\s*\\d{1,3}\\s*(?:" + WORD + "|p)?\\.?\\s*[)\\]]?");

    private static final Pattern BRACKETED =
            Vocabulary.pattern("[(\\[]\\s*" + NUMBER + "\\s*" + WORD + "\\.?\\s*[)\\]]");

    private static final int LONGEST_SCORE = 60;

    private static final Pattern LABELLED = Vocabulary.pattern("\\b" + WORD + "\\s*[:=]\\s*" + NUMBER + "\\b");
    private static final Pattern EACH_BEHIND = Vocabulary.pattern("[(\\[]?\\s*\\b" + NUMBER + "\\s*" + WORD
            + "\\b\\.?\\s*(?:\\p{L}{2,4}\\s+)?" + EACH + "[^)\\]]{0,20}[)\\]]?");
    private static final Pattern EACH_BEFORE = Vocabulary.pattern(
            "[(\\[]?\\b" + EACH + "\\b[^.()\\d]{0,60}?" + NUMBER + "\\s*" + WORD + "\\b(?:\\.?\\s*[)\\]])?");

    private static final Pattern EACH_AFTER = Vocabulary.pattern("[(\\[]\\s*" + WORD + "\\.?\\s*[:=]?\\s*" + NUMBER
            + "\\s*(?:\\p{L}{2,4}\\s)?" + EACH + "[^)\\]]{0,30}[)\\]]");

    /** "(5 x 2 = 10 points)": so many questions with so many points. */
    private static final Pattern PRODUCT = Vocabulary.pattern("[(\\[]?\\b\\d{1,2}\\s*[x\u00d7*]\\s*" + NUMBER
            + "\\s*(?:" + WORD + ")?\\s*=\\s*(?<total>\\d{1,3}(?:[.,]\\d{1,2})?)\\s*" + WORD + "\\.?\\s*[)\\]]?");

    /** "(5 × 1 p.)": the same without what they make together. */
    private static final Pattern TIMES = Vocabulary.pattern("[(\\[]\\s*\\d{1,2}\\s*[x\u00d7*]\\s*" + NUMBER + "\\s*(?:"
            + WORD + "|p)\\.?\\s*(?:" + EACH + "\\s*)?[)\\]]");

    private static final Pattern SUM = Vocabulary.pattern("[(\\[]\\s*(\\d{1,2}(?:[.,]5)?\\s*(?:" + WORD
            + ")?\\.?(?:\\s*\\+\\s*\\d{1,2}(?:[.,]5)?\\s*(?:" + WORD + ")?\\.?)+)\\s*(?:=[^)\\]]{0,20})?[)\\]]");

    private static final Pattern FACTORS =
            Pattern.compile("\\b(\\d{1,2})\\s*[x\u00d7*]\\s*(\\d{1,2}(?:[.,]\\d)?)\\s*\\p{L}*\\.?\\s*[=)\\]]");

    private static final Pattern FACTORS_AT_END = Pattern.compile(
            "\\s*[(\\[]\\s*\\d{1,2}\\s*[x\u00d7*]\\s*\\d{1,2}(?:[.,]\\d)?\\s*=\\s*(\\d{1,3}(?:[.,]5)?)\\s*[)\\]]\\s*$");

    private static final Pattern BARE_AT_END = Pattern.compile(
            "\\s*(?:\\(\\s*\\+?(\\d{1,2}(?:[.,](?:\\d|[0257]\\d))?)\\s*\\)|[(\\[]?\\s*(?:_+|\\.{2,})?(?<![\\p{L}\\d])/\\s*(\\d{1,2})\\s*[)\\]]?|(?<=[.?!:])[ ]{0,3}\\t\\s{0,3}(\\d{1,2}))\\s*$");

    /** "Why was the hive light?   1". */
    private static final Pattern TABBED = Pattern.compile("[.?!][ ]{0,3}\\t\\s{0,3}\\d{1,2}\\s*$");

    /** "Describe the life of a worker. (5)". */
    private static final Pattern BEHIND_SENTENCE = Pattern.compile("(?<=[.?!])\\s+\\(\\+?([1-9]\\d?)\\)\\s*$");

    /** "(3 x 1)   (3)" in a line of its own: so many questions, so many points each, and what they make. */
    private static final Pattern GROUP_TOTAL = Pattern.compile(
            "\\s*[(\\[]?\\s*(\\d{1,2})\\s*[x\u00d7*]\\s*(\\d{1,2}(?:[.,]5)?)\\s*[)\\]]?\\s*=?\\s*[(\\[]\\s*\\d{1,3}\\s*[)\\]]\\s*");

    /** A rule to write on with the points behind it is no longer. */
    private static final int LONGEST_END = 300;

    private static final int LONGEST_SEARCHED = 3000;

    private static final Pattern BARE_BEHIND =
            Pattern.compile("\\S(?:\\s{2,}|\\t|\\s(?=\\[)|(?<=[.?!])\\s)[(\\[]\\d{1,2}(?:[.,]5)?[)\\]]\\s*$");

    private PointsFinder() {}

    /** Points at one place of a text. */
    public record Found(BigDecimal points, int from, int to) {

        /** Whether they begin right behind an opening bracket that closes only further on. */
        public boolean brackets(String text) {
            String found = text.substring(from, to);
            return found.indexOf('(') >= 0 && found.indexOf(')') < 0;
        }
    }

    /** "___ / 6" and nothing else: a place for what was earned, over what can be. */
    public static boolean isScore(String text) {
        return text.length() < LONGEST_SCORE && SCORE.matcher(text).matches();
    }

    /** "2 points" and nothing else, whatever stands around it. */
    public static boolean isPointsOnly(String text) {
        return ONLY.matcher(text).matches();
    }

    /** The points where they are all of a text that stands where points stand, below or behind what is asked. */
    public static Optional<BigDecimal> only(String text) {
        return Stream.of(ONLY, AT_END, ALONE)
                .map(pattern -> pattern.matcher(text))
                .filter(Matcher::matches)
                .findFirst()
                .map(PointsFinder::number);
    }

    /** A number and nothing else, as a table's points column has it. */
    public static Optional<BigDecimal> bare(String text) {
        String number = text.replaceAll("^[(]|[)]$", "");
        return number.matches("\\d{1,3}(?:[.,]\\d{1,2})?")
                ? Optional.of(new BigDecimal(number.replace(',', '.')))
                : Optional.empty();
    }

    /** Looks at the last signs of a text only: a line of nothing but dots would keep the patterns busy for minutes. */
    private static Matcher atEnd(Pattern pattern, String text) {
        return pattern.matcher(text)
                .region(Math.max(0, text.length() - LONGEST_END), text.length())
                .useTransparentBounds(true);
    }

    /** Points in brackets at the end of a text, or right at its beginning. */
    public static Optional<Found> beside(String text) {
        String bare = text.strip();
        if (bare.endsWith(")") || bare.endsWith("]")) {
            Matcher end = atLastBracket(AT_END, text);
            if (end.lookingAt()) {
                return Optional.of(new Found(number(end), end.start(), end.end()));
            }
            Matcher nothing = atLastBracket(FROM_NOTHING_AT_END, text);
            if (nothing.lookingAt()) {
                return Optional.of(new Found(number(nothing), nothing.start(), nothing.end()));
            }
        }
        boolean far = endsInWord(bare)
                && (bare.indexOf('\t') > 0
                        || bare.contains("    ")
                        || hasDash(bare)
                        || ENDS_IN_WORD.matcher(bare).find());
        Matcher behind = far ? atEnd(FAR_BEHIND, text) : null;
        if (behind != null && behind.find()) {
            return Optional.of(new Found(number(behind), behind.start(), behind.end()));
        }
        Matcher scored = bare.indexOf('/') >= 0 ? atEnd(SCORED, text) : null;
        if (scored != null && scored.find()) {
            return Optional.of(new Found(number(scored), scored.start(), scored.end()));
        }
        boolean bracketed = bare.startsWith("(") || bare.startsWith("[");
        if (!bracketed) {
            return Optional.empty();
        }
        Matcher range = FROM_NOTHING.matcher(text);
        if (range.lookingAt()) {
            return Optional.of(new Found(number(range), 0, range.end()));
        }
        Matcher decimal = DECIMAL_AT_START.matcher(text);
        if (decimal.lookingAt()) {
            return Optional.of(new Found(plain(number(decimal)), 0, decimal.end()));
        }
        Matcher start = AT_START.matcher(text);
        return start.lookingAt() ? Optional.of(new Found(number(start), 0, start.end())) : Optional.empty();
    }

    /** From the last opening bracket on, with the blanks before it: all that a pattern can match that ends with the text. */
    private static Matcher atLastBracket(Pattern pattern, String text) {
        int at = Math.max(text.lastIndexOf('('), text.lastIndexOf('['));
        int from = Math.max(at, Math.max(0, text.length() - LONGEST_END));
        while (from > 0 && at >= 0 && Character.isWhitespace(text.charAt(from - 1))) {
            from--;
        }
        return pattern.matcher(text).region(from, text.length()).useTransparentBounds(true);
    }

    /** A cheap look before patterns that end with a word for points. */
    private static boolean endsInWord(String text) {
        int end = text.endsWith(".") ? text.length() - 1 : text.length();
        int from = end;
        while (from > 0 && Character.isLetter(text.charAt(from - 1))) {
            from--;
        }
        String last = text.substring(from, end);
        return from < end && (last.equals(UNITS) || Vocabulary.ALL.has("points", last));
    }

    /** Whether a text has any word for points in it: a cheap look before patterns are tried. */
    public static boolean isMentioned(Cues cues) {
        return isMentioned(cues.words(), cues.text());
    }

    public static boolean isMentioned(Words words, String text) {
        return Vocabulary.ALL.mentions(words, "points") || text.contains(UNITS);
    }

    private static boolean hasDash(String text) {
        return text.contains(" - ") || text.contains(" \u2013 ") || text.contains(" \u2014 ");
    }

    /** Points behind their word, anywhere in a line of labels: "Topic: wax | Points: 2". */
    public static Optional<BigDecimal> labelled(String text) {
        Matcher matcher = LABELLED.matcher(text);
        return matcher.find() ? Optional.of(number(matcher)) : Optional.empty();
    }

    /** "(4)" or "/ 4" at the end of a text: points only where many questions end so. */
    public static Optional<Found> bareBeside(String text) {
        boolean possible = text.indexOf('/') >= 0
                || text.stripTrailing().endsWith(")")
                || text.indexOf('\t') > 0 && Character.isDigit(text.charAt(text.length() - 1));
        Matcher matcher = atEnd(BARE_AT_END, text);
        if (!possible || !matcher.find()) {
            return Optional.empty();
        }
        String number = Stream.of(matcher.group(1), matcher.group(2), matcher.group(3))
                .filter(Objects::nonNull)
                .findFirst()
                .orElseThrow();
        return Optional.of(new Found(new BigDecimal(number.replace(',', '.')), matcher.start(), matcher.end()));
    }

    /** Whether behind a whole sentence and a tab a small number stands at the margin. */
    public static boolean isTabbed(String text) {
        return text.indexOf('\t') > 0
                && text.length() < LONGEST_END
                && TABBED.matcher(text).find();
    }

    /** A small number in brackets behind a whole sentence, at the very end. */
    public static Optional<Found> behindSentence(String text) {
        Matcher matcher = atEnd(BEHIND_SENTENCE, text);
        boolean found = text.stripTrailing().endsWith(")") && matcher.find();
        return found
                ? Optional.of(new Found(new BigDecimal(matcher.group(1)), matcher.start(), matcher.end()))
                : Optional.empty();
    }

    /** Whether a line says how the points of the questions above it come about, and nothing else. */
    public static boolean isGroupTotal(String text) {
        return text.length() < LONGEST_SCORE && GROUP_TOTAL.matcher(text).matches();
    }

    /** Of such a line, what each of so many questions gets; empty where it speaks of another number of them. */
    public static Optional<BigDecimal> eachOfGroup(String text, int questions) {
        Matcher total = GROUP_TOTAL.matcher(text);
        boolean of = total.matches() && Integer.parseInt(total.group(1)) == questions;
        return of ? Optional.of(new BigDecimal(total.group(2).replace(',', '.'))) : Optional.empty();
    }

    /** Points for each of several questions. */
    public static Optional<Found> each(String text) {
        if (text.length() > LONGEST_SEARCHED) {
            return Optional.empty();
        }
        for (Pattern pattern : new Pattern[] {PRODUCT, TIMES, EACH_BEHIND, EACH_AFTER, EACH_BEFORE}) {
            Matcher matcher = pattern.matcher(text);
            if (matcher.find()) {
                return Optional.of(new Found(number(matcher), matcher.start(), matcher.end()));
            }
        }
        return Optional.empty();
    }

    /** A heading without what it says of points. */
    public static String withoutEach(String heading) {
        return each(heading)
                .map(found -> heading.substring(0, found.from()) + heading.substring(found.to()))
                .orElse(heading)
                .strip();
    }

    /** "(1 x 5 = 5 marks)" over five questions: whichever number is not theirs is what each earns. */
    public static Optional<BigDecimal> eachOf(String text, int questions) {
        Matcher matcher = FACTORS.matcher(text);
        if (!matcher.find()) {
            return Optional.empty();
        }
        String first = matcher.group(1);
        String second = matcher.group(2);
        if (questions == 1) {
            // "(6 x 0.5)" over one table: six cells of half a point.
            BigDecimal together = new BigDecimal(first).multiply(new BigDecimal(second.replace(',', '.')));
            return Optional.of(together.stripTrailingZeros());
        }
        // "Answer any one: (1 x 8 = 8)" over two: each is worth what one is.
        String chosen = questions > 1 && "1".equals(first) ? second : "";
        String each = String.valueOf(questions).equals(first)
                ? second
                : String.valueOf(questions).equals(second) ? first : chosen;
        return each.isEmpty() ? Optional.empty() : Optional.of(new BigDecimal(each.replace(',', '.')));
    }

    /** "Exercise 1 (4 points) – Multiple choice": in brackets within a heading. */
    public static Optional<Found> bracketed(String text) {
        Matcher matcher = BRACKETED.matcher(text);
        return text.indexOf('(') >= 0 && matcher.find()
                ? Optional.of(new Found(number(matcher), matcher.start(), matcher.end()))
                : Optional.empty();
    }

    /** "(2 marks + 3 marks)", "(2 + 3 points)": what each of a section's questions is worth; empty where it is no such sum. */
    public static List<BigDecimal> sum(String text) {
        Matcher matcher = SUM.matcher(text);
        if (text.indexOf('+') < 0 || !matcher.find()) {
            return List.of();
        }
        return Pattern.compile("\\d{1,2}(?:[.,]5)?")
                .matcher(matcher.group(1))
                .results()
                .map(found -> new BigDecimal(found.group().replace(',', '.')))
                .toList();
    }

    /** Such a sum in points that is all of a text or stands at its end, with what it comes to. */
    public static Optional<Found> sumAtEnd(String text) {
        Matcher matcher = SUM.matcher(text);
        boolean found = text.indexOf('+') > 0
                && matcher.find()
                && text.substring(matcher.end()).isBlank();
        boolean ofPoints = found
                && (matcher.group().indexOf('=') > 0 || Vocabulary.ALL.mentions(Words.of(matcher.group()), "points"));
        return ofPoints
                ? Optional.of(new Found(
                        sum(text).stream().reduce(BigDecimal.ZERO, BigDecimal::add), matcher.start(), matcher.end()))
                : Optional.empty();
    }

    /** "(2 × 4 = 8)" at the end of a heading, without a word for points; empty where none stands there. */
    public static Optional<Found> factorsAtEnd(String text) {
        Matcher matcher = FACTORS_AT_END.matcher(text);
        return text.indexOf('=') > 0 && matcher.find()
                ? Optional.of(
                        new Found(new BigDecimal(matcher.group(1).replace(',', '.')), matcher.start(), matcher.end()))
                : Optional.empty();
    }

    /** The points of all parts together, where a text says how they come about. */
    public static Optional<Found> product(String text) {
        Matcher matcher = PRODUCT.matcher(text);
        return text.indexOf('=') > 0 && matcher.find()
                ? Optional.of(new Found(
                        new BigDecimal(matcher.group("total").replace(',', '.')), matcher.start(), matcher.end()))
                : Optional.empty();
    }

    /** What each of several questions gets of a total: whole or half points, at least one; empty where it doesn't come out even. */
    public static Optional<BigDecimal> share(BigDecimal total, int questions) {
        BigDecimal halves = total.multiply(BigDecimal.valueOf(2));
        BigDecimal[] parts = halves.divideAndRemainder(BigDecimal.valueOf(questions));
        boolean even = parts[1].signum() == 0 && parts[0].compareTo(BigDecimal.ONE) >= 0;
        return even ? Optional.of(plain(total.divide(BigDecimal.valueOf(questions)))) : Optional.empty();
    }

    /** Without zeros behind its point, and never as a power of ten. */
    private static BigDecimal plain(BigDecimal points) {
        BigDecimal stripped = points.stripTrailingZeros();
        return stripped.scale() < 0 ? stripped.setScale(0) : stripped;
    }

    private static BigDecimal number(Matcher matcher) {
        for (int i = 1; i <= matcher.groupCount(); i++) {
            int group = i;
            if (matcher.group(group) != null) {
                return Vocabulary.ALL
                        .number(matcher.group(group))
                        .orElseGet(() -> new BigDecimal(matcher.group(group).replace(',', '.')));
            }
        }
        throw new IllegalStateException("a points pattern without its number");
    }

    /** Whether a piece says what it is worth. */
    public static boolean isPointed(Cues cues) {
        return cues.is(Cues.Trait.POINTS_ONLY)
                || BARE_BEHIND.matcher(cues.text()).find()
                || isTabbed(cues.text())
                || Vocabulary.ALL.mentions(cues.words(), "points")
                        && beside(cues.text()).isPresent();
    }
}
