package org.tidyleaf.reading.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;

/** Finds every way in which the beginning of a text can be understood as a label; decides for none of them. */
public final class LabelFinder {

    private static final String OPEN = "[(\\[]";
    private static final String CLOSE = "\\.\\)|\\.\\s?[-\u2013](?=\\s|$)|[.):\\]]|/(?=\\s)|\\s?[-\u2013](?=\\s|$)";

    /** "Question 2 of 12", "3/20"; "#6 /2" is worth two points. */
    private static final String OF_ALL =
            "\\s+(?:of|out of|von|de|sur|di|van|z)\\s+\\d{1,3}|(?:/|\\s/\\s)\\d{1,3}(?=\\s|:|$)";

    /** "3 | Match …": a bar, but no further one as between options. */
    private static final String BAR = "\\s\\|(?=\\s+\\p{Lu}[^|]*$)";

    private static final Pattern NUMBER = numbers("#");
    private static final Pattern WORDED_NUMBER = numbers(Vocabulary.ALL.either("question"));
    private static final Pattern LETTER =
            Pattern.compile("(" + OPEN + ")?([A-Za-z])(" + CLOSE + ")(\\s+|$|(?<=[)\\]])|(?<=\\.)(?=\\p{L}{2}))");
    /** "Option 2:", "Choice B.": letters and numbers with the word for what they label. */
    private static final Pattern WORDED_OPTION = Vocabulary.pattern("(?:" + Vocabulary.ALL.either("option")
            + "\\s+([A-Z]|\\d{1,2})\\s?[:.)\u2013-]|" + Vocabulary.ALL.either("answer")
            + "\\s+([A-H])\\s?[:)])\\s*");

    private static final Pattern WORDED_QUESTION =
            Vocabulary.pattern("(?!no\\b)" + Vocabulary.ALL.either("question") + "\\s?:\\s*(?=\\S)");
    /** "Bonus:", "Extra question (2 points)": one more that the numbers leave out. */
    private static final Pattern BONUS = Vocabulary.pattern("(" + Vocabulary.ALL.either("bonus") + ")(?:\\s+"
            + Vocabulary.ALL.either("question") + ")?\\s*(?:[:.]\\s+|(?=\\(\\+?\\s?\\d))");

    private static final Pattern NUMBER_WORD = Vocabulary.pattern(
            Vocabulary.ALL.either("question") + "\\s+(" + Vocabulary.ALL.either("numbers") + ")\\b[.:)]?(?:\\s+|$)");
    private static final Pattern ROMAN = Pattern.compile("(" + OPEN + ")?([ivx]{1,5}|[IVX]{1,5})([.)])(\\s+|$)");
    /** Squares and rings to tick, empty or ticked, inside of a pattern's brackets. */
    public static final String BOXES =
            "\u2610\u2611\u2612\u25a1\u25a2\u25cb\u25ef\u274f\u2751\u25fb\u25fd\u26aa\u2b1c\u2b55\u2b58";

    private static final Pattern BOX = Pattern.compile("(?:[" + BOXES
            + "]|\\[\\s?[xX*\u2713\u2714\u2022\u25cf]?\\s?]|\\(\\s{0,2}[xX*\u2713\u2714\u2022\u25cf]?\\s{0,2}\\))\\s*");
    private static final Pattern BULLET =
            Pattern.compile("(?:[\u2022\u2023\u25e6\u25aa\u25ab\u25cf\u2043\u00b7*]|[-\u2013\u2014oO](?=\\s))\\s+");
    private static final Pattern CODE = Pattern.compile(
            "((?=[A-Z0-9.-]*\\d)(?=[A-Z0-9.-]*[A-Z])[A-Z0-9]{2,8}(?:[.-][A-Z0-9]{1,6})?)[.):]?(\\s+|$)");

    /** "1.1.02-114": the number of a question in a catalogue. */
    private static final Pattern CATALOGUE =
            Pattern.compile("(\\d{1,2}(?:\\.\\d{1,3}){1,3}[-\u2013]\\d{1,4})[.):]?(\\s+(?=\\D)|$)");

