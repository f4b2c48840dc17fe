package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.FullLines;
import org.tidyleaf.reading.wording.UnitSymbols;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * Cuts lines of a key at the numbers of its questions, "1 wax, 2 16 days, 3. (b)": which numbers begin an answer and which are
 * part of one. Counts on from line to line; one per list.
 */
final class NumberedAnswers {

    /** "2. no 3. yes": right behind a number "no" is an answer and no word for the next number. */
    static final String WORD = "(?!(?<=\\d[.):=]?\\s{1,3})no\\b)(?:" + Vocabulary.ALL.either("question") + ")";

    static final Pattern NUMBER = Pattern.compile(
            "(?:^|(?<=[\\s,;|\u2013\u2014-]))(?:" + WORD
                    + "\\.?\\s?)?[(]?(\\d{1,3})((?-i:[a-h]?))(?:\\s?[\u2013-]\\s?(\\d{1,3})(?=[.):]))?(?:\\s*[):=/]|\\s*[.](?!\\d)|\\s*[-\u2013](?=\\s|\\p{L})|(?=\\s)|(?<=\\d[a-h])(?=[;,]|$)|(?=(?-i:[A-Z]\\b)))\\s*",
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);

    /** "Q4 5 (five)   Q5 egg": where numbers have their word before them, bare ones are answers. */
    private static final Pattern WORDED_NUMBERS = Vocabulary.pattern("(?:\\b" + WORD + "\\.?\\s?\\d{1,3}\\b.*?){3}");

    /** "Q1: rule is rigid (2 each)": behind a number with its word a bare one says something else. */
    private static final Pattern WORDED_NUMBER =
            Vocabulary.pattern(Vocabulary.ALL.either("question") + "\\.?\\s?\\d{1,3}\\s*[:.)]\\s+\\p{L}");

    /** "Exercise 3: 1 hive, 2 wax": what is numbered within the answer of one question. */
    private static final Pattern INNER_NUMBERS = Vocabulary.pattern("(?:" + Vocabulary.ALL.either("question")
            + ")\\.?\\s*[(]?\\d{1,3}[):.]*\\s+[(]?1[).:]?\\s+\\p{L}.*\\b2[).:]?\\s.*");

    /** "2. 1-C, 2-A, 3-B": behind the number of the question the pairs that answer it. */
    private static final Pattern PAIRS = Pattern.compile("(?<=[).:]\\s{0,3})1\\s*[-\u2013=\u2192]\\s*[A-Za-z]\\b"
            + "(?:[,;]?\\s{1,2}\\d{1,2}\\s*[-\u2013=\u2192]\\s*[A-Za-z]\\b){1,40}");

    private static final Pattern COUNTING = Pattern.compile("\\s*(?<number>\\d{1,3})(?:(?<sign>[.):])\\s+|\\s{2,})"
            + "(?<said>[(]?1(?<own>\\s?[):=\u2192\u2013-]|)\\s*[^\\d\\s](?:\\D{0,39}\\D)??"
            + "(?:[,;\\s]\\s{0,3}[(]?\\d{1,2}\\k<own>\\s*[^\\d\\s]\\D{0,40}?)+)");

    private static final Pattern UNIT = Pattern.compile("\\s(\\p{L}{2,4})\\b");

    private static final Pattern INNER_NUMBER = Pattern.compile("(?<!\\d)(\\d{1,2})(?!\\d)");

    private static final Pattern NUMBER_AT_END = Pattern.compile("(.*\\S)\\s{2,}(\\d{1,3})[.):]?\\s*");

    private static final Pattern BEHIND_LETTER = Pattern.compile("(?s)(?:.*\\s)?[(\\[]?[A-Ha-h][).:\\]]+\\s*");

    static final Pattern OTHER_PART = Pattern.compile("\\s[(\\[][a-h][)\\]]\\s");

    /** The number of the last answer; 0 where another part begins. */
    int last;

    private String carried = "";

    /** A printed number and all that stands behind it. */
    record Answer(String number, String said) {}

    /** "5 mm" among sizes: a number with its unit that goes on with none. */
    private static boolean isAmount(String text, Matcher number) {
        Matcher unit = UNIT.matcher(text).region(number.end(1), text.length());
        return unit.lookingAt() && UnitSymbols.isSymbol(unit.group(1));
    }

    /** "Q1: b | Q2: True | Q3: 5": answers of several questions, each with its word. */
    static boolean namesSeveral(String text) {
        return WORDED_NUMBERS.matcher(text).find();
    }

