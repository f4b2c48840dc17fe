package org.tidyleaf.intake.pdf;

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

    private static final float FIRST_LINE = 40;
    private static final float HANGING = 60;

    /** A row to write on ends where it likes. */
    private static final Pattern ROOM = Pattern.compile("[_.\u2026\\s]+");

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
                    if (other.isWide()) {
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
            boolean room = edges[i - 1] < Float.MAX_VALUE && edges[i - 1] - above.right() >= word(rows.get(i));
            if (room && above.y() < rows.get(i).y() && PdfSentences.isWorth(above, rows.get(i))) {
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
                && (PdfSentences.isBoxCut(row, next)
                        || (edges[place] - row.right()) * (isCentered(row, next) ? 2 : 1) < word(next)
                        || PdfSentences.endsInHyphen(row, next))
                && (PdfSentences.isNumberedGap(row, next)
                        || isBold(row.glyphs().get(row.glyphs().size() - 1))
                                == isBold(next.glyphs().get(0)))
                && (!alone[place]
                        || !Character.isUpperCase(next.glyphs().get(0).text().codePointAt(0)))
                && PdfSentences.readOn(row, next, worthApart);
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
        return edges[place] - rows.get(place).right() < word(rows.get(place + 1))
                && rows.get(place).glyphs().size() >= LEAST_LETTERS;
    }

    /** Both rows about the same middle, with room on both sides. */
    private static boolean isCentered(PdfRow row, PdfRow next) {
        float middle = row.left() + row.right();
        return Math.abs(middle - next.left() - next.right()) < SAME_EDGE
                && Math.abs(row.left() - next.left()) > SAME_EDGE;
    }

    /** "10   settle the matter": every fifth line of a passage counts, so that lines have to stay. */
    private static boolean isLineNumbered(PdfRow row) {
        return row.lastPart().isPresent() && row.spaced().matches("\\d{0,2}[05]\\s{2,}\\p{L}.*");
    }

    /** What the first word of a row needs behind another. */
    private static float word(PdfRow row) {
        return row.firstWord() + SPACE * row.size();
    }

    private static boolean isBold(PdfPage.Glyph glyph) {
        return glyph.look().contains(Emphasis.BOLD);
    }

    /**
     * Whether the hyphen at the end of a broken row parts a word, and is none of the word's own: that shows in "well-known" or in
     * "well" and "known" elsewhere on the page.
     */
    boolean isParted(int place) {
        PdfRow row = rows.get(place);
        PdfRow next = rows.get(place + 1);
        if (!PdfSentences.endsInHyphen(row, next)) {
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
        return PdfSentences.endsInHyphen(rows.get(place), rows.get(place + 1))
                || PdfSentences.isRangeCut(rows.get(place), rows.get(place + 1));
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