    public static final String DECIMAL_SHAPE = "code 9.9";

    private static final Pattern DECIMAL = Pattern.compile(
            "(\\d{1,2}\\.(\\d{1,2})(?:\\.\\d{1,2})?)(?:[.):]\\s+(?=\\d)|[.):]?(?:\\s+(?=[\\p{L}(\u201c\"'_\u00bf])|\\s*$))");

    private static final Pattern WORDED_DECIMAL = Vocabulary.pattern(
            Vocabulary.ALL.either("question") + "\\s+(\\d{1,2}\\.(\\d{1,2}))\\s*(?:[.:)]|[-\u2013\u2014])?\\s+(?=\\S)");

    /** So many blanks are no space between two words. */
    private static final int WIDE = 3;

    /** What may stand before a question's first word: an opening sign, the points, a gap. */
    private static final String BEFORE_WORDS = "\u00bf\u00a1\"\u201c\u201e\u00ab(_.\u2026";

    private LabelFinder() {}

    private static Pattern numbers(String before) {
        return Vocabulary.pattern(
                "(?:(" + before + ")\\.?\\s*(?:(?:no|nr|num|number|n\u00b0|n\u00ba)\\b[.:]?\\s*)?#?)?(" + OPEN
                        + ")?\\s?(\\d{1,4})(?:" + OF_ALL + ")?([a-h]?(?:i{1,3}|iv|vi{0,3})|[a-h])?(" + CLOSE
                        + "|" + BAR + ")?(\\s+|$|(?<=[)\\]])|(?<=[:.])(?!\\d))");
    }

    /** The letter label that begins at a place, if one does. */
    public static Optional<Label> letterAt(String text, int at, int end) {
        return lettersAt(text, at, end).stream()
                .filter(label -> label.kind() == Label.Kind.LETTER)
                .findFirst();
    }

    /** The letter that begins at a place, and the small Roman numeral it may be as well, or a sign with its circle. */
    public static List<Label> lettersAt(String text, int at, int end) {
        Optional<Label> circled = CircledSigns.at(text, at, end);
        if (circled.isPresent()) {
            return List.of(circled.get());
        }
        if (!mayBeginLetter(text, at, end)) {
            return List.of();
        }
        List<Label> labels = new ArrayList<>();
        letter(text, at, end, labels);
        roman(text, at, end, labels);
        labels.removeIf(label -> label.kind() == Label.Kind.ROMAN
                && Character.isUpperCase(label.printed().charAt(0)));
        return labels;
    }

    /** A cheap look before the patterns are tried at every word: behind a label's letters nothing of a word goes on. */
    private static boolean mayBeginLetter(String text, int at, int end) {
        if (at >= end) {
            return false;
        }
        int behind = at + (text.charAt(at) == '(' || text.charAt(at) == '[' ? 1 : 0);
        while (behind < end && "ivxIVX".indexOf(text.charAt(behind)) >= 0) {
            behind++;
        }
        boolean single = behind == at || !Character.isLetter(text.charAt(behind - 1));
        int next = behind + (single ? 1 : 0);
        return next < end && !Character.isLetterOrDigit(text.charAt(next));
    }

    /** All labels that begin exactly at a place of a line, the more telling ones first; empty where there is none. */
    public static List<Label> find(String text, int at, int end) {
        List<Label> labels = new ArrayList<>();
        Optional<Label> circled = CircledSigns.at(text, at, end);
        if (circled.isPresent()) {
            return List.of(circled.get());
        }
        if (sign(BOX, Label.Kind.BOX, text, at, end, labels)) {
            // "[x]" is a ticked box and no letter.
            return labels;
        }
        boolean letters = at < end && Character.isLetter(text.charAt(at));
        if (!letters) {
            number(NUMBER, text, at, end, labels);
        } else if (mayBeWorded(text, at, end)) {
            if (!number(WORDED_NUMBER, text, at, end, labels)) {
                numberWord(text, at, end, labels);
            }
            worded(text, at, end, labels);
        }
        letter(text, at, end, labels);
        roman(text, at, end, labels);
        sign(BULLET, Label.Kind.BULLET, text, at, end, labels);
        if (labels.stream().noneMatch(LabelFinder::isWordedNumber)) {
            // "Q1" is the first question and no code.
            code(text, at, end, labels);
        }
        decimal(text, at, end, labels);
        if (letters && mayBeWorded(text, at, end)) {
            wordedDecimal(text, at, end, labels);
        }
        return labels;
    }

