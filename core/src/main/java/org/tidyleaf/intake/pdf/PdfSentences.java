package org.tidyleaf.intake.pdf;

import java.util.regex.Pattern;

/** Whether a row reads on in the one below it, by what stands at its end and at the beginning of that, and not by its place. */
final class PdfSentences {

    /** In signs: no printed row is longer, and patterns with several open ends are tried on no longer one. */
    private static final int LONGEST_ROW = 300;

    private static final Pattern BEGINS =
            Pattern.compile("[(\\[]?(?:\\d{1,3}|\\p{L}|[ivxIVX]{1,5})\\s?[.):\\]\u2013-].*"
                    + "|[\\p{So}\\p{Sm}\\p{Sk}\\p{Po}\\p{Pc}\\p{Pd}\\p{Ps}\u2022\\d#].*|[\\p{Lu}][\\p{L} .\u00b0]{0,24}[:=\\d#].*"
                    + "|\\p{Lu}\\p{L}{2,11}\\s(?:[A-Z]|[IVX]{1,4})[.:)].*");

    /** "61.8 cm." below "… cuts the board to": a number with its unit, and none of a question. */
    private static final Pattern AMOUNT = Pattern.compile(
            "\\d{1,4}(?:[.,]\\d{1,3}\\s?(?:\\p{Ll}{1,3}(?!\\p{L})|[%\u00b0]|[.,;)]?$)|\\s(?:[kcm]?m|[km]?g|ml|min|\u00b0C)\\b).*");

    private static final Pattern ENDS = Pattern.compile(".*[.?!:;\u2026_)\\]][\"'\u201d\u2019\u00bb]?");

    /** "(2 points)", "(___/2)", "- 2 points": what had no room behind its question. */
    private static final Pattern WORTH = Pattern.compile(
            "[(\\[][_.\u2026]*\\s*/?\\s*\\d{1,3}(?:[.,]\\d)?(?:\\s?\\p{L}{1,10}(?:/\\p{L})?\\.?){0,3}[)\\]]"
                    + "|[-\u2013\u2014]\\s+\\d{1,3}\\s?\\p{L}{1,8}\\.?");

    /** "first.      (6 marks)": the end of a sentence, and far behind it what it is worth. */
    private static final Pattern WORTH_BEHIND = Pattern.compile(
            "\\p{Ll}[^\\t]*\\S(?:\\s{2,}|\\t)\\s*[(\\[]\\d{1,3}(?:[.,]\\d)?(?:\\s?\\p{L}{1,8}\\.?)?[)\\]]");

    /** "… Use the (4)" over "______ to loosen": a gap within the sentence. */
    private static final Pattern GAP_GOES_ON = Pattern.compile("[_.\u2026]{3,}[,;]?\\s\\p{Ll}.*");

    /** "(      ).   [1]" below "… is called a": a gap in brackets at the sentence's end. */
    private static final Pattern EMPTY_BRACKETS = Pattern.compile("[(\\[]\\s*[)\\]]\\s?[.,;](?:\\s.*)?");

    private static final Pattern GAP_FIRST = Pattern.compile("[_.\u2026]{3,}\\s?[.,;]?\\s\\S");

    /** "____ Filter the honey" below "Number the steps from 1 to 4.": room for a number. */
    private static final Pattern ROOM_BEFORE_SENTENCE = Pattern.compile("[_.\u2026]{3,}\\s+\\p{Lu}");

    private static final Pattern NUMBER_LAST = Pattern.compile(".*\\p{L}[,;]?\\s[(\\[]?\\d{1,3}[)\\].]?");

    private static final Pattern BEFORE_GAP = Pattern.compile(".*(?:\\p{L}|,|[(\\[]\\d{1,2}[)\\]])");

    private static final Pattern DASH_AT_END = Pattern.compile(".*\\s[-\u2013\u2014]");

    private static final Pattern BOX = Pattern.compile("[\u2610-\u2612\u25a1\u25cb\u25ef]");

    private static final Pattern ROOM_BEFORE =
            Pattern.compile(".*(?:_{3}|[\u2610\u25a1]).*(?:\\p{L}\\s?:|_\\s+(?:\\d{1,2}|\\p{L})[.)]?)");

