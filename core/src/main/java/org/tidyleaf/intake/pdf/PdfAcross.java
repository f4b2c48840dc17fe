package org.tidyleaf.intake.pdf;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Rows that a white strip parts and that are read across all the same: what stands on the right goes on with the left. */
final class PdfAcross {

    /** In points: letters of one word stand closer. */
    private static final float SPACE = 1;

    /** "True", "False" and perhaps "(2 points)": no column has so few different words. */
    private static final int WORDS_OF_PAIR = 4;

    private static final Pattern LETTER = Pattern.compile("[(\\[]?([A-Ha-h])(?:[.):\\]]|\\h|$)");

    private static final Pattern WITHIN = Pattern.compile("(?<=^|\\h)" + LETTER.pattern());

    private static final Pattern POINTS = Pattern.compile(
            "[(\\[]\\s?(?:\\p{L}+\\s?:?\\s)?\\d{1,3}(?:\\s?\\p{L}{1,6}\\.?)?\\s?[)\\]]|[_.\u2026]*\\s?/\\s?\\d{1,3}(?:\\s?\\p{L}{1,6}\\.?)?");

    private static final Pattern NUMBER = Pattern.compile("[(#]?\\d{1,3}[.):]");

    /** "____ 3. swarm", "( ) 3. swarm". */
    private static final Pattern NUMBERED = Pattern.compile("(?:[_.\u2026]{2,}|[(\\[]\\s*[)\\]])?\\s*\\d{1,2}[.)]?\\s");

    private static final Pattern NUMBER_ALONE = Pattern.compile("[(\\[]?\\d{1,2}(?:\\.\\d{1,2}){0,3}[.)\\]]?");

    private static final Pattern BOX =
            Pattern.compile("[\u2610-\u2612\u25a1\u25a2\u25cb\u25ef\u2022]|[(\\[]\\s?[xX]?\\s?[)\\]]");

    private static final Pattern DOT_AT_END = Pattern.compile("[\u2022\u25cf\u25cb\u00b7]$");

    /** Words that stand in a list of words. */
    private static final int FEW = 3;

    private static final int MOST_WORDS_ROWS = 6;

    /** All but one row in so many. */
    private static final int NEARLY = 5;

    private PdfAcross() {}

    /** Whether the rows are no columns, because options, pairs to judge by or points stand on the right of their own row. */
    static boolean goesOn(List<PdfRow> rows, float gutter) {
        return isRepeated(rows, gutter)
                || isPoints(rows, gutter)
                || isLetteredAcross(rows, gutter)
                || isBoxedAcross(rows, gutter)
                || isListOfWords(rows, gutter)
                || isMatched(rows, gutter)
                || isBehindLabels(rows, gutter)
                || goesOnAcross(rows, gutter);
    }

    /** "True / False" behind each line says the same again and again, which a column does not. */
    private static boolean isRepeated(List<PdfRow> rows, float gutter) {
        List<String> behind = rows.stream()
                .map(row -> side(row, gutter, false))
                .filter(text -> !text.isEmpty())
                .toList();
        long words = behind.stream()
                .flatMap(text -> Stream.of(text.split("\\s+")))
                .distinct()
                .count();
        long texts = behind.stream().distinct().count();
        boolean fewWords = words <= WORDS_OF_PAIR && texts < behind.size();
        return behind.size() > 2 && (fewWords || texts * 2 < behind.size());
    }

    /** "[2]" and "[Total: 5]" at the right margin are what questions are worth. */
    private static boolean isPoints(List<PdfRow> rows, float gutter) {
        List<String> behind = rows.stream()
                .map(row -> side(row, gutter, false))
                .filter(text -> !text.isEmpty())
                .toList();
        return behind.stream().filter(text -> POINTS.matcher(text).matches()).count() * 2 > behind.size();
    }

    /** "A wax     B honey" over "C comb     D pollen": options that are lettered on across are no columns. */
    private static boolean isLetteredAcross(List<PdfRow> rows, float gutter) {
        int both = 0;
        int across = 0;
        for (PdfRow row : rows) {
            String left = side(row, gutter, true);
            String right = side(row, gutter, false);
            if (!left.isEmpty() && !right.isEmpty()) {
                both++;
                Matcher next = LETTER.matcher(right);
                across += next.lookingAt() && isBehind(left, next.group(1).charAt(0)) ? 1 : 0;
            }
        }
        return across > 1 && across * 2 > both;
    }