    private static boolean isWordedNumber(Label label) {
        return label.kind() == Label.Kind.NUMBER && label.shape().startsWith("Q");
    }

    /** A cheap look before the patterns with words are tried: whether the first word here can begin any of them. */
    private static boolean mayBeWorded(String text, int at, int end) {
        int behind = at;
        while (behind < end && Character.isLetter(text.charAt(behind))) {
            behind++;
        }
        Words first = Words.of(text.substring(at, behind));
        return Vocabulary.ALL.mentions(first, "question", "option", "answer", "bonus");
    }

    private static void worded(String text, int at, int end, List<Label> labels) {
        Matcher option = at(WORDED_OPTION, text, at, end);
        if (option.lookingAt()) {
            String printed = option.group(1) == null ? option.group(2) : option.group(1);
            int ordinal = Character.isDigit(printed.charAt(0))
                    ? Integer.parseInt(printed)
                    : Character.toUpperCase(printed.charAt(0)) - 'A' + 1;
            labels.add(new Label(Label.Kind.LETTER, ordinal, printed, "option", at, option.end()));
        }
        Matcher bonus = at(BONUS, text, at, end);
        if (bonus.lookingAt()) {
            labels.add(new Label(Label.Kind.CODE, 0, bonus.group(1), Label.BONUS_SHAPE, at, bonus.end()));
        }
        Matcher question = at(WORDED_QUESTION, text, at, end);
        if (question.lookingAt()) {
            labels.add(new Label(Label.Kind.CODE, 0, "", "Q:", at, question.end()));
        }
    }

    /** The word processor's own "1" or "a": a label for certain, with nothing behind it to tell so. */
    public static List<Label> automatic(String text, int labelEnd) {
        String printed = text.substring(0, labelEnd).strip();
        if (printed.matches("\\d{1,4}")) {
            return List.of(new Label(Label.Kind.NUMBER, Integer.parseInt(printed), printed, "9", 0, labelEnd));
        }
        if (printed.matches("[A-Za-z]")) {
            int ordinal = Character.toUpperCase(printed.charAt(0)) - 'A' + 1;
            String shape = Character.isUpperCase(printed.charAt(0)) ? "A" : "a";
            return List.of(new Label(Label.Kind.LETTER, ordinal, printed, shape, 0, labelEnd));
        }
        return List.of();
    }

    private static Matcher at(Pattern pattern, String text, int from, int to) {
        return pattern.matcher(text).region(from, to).useTransparentBounds(true);
    }

    /** Whether the pattern fits; a number alone is a label only with a sign or wide blanks behind it. */
    private static boolean number(Pattern pattern, String text, int at, int end, List<Label> labels) {
        Matcher m = at(pattern, text, at, end);
        if (!m.lookingAt()) {
            return false;
        }
        boolean worded = m.group(1) != null;
        boolean closed = m.group(5) != null;
        if (!worded && !closed && !m.group(6).contains("\t") && !isFarFromWords(text, m)) {
            return true;
        }
        int ordinal = Integer.parseInt(m.group(3));
        String part = m.group(4) == null ? "" : m.group(4);
        String shape = (worded ? "Q" : "") + (m.group(2) == null ? "" : m.group(2)) + "9"
                + (closed ? m.group(5).strip() : "");
        labels.add(new Label(Label.Kind.NUMBER, ordinal, ordinal + part, shape, at, m.end()));
        return true;
    }

    /** "7    Which bee …": blanks typed, or left of a tab, between a number and the words it counts. */
    private static boolean isFarFromWords(String text, Matcher number) {
        return number.group(6).length() >= WIDE
                && number.end() < text.length()
                && (Character.isLetter(text.charAt(number.end()))
                        || BEFORE_WORDS.indexOf(text.charAt(number.end())) >= 0);
    }

