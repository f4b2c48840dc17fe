package org.tidyleaf.intake;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.tidyleaf.source.Emphasis;

/**
 * Which rows of a page go on in the next: those that had no room for its first word, where nothing says that it begins something.
 * A teacher's word processor broke them; to readers the sentence is one.
 */
final class PdfParagraphs {

    /** Rows of one paragraph stand no further apart than so many usual distances. */
    private static final double APART = 1.25;

    /** Rows so many times as far apart as those next to them are of two paragraphs. */
    private static final float BETWEEN = 1.15f;

    /** In sizes of letters: lines of text are no nearer to one another. */
    private static final float LEAST_LINE = 0.9f;

    private static final double APART_BY_FRACTION = 2;

    /** Shorter rows were not broken by the edge of a column. */
    private static final int LEAST_LETTERS = 20;

    private static final int LONGEST_LABEL = 5;

    /** In signs: no printed row is longer, and patterns with several open ends are tried on no longer one. */
    private static final int LONGEST_ROW = 300;

    /** In parts of a page's width: columns part no further to the right. */
    private static final float MIDDLE = 0.55f;

    /** So many rows may reach over the edge, and no more than one of several. */
    private static final int MOST_OUTSIDE = 2;

    private static final int FEW = 8;

    /** No page that people print has more rows. */
    private static final int MOST_ROWS = 500;

    /** In points: what reaches over the edge does so by more. */
    private static final float FAR_OVER = 60;

    /** In points: what differs less ends at the same edge. */
    private static final float SAME_EDGE = 6;

    /** The longest row shows where a column ends if it fills so much of the room there is. */
    private static final float FILLED = 0.6f;

    /** In parts of a letter's size: the space before the next word. */
    private static final float SPACE = 0.25f;

    /** In points: where a row may begin left of the one above, and how far right of it, where a label hangs before that. */
    private static final float LEFT = 2;

    private static final float FIRST_LINE = 40;
    private static final float HANGING = 60;

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

    private static final Pattern NUMBER_LAST = Pattern.compile(".*\\p{L}[,;]?\\s[(\\[]?\\d{1,3}[)\\].]?");

    private static final Pattern BEFORE_GAP = Pattern.compile(".*(?:\\p{L}|,|[(\\[]\\d{1,2}[)\\]])");

    /** A row to write on ends where it likes. */
    private static final Pattern ROOM = Pattern.compile("[_.\u2026\\s]+");

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

    /** In English, first halves of words that are always written with a hyphen. */
    private static final Set<String> KEEP_HYPHEN = Set.of("well", "self", "half", "non", "ex");

    private final List<PdfRow> rows;
    private final float[] edges;
    private final boolean[] shows;

    /** Whether a single row shows where the column ends. */
    private final boolean[] alone;

    private final double pitch;
    private final boolean numbered;

    /** Whether points stand in rows of their own even where those above have room for them. */
    private final boolean worthApart;

    /**
     * @param pitch the usual distance of two rows, in sizes of their face
     * @param columns whether any page of the document has two columns; on the last only one may be filled
     * @param running whether a row is a running head, which may reach further than the text
     */
    PdfParagraphs(PdfPage page, List<PdfRow> rows, double pitch, boolean columns, Predicate<PdfRow> running) {
        this.rows = rows;
        this.pitch = pitch;
        this.edges = new float[rows.size()];
        this.numbered = rows.stream().filter(PdfParagraphs::isLineNumbered).count() > 1;
        this.shows = new boolean[rows.size()];
        this.alone = new boolean[rows.size()];
        for (int i = 0; i < rows.size(); i++) {
            shows[i] = !running.test(rows.get(i))
                    && !ROOM.matcher(rows.get(i).plain()).matches();
        }
        float margin = (float) rows.stream().mapToDouble(PdfRow::left).min().orElse(0);
        int from = 0;
        for (int i = 1; i <= rows.size(); i++) {
            if (i == rows.size()
                    || rows.get(i).newColumn()
                    || rows.get(i).y() < rows.get(i - 1).y()) {
                boolean half = rows.get(from).newColumn() || columns && isHalf(page, from, i);
                edges(from, i, half ? page.width() / 2 : page.width() - margin, page.width() - margin);
                from = i;
            }
        }
        this.worthApart = isWorthApart();
    }