    /** Boxes in one row on both sides, and all numbers and letters on the left: what stands on the right goes on with the left. */
    private static boolean isBoxedAcross(List<PdfRow> rows, float gutter) {
        int boxed = 0;
        int numbers = 0;
        for (PdfRow row : rows) {
            String left = side(row, gutter, true);
            String right = side(row, gutter, false);
            if (isLabelled(right)) {
                return false;
            }
            numbers += isLabelled(left) ? 1 : 0;
            boxed += BOX.matcher(left).lookingAt() && BOX.matcher(right).lookingAt() ? 1 : 0;
        }
        return boxed > 1 && numbers > 1;
    }

    /** "the hive     the swarm" over two more such rows, and then text on the left alone: words in two rows beside room. */
    private static boolean isListOfWords(List<PdfRow> rows, float gutter) {
        int both = 0;
        for (PdfRow row : rows) {
            String left = side(row, gutter, true);
            String right = side(row, gutter, false);
            if (right.isEmpty()) {
                continue;
            }
            boolean words = !left.isEmpty() && !isLabelled(left) && !isLabelled(right) && isFew(left) && isFew(right);
            if (!words) {
                return false;
            }
            both++;
        }
        return both > 1 && both < MOST_WORDS_ROWS && rows.size() > both * 2;
    }

    /** "1. wax      A. glue" over "2. resin     B. comb": all that stands on the right has its letter, and a number beside it. */
    private static boolean isMatched(List<PdfRow> rows, float gutter) {
        char last = 0;
        int matched = 0;
        for (PdfRow row : rows) {
            String right = side(row, gutter, false);
            if (right.isEmpty()) {
                continue;
            }
            Matcher letter = LETTER.matcher(right);
            boolean numbered = NUMBERED.matcher(side(row, gutter, true)).lookingAt();
            boolean inTurn = letter.lookingAt() && (last == 0 || letter.group(1).charAt(0) == last + 1);
            if (!numbered || !inTurn) {
                return false;
            }
            last = letter.group(1).charAt(0);
            matched++;
        }
        return matched > 1;
    }

    /** "1.1.1           Name the shape." over "(2)" at the right: far behind a number stands the text that it numbers. */
    private static boolean isBehindLabels(List<PdfRow> rows, float gutter) {
        int behind = 0;
        for (PdfRow row : rows) {
            String right = side(row, gutter, false);
            if (right.isEmpty() || POINTS.matcher(right).matches()) {
                continue;
            }
            if (!NUMBER_ALONE.matcher(side(row, gutter, true)).matches()) {
                return false;
            }
            behind++;
        }
        return behind > 0;
    }

    private static boolean isFew(String text) {
        return text.split("\\s+").length <= FEW
                && text.chars().noneMatch(sign -> sign == '.' || sign == '?' || sign == ':');
    }

    private static boolean isLabelled(String text) {
        return NUMBER.matcher(text).lookingAt() || LETTER.matcher(text).lookingAt();
    }

    /**
     * Where no number begins a row on the right, and nearly all there goes on with the left of its row: the next letter of the
     * options, the same pair again and again, what a dot on the left leads to.
     */
    private static boolean goesOnAcross(List<PdfRow> rows, float gutter) {
        Map<String, Integer> texts = new HashMap<>();
        int behind = 0;
        int across = 0;
        for (PdfRow row : rows) {
            String right = side(row, gutter, false);
            if (NUMBER.matcher(right).lookingAt()) {
                return false;
            }
            behind += right.isEmpty() ? 0 : 1;
            texts.merge(right, 1, Integer::sum);
        }
        for (PdfRow row : rows) {
            String left = side(row, gutter, true);
            String right = side(row, gutter, false);
            if (left.isEmpty() || right.isEmpty()) {
                continue;
            }
            Matcher letter = LETTER.matcher(right);
            boolean next = letter.lookingAt() && isBehind(left, letter.group(1).charAt(0));
            boolean again = texts.get(right) > 1 && right.codePoints().anyMatch(Character::isLetter);
            across += next || again || DOT_AT_END.matcher(left).find() ? 1 : 0;
        }
        return across > 2 && across * NEARLY >= behind * (NEARLY - 1);
    }

    /** Whether the letter goes on from the last one that begins a word. */
    private static boolean isBehind(String left, char letter) {
        Matcher here = WITHIN.matcher(left);
        char last = 0;
        while (here.find()) {
            last = here.group(1).charAt(0);
        }
        return letter == last + 1;
    }

    private static String side(PdfRow row, float gutter, boolean left) {
        StringBuilder text = new StringBuilder();
        float end = Float.MAX_VALUE;
        for (PdfPage.Glyph glyph : row.glyphs()) {
            if (glyph.x() < gutter == left) {
                text.append(glyph.x() - end > SPACE ? " " : "").append(glyph.text());
                end = glyph.right();
            }
        }
        return text.toString().strip();
    }
}