    /** What is left of such a line: "____", "____ / 25". */
    private static final Pattern ROOM_CUT = Pattern.compile("[_.\u2026\\s]+(?:/\\s?\\d{1,3}(?:\\s?\\p{L}{1,8}\\.?)?)?");

    /** "kg   [2]" below "… ________": a unit that had no room behind the rule. */
    private static final Pattern UNIT_CUT =
            Pattern.compile("\\p{L}{1,3}[23\u00b2\u00b3]?(?:\\s+[(\\[]\\d{1,2}(?:\\s?\\p{L}{1,8}\\.?)?[)\\]])?");

    /** What marks an option, alone. */
    private static final Pattern SIGN = Pattern.compile("\\*{1,2}|[\u2713\u2714\u2605\u2611]");

    /** "9-11." alone below "… and answer questions". */
    private static final Pattern RANGE = Pattern.compile("\\d{1,3}\\s?[-\u2013]\\s?\\d{1,3}[.:]?");

    private static final Pattern RANGE_CUT = Pattern.compile(".*\\p{L}\\s\\d{1,3}\\s?[-\u2013]");

    /** "1. c   2. a   3. hazel": where several stand so far apart, they are answers one behind the other. */
    private static final Pattern ANSWER = Pattern.compile("\\s{2}\\d{1,3}[.)]");

    private static final int SEVERAL = 2;

    /** "Key: 1 b; 2 c; 4.1 mass;" over "4.2 honey": a list of answers goes on behind the sign between two. */
    private static final Pattern LIST_CUT =
            Pattern.compile("(?:.*(?:^|\\s)\\d{1,3}(?:\\.?\\d{1,2}|\\p{Ll})?\\s?[.):]?\\s\\S[^;]*;){2}");

    private static final Pattern WITHIN_LIST = Pattern.compile("\\d{1,3}\\s?,.*");

    private static final Pattern LETTERS_CUT = Pattern.compile(".*\\(\\p{Lu}\\s?[-\u2013]");

    /** "…   5." over "swarm   6. red": a list of answers. */
    private static final Pattern NUMBER_ALONE = Pattern.compile(".*\\s{2}\\d{1,3}(?:[-\u2013]\\d{1,3})?[.)]");

    private static final Pattern LABEL_ALONE = Pattern.compile(".*[(\\[]?[A-Ha-h][.)\\]]");

    private static final String HYPHENS = "-\u2010\u00ad";

    /** In points: where a row may begin left of the one above, and how far right of it, where a label hangs before that. */
    private static final float LEFT = 2;

    private PdfSentences() {}

    /** @param worthApart whether points stand in rows of their own even where those above have room for them */
    static boolean readOn(PdfRow row, PdfRow next, boolean worthApart) {
        if (isCut(row, next)) {
            return true;
        }
        if (row.isWide() || next.lastPart().isPresent()) {
            return readOnAcross(row, next);
        }
        boolean listed = row.glyphs().size() < LONGEST_ROW
                && LIST_CUT.matcher(row.spaced()).matches();
        boolean range = RANGE.matcher(next.spaced()).matches() && Character.isLetter(last(row));
        boolean worth = !worthApart && isWorth(row, next);
        boolean amount = Character.isLowerCase(last(row))
                && AMOUNT.matcher(next.spaced()).matches();
        boolean gap = BEFORE_GAP.matcher(row.plain()).matches()
                && GAP_GOES_ON.matcher(next.spaced()).matches();
        if (listed || range || worth || amount || gap || isRangeCut(row, next)) {
            return true;
        }
        boolean lower = beginsInLower(next);
        boolean left = next.left() < row.left() - LEFT;
        boolean ended =
                ENDS.matcher(row.plain()).matches() && !(lower && row.plain().endsWith(")"));
        return !ended && !BEGINS.matcher(next.spaced()).matches() && (lower || !left);
    }

    /** Whether the next row is what had no room behind a box, a rule, a bracket or a number. */
    private static boolean isCut(PdfRow row, PdfRow next) {
        return SIGN.matcher(next.spaced()).matches()
                || isBoxCut(row, next)
                || isRoomCut(row, next)
                || isNumberedGap(row, next)
                || isBracketOpen(row.spaced(), next.spaced())
                || EMPTY_BRACKETS.matcher(next.spaced()).matches() && Character.isLowerCase(last(row))
                || NUMBER_ALONE.matcher(row.spaced()).matches() && beginsInLower(next);
    }