    /** Cuts a line at each number that goes on counting; other numbers belong to the answers. */
    List<Answer> cut(String whole) {
        List<Answer> answers = new ArrayList<>();
        Optional<Answer> counting = counting(whole);
        if (counting.isPresent()) {
            last = Integer.parseInt(counting.get().number());
            carried = "";
            return List.of(counting.get());
        }
        String counted = carried.isEmpty() || NUMBER.matcher(whole).lookingAt() ? whole : carried + " " + whole;
        carried = "";
        // "4(c)(i) so" is said of part 4c.
        String text = OTHER_PART.matcher(counted).find()
                ? counted
                : counted.replaceFirst("^(\\s*\\d{1,3})[(]([a-h])[)]\\s?(?=\\S)", "$1$2 ");
        Matcher matcher = NUMBER.matcher(text);
        String number = "";
        String sign = "";
        int from = -1;
        boolean inner = INNER_NUMBERS.matcher(text).matches()
                || WORDED_NUMBERS.matcher(text).find()
                || WORDED_NUMBER.matcher(text).lookingAt();
        List<MatchResult> pairs = PAIRS.matcher(text).results().toList();
        while (matcher.find()) {
            int value = Integer.parseInt(matcher.group(1));
            int at = matcher.start(1);
            if (from >= 0 && pairs.stream().anyMatch(run -> at >= run.start() && at < run.end())) {
                continue;
            }
            boolean within =
                    from >= 0 && inner && !Character.isLetter(matcher.group().charAt(0));
            boolean next = within || value != last + 1 && isAmount(text, matcher)
                    ? false
                    : from < 0
                            ? matcher.start() == 0
                            : value == last + 1 && !isAnswerOfNumberAbove(text, from, matcher, sign)
                                    || value == last && !matcher.group(2).isEmpty()
                                    || value > last
                                            && (value <= last + 3 && isBareBehindWord(text, matcher, sign)
                                                    || isApartInList(text, matcher)
                                                    || isApart(text, matcher)
                                                    || value <= last + 3 && isFarAndAlike(text, matcher, sign)
                                                    || isClosedAlike(text, matcher, sign));
            if (next) {
                if (from >= 0) {
                    answers.add(new Answer(number, text.substring(from, matcher.start())));
                }
                sign = sign.isEmpty() ? closing(matcher) : sign;
                // "7–9. wax, honey, pollen" answers a question that takes three numbers.
                String end = matcher.group(3) == null ? "" : "\u2013" + matcher.group(3);
                number = matcher.group(1) + matcher.group(2) + end;
                from = matcher.end();
                last = end.isEmpty() ? value : Integer.parseInt(matcher.group(3));
            }
        }
        if (from >= 0) {
            answers.add(new Answer(number, withoutNumberAtEnd(text.substring(from), text.length() > FullLines.LEAST)));
        }
        return answers;
    }

    /** "2. 1: b, 2: a, 3: c": behind its number an answer that counts from 1 up to the line's end, with another sign. */
    private static Optional<Answer> counting(String text) {
        Matcher counting = COUNTING.matcher(text);
        if (!counting.matches() || counting.group("own").strip().equals(counting.group("sign"))) {
            return Optional.empty();
        }
        Matcher inner = INNER_NUMBER.matcher(counting.group("said"));
        int counted = 0;
        while (inner.find()) {
            counted++;
            if (Integer.parseInt(inner.group(1)) != counted) {
                return Optional.empty();
            }
        }
        return Optional.of(new Answer(counting.group("number"), counting.group("said")));
    }

    /** "… 10 swarms   11" fills its line, and "thin   12 B" goes on below: the last number waits for its answer. */
    private String withoutNumberAtEnd(String answer, boolean fullLine) {
        Matcher matcher = NUMBER_AT_END.matcher(answer);
        boolean waits = fullLine && matcher.matches() && Integer.parseInt(matcher.group(2)) == last + 1;
        carried = waits ? matcher.group(2) : "";
        return waits ? matcher.group(1) : answer;
    }

    /** "2 b, 5 wax": behind a comma a larger number with a word behind it is one whose neighbours have no answer here. */
    private static boolean isApartInList(String text, Matcher number) {
        boolean behindComma = text.substring(0, number.start()).stripTrailing().matches("(?s).*[,;]");
        return behindComma && text.substring(number.end()).matches("(?s)[^,;\\d]*\\p{L}.*");
    }

    /** "4 True 6 cluster": a bare number behind a word with a longer word behind it, so that it is no measure. */
    private static boolean isBareBehindWord(String text, Matcher number, String sign) {
        return sign.isEmpty()
                && closing(number).isEmpty()
                && text.substring(0, number.start()).matches("(?s).*\\p{L}\\s+")
                && text.substring(number.end()).matches("(?s)\\p{L}{4,}.*");
    }

    /** "15. 16 days", "2. 1, 3", "1. (2)": bare or bracketed numbers right behind the one with its sign are the answer. */
    private static boolean isAnswerOfNumberAbove(String text, int from, Matcher number, String sign) {
        boolean bracketed = sign.equals(".")
                && closing(number).equals(")")
                && number.group().strip().startsWith("(");
        String between = text.substring(from, number.start());
        // "5. C) 6": the number is what that option says.
        boolean ofOption =
                !closing(number).equals(sign) && BEHIND_LETTER.matcher(between).matches();
        return !sign.isEmpty()
                && (ofOption || (closing(number).isEmpty() || bracketed) && between.matches("[\\d\\s,;]*"));
    }

    /** "6. wax   8. honey": what has no answer is left out. */
    private static boolean isFarAndAlike(String text, Matcher number, String sign) {
        return !sign.isEmpty()
                && closing(number).equals(sign)
                && text.substring(0, number.start()).matches("(?s).*\\S(?:\\s{2,}|\\t)");
    }

    /** "2) comb 4) B": a bracket closes every number, and numbers without an answer are passed over. */
    private static boolean isClosedAlike(String text, Matcher number, String sign) {
        return sign.equals(")")
                && closing(number).equals(sign)
                && !text.substring(0, number.start()).isBlank();
    }

    private static String closing(Matcher number) {
        return number.group().strip().replaceAll(".*[\\p{L}\\d]", "");
    }

    /** "Q.4 queen   Q.8 21.6 kg": a worded number behind a wide space begins an answer, whatever numbers have none. */
    private static boolean isApart(String text, Matcher number) {
        String before = text.substring(0, number.start());
        boolean worded = Character.isLetter(number.group().charAt(0));
        return worded && before.matches("(?s).*(?:\\s{2}|[,;.]\\s?)");
    }
}