    /** "Question one". */
    private static void numberWord(String text, int at, int end, List<Label> labels) {
        Matcher m = at(NUMBER_WORD, text, at, end);
        if (m.lookingAt()) {
            Vocabulary.ALL
                    .number(m.group(1))
                    .map(value -> value.intValue())
                    .ifPresent(value -> labels.add(
                            new Label(Label.Kind.NUMBER, value, String.valueOf(value), "Qone", at, m.end())));
        }
    }

    private static void letter(String text, int at, int end, List<Label> labels) {
        Matcher m = at(LETTER, text, at, end);
        if (m.lookingAt()) {
            String letter = m.group(2);
            String shape = shape(m.group(1), letter, m.group(3), "a", "A");
            int ordinal = Character.toUpperCase(letter.charAt(0)) - 'A' + 1;
            labels.add(new Label(Label.Kind.LETTER, ordinal, letter, shape, at, m.end()));
        }
    }

    private static void roman(String text, int at, int end, List<Label> labels) {
        Matcher m = at(ROMAN, text, at, end);
        if (m.lookingAt()) {
            int value = roman(m.group(2).toLowerCase(Locale.ROOT));
            String shape = shape(m.group(1), m.group(2), m.group(3), "i", "I");
            labels.add(new Label(Label.Kind.ROMAN, value, m.group(2), shape, at, m.end()));
        }
    }

    private static String shape(String open, String sign, String close, String lower, String upper) {
        String middle = Character.isUpperCase(sign.charAt(0)) ? upper : lower;
        return (open == null ? "" : open) + middle + close.strip();
    }

    private static boolean sign(Pattern pattern, Label.Kind kind, String text, int at, int end, List<Label> labels) {
        Matcher m = at(pattern, text, at, end);
        if (m.lookingAt()) {
            labels.add(new Label(kind, 0, m.group().strip(), kind.name(), at, m.end()));
            return true;
        }
        return false;
    }

    /** "2.1 Define …": numbers within numbered parts. */
    private static void decimal(String text, int at, int end, List<Label> labels) {
        Matcher m = at(DECIMAL, text, at, end);
        if (m.lookingAt()) {
            int ordinal = Integer.parseInt(m.group(2));
            labels.add(new Label(Label.Kind.CODE, ordinal, m.group(1), DECIMAL_SHAPE, at, m.end()));
        }
    }

    /** "Task 1.2 – …". */
    private static void wordedDecimal(String text, int at, int end, List<Label> labels) {
        Matcher m = at(WORDED_DECIMAL, text, at, end);
        if (m.lookingAt()) {
            labels.clear();
            int ordinal = Integer.parseInt(m.group(2));
            labels.add(new Label(Label.Kind.CODE, ordinal, m.group(1), DECIMAL_SHAPE, at, m.end()));
        }
    }

    private static void code(String text, int at, int end, List<Label> labels) {
        Matcher catalogue = at(CATALOGUE, text, at, end);
        if (catalogue.lookingAt()) {
            String shape = "code " + catalogue.group(1).replaceAll("\\d+", "9");
            labels.add(new Label(Label.Kind.CODE, 0, catalogue.group(1), shape, at, catalogue.end()));
        }
        Matcher m = at(CODE, text, at, end);
        if (m.lookingAt()) {
            String shape = m.group(1).replaceAll("[A-Z]+", "A").replaceAll("\\d+", "9");
            labels.add(new Label(Label.Kind.CODE, 0, m.group(1), "code " + shape, at, m.end()));
        }
    }

    private static int roman(String text) {
        int total = 0;
        int largest = 0;
        for (int i = text.length() - 1; i >= 0; i--) {
            int value = text.charAt(i) == 'i' ? 1 : text.charAt(i) == 'v' ? 5 : 10;
            total += value < largest ? -value : value;
            largest = Math.max(largest, value);
        }
        return total;
    }
}