    /** The same where parts of a row stand far apart: lists of answers, and sentences with their points far behind them. */
    private static boolean readOnAcross(PdfRow row, PdfRow next) {
        String text = row.plain();
        boolean answers = ANSWER.matcher(row.spaced()).results().limit(SEVERAL).count() == SEVERAL;
        boolean comma = text.endsWith(",");
        boolean begins = BEGINS.matcher(next.spaced()).matches();
        boolean plain =
                next.lastPart().isEmpty() && !begins && !ENDS.matcher(text).matches();
        if (answers && (plain || comma && WITHIN_LIST.matcher(next.spaced()).matches())) {
            return true;
        }
        boolean worth =
                !row.isWide() && !begins && WORTH_BEHIND.matcher(next.spaced()).matches();
        boolean label = next.lastPart().isEmpty() && LABEL_ALONE.matcher(text).matches();
        return beginsInLower(next) && (worth || answers || comma || label);
    }

    /** Whether the next row tells what the question above is worth, and nothing else. */
    static boolean isWorth(PdfRow row, PdfRow next) {
        boolean dashed = DASH_AT_END.matcher(row.spaced()).matches();
        return WORTH.matcher((dashed ? "- " : "") + next.spaced()).matches();
    }

    /** "… the bees had filled 9" over "______ . Today": a gap below its number, which may be bold. */
    static boolean isNumberedGap(PdfRow row, PdfRow next) {
        boolean ended = row.plain().endsWith(".")
                && ROOM_BEFORE_SENTENCE.matcher(next.spaced()).lookingAt();
        return !ended
                && GAP_FIRST.matcher(next.spaced()).lookingAt()
                && NUMBER_LAST.matcher(row.spaced()).matches();
    }

    /** "… True \u2610   False" over "\u2610". */
    static boolean isBoxCut(PdfRow row, PdfRow next) {
        return BOX.matcher(next.spaced()).matches()
                && BOX.matcher(row.spaced()).find()
                && !BOX.matcher(row.spaced()).lookingAt()
                && Character.isLetter(last(row));
    }

    /** "Points: ____   Signature:" over "________". */
    private static boolean isRoomCut(PdfRow row, PdfRow next) {
        boolean shortRow = row.glyphs().size() < LONGEST_ROW;
        return shortRow
                        && ROOM_CUT.matcher(next.spaced()).matches()
                        && ROOM_BEFORE.matcher(row.spaced()).matches()
                || UNIT_CUT.matcher(next.spaced()).matches() && row.plain().endsWith("__");
    }

    /** "… is the newton (symbol" over "N).". */
    private static boolean isBracketOpen(String row, String next) {
        return isOpen(row, next, '(', ')') || isOpen(row, next, '[', ']');
    }

    private static boolean isOpen(String row, String next, char opening, char closing) {
        int close = next.indexOf(closing);
        int open = next.indexOf(opening);
        return row.lastIndexOf(opening) > row.lastIndexOf(closing) && close >= 0 && (open < 0 || close < open);
    }

    /** "questions 10-" over "12.", "(A–" over "D)". */
    static boolean isRangeCut(PdfRow row, PdfRow next) {
        String first = next.glyphs().get(0).text();
        return Character.isDigit(first.charAt(0))
                        && RANGE_CUT.matcher(row.spaced()).matches()
                || Character.isUpperCase(first.charAt(0))
                        && LETTERS_CUT.matcher(row.spaced()).matches();
    }

    static boolean endsInHyphen(PdfRow row, PdfRow next) {
        int last = row.glyphs().size() - 1;
        PdfPage.Glyph hyphen = row.glyphs().get(last);
        PdfPage.Glyph before = row.glyphs().get(last - 1);
        // Behind a space it is a dash.
        return HYPHENS.indexOf(hyphen.text().charAt(0)) >= 0
                && PdfRow.gap(before, hyphen).isEmpty()
                && Character.isLetter(before.text().codePointAt(0))
                && Character.isLowerCase(next.glyphs().get(0).text().codePointAt(0));
    }

    private static boolean beginsInLower(PdfRow row) {
        return Character.isLowerCase(row.glyphs().get(0).text().codePointAt(0));
    }

    private static int last(PdfRow row) {
        return row.glyphs().get(row.glyphs().size() - 1).text().codePointAt(0);
    }
}