    /** Whether hardly any row reaches over the middle of the page. */
    private boolean isHalf(PdfPage page, int from, int to) {
        long over = rows.subList(from, to).stream()
                .filter(row -> row.right() > page.width() * MIDDLE)
                .count();
        return over <= MOST_OUTSIDE;
    }

    /**
     * For each row of a column the edge that it shares with those which stand above or below it; none where that is not to be seen.
     *
     * @param right where the column may reach, {@code end} where one to the right of that may
     */
    private void edges(int from, int to, float right, float end) {
        if (to - from > MOST_ROWS) {
            Arrays.fill(edges, from, to, Float.MAX_VALUE);
            return;
        }
        for (int i = from; i < to; i++) {
            PdfRow row = rows.get(i);
            float left = row.left();
            List<Float> rights = new ArrayList<>();
            Set<Float> tabbed = new HashSet<>();
            for (int j = from; j < to; j++) {
                PdfRow other = rows.get(j);
                if ((shows[j] || j == i) && other.left() < row.right() && other.right() > row.left()) {
                    rights.add(other.right());
                    if (isWide(other)) {
                        tabbed.add(other.right());
                    }
                    left = Math.min(left, other.left());
                }
            }
            // What stands at a tab may reach farther than text does.
            boolean farther = rights.size() - tabbed.size() >= FEW
                    && rights.removeIf(place -> tabbed.contains(place) && place > row.right() + SAME_EDGE);
            // The head of a paper may reach over more than one column.
            rights.sort(Comparator.reverseOrder());
            int outside = 0;
            while (outside < Math.min(MOST_OUTSIDE, rights.size() / FEW)
                    && tabbed.contains(rights.get(outside))
                    && rights.get(outside) > row.right() + SAME_EDGE
                    && rights.get(outside) - rights.get(outside + 1) > SAME_EDGE) {
                outside++;
            }
            while (right < end
                    && outside < Math.min(MOST_OUTSIDE, rights.size() / FEW)
                    && rights.get(outside) - rights.get(outside + 1) > FAR_OVER) {
                outside++;
            }
            float edge = rights.get(outside);
            alone[i] = !farther && rights.size() > outside + 1 && edge - rights.get(outside + 1) > SAME_EDGE;
            float room = (left < right ? right : end) - left;
            edges[i] = edge - left >= FILLED * room ? edge : Float.MAX_VALUE;
        }
    }

    private boolean isWorthApart() {
        for (int i = 1; i < rows.size(); i++) {
            PdfRow above = rows.get(i - 1);
            boolean room = edges[i - 1] < Float.MAX_VALUE && edges[i - 1] - above.right() >= firstWord(rows.get(i));
            if (room
                    && above.y() < rows.get(i).y()
                    && WORTH.matcher(rows.get(i).spaced()).matches()) {
                return true;
            }
        }
        return false;
    }

    /** Whether the row at a place is broken, and goes on in the one behind it. */
    boolean isBroken(int place) {
        if (numbered || place + 1 >= rows.size() || rows.get(place + 1).newColumn()) {
            return false;
        }
        PdfRow row = rows.get(place);
        PdfRow next = rows.get(place + 1);
        boolean below = next.y() > row.y()
                && (next.y() - row.y()) / row.size() < pitch * (isHigh(row) || isHigh(next) ? APART_BY_FRACTION : APART)
                && Math.abs(next.size() - row.size()) < 0.5f
                && (next.left() > row.left() - FIRST_LINE && next.left() < row.left() + HANGING
                        || isCentered(row, next));
        return below
                && !isParagraphEnd(place)
                && row.glyphs().size() >= LEAST_LETTERS
                && row.right() < edges[place] + SAME_EDGE
                && (isBoxCut(row, next)
                        || (edges[place] - row.right()) * (isCentered(row, next) ? 2 : 1) < firstWord(next)
                        || endsInHyphen(row, next))
                && (isNumberedGap(row, next)
                        || isBold(row.glyphs().get(row.glyphs().size() - 1))
                                == isBold(next.glyphs().get(0)))
                && (!alone[place] || goesOnInSmall(next))
                && isWithinSentence(row, next);
    }

    /** Whether the next row stands farther off than those around it: a space between paragraphs. */
    private boolean isParagraphEnd(int place) {
        float distance = distance(place);
        boolean above = place > 0 && distance > BETWEEN * distance(place - 1) && distance(place - 1) > 0;
        boolean below = place + 2 < rows.size() && distance > BETWEEN * distance(place + 1) && distance(place + 1) > 0;
        return above && isFull(place - 1) || below && isFull(place + 1);
    }

    /** A fraction needs more room than a line. */
    private static boolean isHigh(PdfRow row) {
        return row.glyphs().stream().anyMatch(glyph -> glyph.text().contains("\\frac"));
    }

    private float distance(int place) {
        float size = rows.get(place).size();
        float distance = rows.get(place + 1).y() - rows.get(place).y();
        return distance > LEAST_LINE * size && Math.abs(rows.get(place + 1).size() - size) < 0.5f ? distance : 0;
    }

    private boolean isFull(int place) {
        return edges[place] - rows.get(place).right() < firstWord(rows.get(place + 1))
                && rows.get(place).glyphs().size() >= LEAST_LETTERS;
    }

    /** "… the bees had filled 9" over "______ . Today": a gap below its number, which may be bold. */
    private static boolean isNumberedGap(PdfRow row, PdfRow next) {
        return GAP_FIRST.matcher(next.spaced()).lookingAt()
                && NUMBER_LAST.matcher(row.spaced()).matches();
    }

    private static boolean goesOnInSmall(PdfRow next) {
        int first = next.glyphs().get(0).text().codePointAt(0);
        return !Character.isUpperCase(first);
    }

    /** Both rows about the same middle, with room on both sides. */
    private static boolean isCentered(PdfRow row, PdfRow next) {
        float middle = row.left() + row.right();
        return Math.abs(middle - next.left() - next.right()) < SAME_EDGE
                && Math.abs(row.left() - next.left()) > SAME_EDGE;
    }

    private boolean isWithinSentence(PdfRow row, PdfRow next) {
        String text = row.plain();
        if (SIGN.matcher(next.spaced()).matches()
                || isBoxCut(row, next)
                || isRoomCut(row, next)
                || isNumberedGap(row, next)
                || isBracketOpen(row.spaced(), next.spaced())
                || EMPTY_BRACKETS.matcher(next.spaced()).matches() && Character.isLowerCase(last(row))) {
            return true;
        }
        boolean numberCut = NUMBER_ALONE.matcher(row.spaced()).matches()
                && Character.isLowerCase(next.glyphs().get(0).text().codePointAt(0));
        if (numberCut) {
            return true;
        }
        boolean wide = isWide(row) || next.lastPart().isPresent();
        boolean lower = Character.isLowerCase(next.glyphs().get(0).text().codePointAt(0));
        if (wide) {
            boolean answers =
                    ANSWER.matcher(row.spaced()).results().limit(SEVERAL).count() == SEVERAL;
            boolean listed = answers || text.endsWith(",");
            if (answers
                    && text.endsWith(",")
                    && WITHIN_LIST.matcher(next.spaced()).matches()) {
                return true;
            }
            boolean worth = !isWide(row)
                    && !BEGINS.matcher(next.spaced()).matches()
                    && WORTH_BEHIND.matcher(next.spaced()).matches();
            boolean plain = next.lastPart().isEmpty()
                    && !BEGINS.matcher(next.spaced()).matches()
                    && !ENDS.matcher(text).matches();
            if (answers && plain) {
                return true;
            }
            return lower
                    && (worth
                            || listed
                            || next.lastPart().isEmpty()
                                    && LABEL_ALONE.matcher(text).matches());
        }
        if (row.glyphs().size() < LONGEST_ROW && LIST_CUT.matcher(row.spaced()).matches()) {
            return true;
        }
        boolean dashed = DASH_AT_END.matcher(row.spaced()).matches();
        boolean range = RANGE.matcher(next.spaced()).matches() && Character.isLetter(last(row));
        if (range
                || !worthApart
                        && WORTH.matcher((dashed ? "- " : "") + next.spaced()).matches()
                || isRangeCut(row, next)) {
            return true;
        }
        if (BEFORE_GAP.matcher(text).matches()
                && GAP_GOES_ON.matcher(next.spaced()).matches()) {
            return true;
        }
        if (Character.isLowerCase(last(row)) && AMOUNT.matcher(next.spaced()).matches()) {
            return true;
        }
        boolean left = next.left() < row.left() - LEFT;
        boolean ended = ENDS.matcher(text).matches() && !(lower && text.endsWith(")"));
        return !ended && !BEGINS.matcher(next.spaced()).matches() && (lower || !left);
    }

    /** "… True \u2610   False" over "\u2610". */
    private static boolean isBoxCut(PdfRow row, PdfRow next) {
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

    /** Whether parts of a row stand far apart, but for a label before the text. */
    private static boolean isWide(PdfRow row) {
        return row.lastPart()
                .filter(start ->
                        row.glyphs().stream().filter(glyph -> glyph.x() < start).count() > LONGEST_LABEL)
                .isPresent();
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

    private static int last(PdfRow row) {
        return row.glyphs().get(row.glyphs().size() - 1).text().codePointAt(0);
    }

    /** "10   settle the matter": every fifth line of a passage counts, so that lines have to stay. */
    private static boolean isLineNumbered(PdfRow row) {
        return row.lastPart().isPresent() && row.spaced().matches("\\d{0,2}[05]\\s{2,}\\p{L}.*");
    }

    private static boolean isBold(PdfPage.Glyph glyph) {
        return glyph.look().contains(Emphasis.BOLD);
    }

    private static float firstWord(PdfRow row) {
        int end = 1;
        while (end < row.glyphs().size()
                && PdfRow.gap(row.glyphs().get(end - 1), row.glyphs().get(end)).isEmpty()) {
            end++;
        }
        return row.glyphs().get(end - 1).right() - row.left() + SPACE * row.size();
    }

    /**
     * Whether the hyphen at the end of a broken row parts a word, and is none of the word's own: that shows in "well-known" or in
     * "well" and "known" elsewhere on the page.
     */
    boolean isParted(int place) {
        PdfRow row = rows.get(place);
        PdfRow next = rows.get(place + 1);
        if (!endsInHyphen(row, next)) {
            return false;
        }
        String before = lastWord(row.spaced()).toLowerCase(Locale.ROOT);
        String behind = next.spaced().split("[^\\p{L}]", 2)[0].toLowerCase(Locale.ROOT);
        Set<String> words = words();
        boolean own = words.contains(before + "-" + behind)
                || KEEP_HYPHEN.contains(before)
                || words.contains(before) && words.contains(behind);
        return words.contains(before + behind) || !own;
    }

    /** Whether a broken row ends within a word or a range, so that no space comes between. */
    boolean isCutWithin(int place) {
        return endsInHyphen(rows.get(place), rows.get(place + 1)) || isRangeCut(rows.get(place), rows.get(place + 1));
    }

    /** "questions 10-" over "12.", "(A–" over "D)". */
    private static boolean isRangeCut(PdfRow row, PdfRow next) {
        String first = next.glyphs().get(0).text();
        return Character.isDigit(first.charAt(0))
                        && RANGE_CUT.matcher(row.spaced()).matches()
                || Character.isUpperCase(first.charAt(0))
                        && LETTERS_CUT.matcher(row.spaced()).matches();
    }

    private static boolean endsInHyphen(PdfRow row, PdfRow next) {
        int last = row.glyphs().size() - 1;
        PdfPage.Glyph hyphen = row.glyphs().get(last);
        PdfPage.Glyph before = row.glyphs().get(last - 1);
        // Behind a space it is a dash.
        return HYPHENS.indexOf(hyphen.text().charAt(0)) >= 0
                && PdfRow.gap(before, hyphen).isEmpty()
                && Character.isLetter(before.text().codePointAt(0))
                && Character.isLowerCase(next.glyphs().get(0).text().codePointAt(0));
    }

    private static String lastWord(String text) {
        String[] words = text.substring(0, text.length() - 1).split("[^\\p{L}]+");
        return words.length == 0 ? "" : words[words.length - 1];
    }

    private Set<String> words() {
        Set<String> words = new HashSet<>();
        for (PdfRow row : rows) {
            words.addAll(List.of(row.spaced().toLowerCase(Locale.ROOT).split("[^\\p{L}-]+")));
        }
        return words;
    }
}
