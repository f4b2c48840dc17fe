package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.source.Box;
import org.tidyleaf.source.Emphasis;

/**
 * Glyphs on one baseline, in order of their places, maybe cut at a gutter.
 *
 * @param y of the baseline, in points from the top
 * @param size of its largest face
 * @param newColumn whether it begins a column
 */
record PdfRow(List<PdfPage.Glyph> glyphs, float y, float size, boolean newColumn) {

    /** Rows so many usual distances apart are not of one paragraph. */
    private static final float APART = 1.3f;

    /** In points: what begins so near below something begins right below it. */
    private static final float ALIGNED = 3;

    /** In parts of the face's size: a gap that a space fills, and one that only a tab does. */
    private static final float WORD_GAP = 0.18f;

    private static final float TAB_GAP = 1.6f;

    /** From this share of a letter's size on, a gap is two spaces or more. */
    private static final float WIDE_GAP = 0.7f;

    /** In signs: what stands before a wide gap and is no longer may be a label. */
    private static final int LONGEST_LABEL = 5;

    /** Letters of options and of what is matched. */
    private static final String ALONE = "ABCDEFGHabcdefgh";

    /** Baselines closer than this belong to one row. */
    private static final float ROW_TOLERANCE = 0.45f;

    /** In sizes of the line's letters: how high above its baseline an exponent stands at most, and how large it is. */
    private static final float HIGHEST_SCRIPT = 0.65f;

    private static final float SCRIPT = 0.8f;

    private static final int MOST_SCRIPTS = 40;

    /** Signs that share so much of their width stand above one another. */
    private static final float STACKED = 0.5f;

    /** "(ii)How", "1.1Name": a label whose text stands right behind it. */
    private static final Pattern GLUED =
            Pattern.compile("(?:\\((?:[ivx]{1,5}|[a-z])\\)|\\d{1,2}(?:\\.\\d{1,2}){1,3})(?=\\p{Lu}\\p{Ll}{2})");

    float left() {
        return glyphs.get(0).x();
    }

    float right() {
        return glyphs.get(glyphs.size() - 1).right();
    }

    /** How wide its first word is, in points. */
    float firstWord() {
        int end = 1;
        while (end < glyphs.size() && gap(glyphs.get(end - 1), glyphs.get(end)).isEmpty()) {
            end++;
        }
        return glyphs.get(end - 1).right() - left();
    }

    String plain() {
        StringBuilder text = new StringBuilder();
        glyphs.forEach(glyph -> text.append(glyph.text()));
        return text.toString();
    }

    /** The text with its spaces. */
    String spaced() {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < glyphs.size(); i++) {
            text.append(i == 0 ? "" : gap(glyphs.get(i - 1), glyphs.get(i)))
                    .append(glyphs.get(i).text().strip());
        }
        return text.toString();
    }

    /** The row without its last sign. */
    PdfRow withoutLast() {
        return new PdfRow(glyphs.subList(0, glyphs.size() - 1), y, size, newColumn);
    }

    /** Whether the sign stands in the row in small letters, as the mark of a note does. */
    boolean hasSmall(String sign) {
        StringBuilder small = new StringBuilder();
        glyphs.forEach(glyph -> small.append(isSmall(glyph) ? glyph.text() : " "));
        return Arrays.asList(small.toString().split("\\s+")).contains(sign);
    }

    private boolean isSmall(PdfPage.Glyph glyph) {
        return glyph.size() < size * 0.8f;
    }

    /** Whether signs stand above one another that no formula explained: their order is then a guess. */
    boolean isStacked() {
        for (int i = 1; i < glyphs.size(); i++) {
            PdfPage.Glyph left = glyphs.get(i - 1);
            PdfPage.Glyph right = glyphs.get(i);
            float shared = Math.min(left.right(), right.right()) - right.x();
            boolean over = shared > STACKED * Math.min(left.width(), right.width())
                    && Math.abs(left.y() - right.y()) > 0.2f * size
                    && isSign(left)
                    && isSign(right);
            if (over) {
                return true;
            }
        }
        return false;
    }

    /** Accents stand above their letters by nature. */
    private static boolean isSign(PdfPage.Glyph glyph) {
        int type = Character.getType(glyph.text().codePointAt(0));
        return type != Character.MODIFIER_SYMBOL && type != Character.NON_SPACING_MARK && glyph.width() > 0;
    }

    static List<PdfRow> rows(PdfPage page) {
        List<PdfPage.Glyph> sorted = new ArrayList<>(page.glyphs());
        sorted.removeIf(glyph -> glyph.text().isBlank() || page.isInDrawing(glyph) || page.isInTable(glyph));
        sorted.sort(Comparator.comparingDouble(PdfPage.Glyph::y).thenComparingDouble(PdfPage.Glyph::x));
        List<PdfRow> rows = new ArrayList<>();
        List<PdfPage.Glyph> open = new ArrayList<>();
        float baseline = 0;
        float size = 0;
        for (PdfPage.Glyph glyph : sorted) {
            boolean same = !open.isEmpty() && glyph.y() - baseline <= ROW_TOLERANCE * Math.max(size, glyph.size());
            if (!same && !open.isEmpty()) {
                rows.add(row(open));
                open.clear();
            }
            if (open.isEmpty() || glyph.size() > size) {
                baseline = glyph.y();
                size = glyph.size();
            }
            open.add(glyph);
        }
        if (!open.isEmpty()) {
            rows.add(row(open));
        }
        return withScripts(rows);
    }

    /** Exponents that stand so high above their line that they look like one of their own. */
    private static List<PdfRow> withScripts(List<PdfRow> rows) {
        List<PdfRow> joined = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            boolean raised = i + 1 < rows.size() && rows.get(i).isRaisedOver(rows.get(i + 1));
            if (raised) {
                List<PdfPage.Glyph> all = new ArrayList<>(rows.get(i).glyphs());
                all.addAll(rows.get(i + 1).glyphs());
                joined.add(row(all));
                i++;
            } else {
                joined.add(rows.get(i));
            }
        }
        return joined;
    }

    /** Whether all its signs are small and stand right behind, and half their height above, those of another row. */
    private boolean isRaisedOver(PdfRow line) {
        return glyphs.size() < MOST_SCRIPTS
                && line.y() - y < HIGHEST_SCRIPT * line.size()
                && glyphs.stream()
                        .allMatch(script -> script.size() < SCRIPT * line.size()
                                && line.glyphs().stream()
                                        .anyMatch(letter ->
                                                Math.abs(script.x() - letter.right()) < WORD_GAP * line.size()));
    }

    private static PdfRow row(List<PdfPage.Glyph> glyphs) {
        List<PdfPage.Glyph> ordered = new ArrayList<>(glyphs);
        ordered.sort(Comparator.comparingDouble(PdfPage.Glyph::x));
        PdfPage.Glyph largest = ordered.stream()
                .max(Comparator.comparingDouble(PdfPage.Glyph::size))
                .orElseThrow();
        return new PdfRow(ordered, largest.y(), largest.size(), false);
    }

    /** Letters reach from about four fifths of their size above the baseline to a quarter below it. */
    Box box(PdfPage page) {
        return new Box(page.number(), left(), y - size * 0.85f, right(), y + size * 0.28f);
    }

    /** The places where something labelled begins far behind what stands before it, as in a second column. */
    Set<Float> stops() {
        Set<Float> stops = new HashSet<>();
        for (int i = 1; i + 1 < glyphs.size(); i++) {
            PdfPage.Glyph glyph = glyphs.get(i);
            boolean far = glyph.x() - glyphs.get(i - 1).right() > WIDE_GAP * size;
            if (far && isLabel(i)) {
                stops.add(glyph.x());
            }
        }
        return stops;
    }

    /** Where what stands farthest to the right begins behind a wide gap; empty where the row has none. */
    Optional<Float> lastPart() {
        for (int i = glyphs.size() - 1; i > 0; i--) {
            boolean wide = glyphs.get(i).x() - glyphs.get(i - 1).right() > WIDE_GAP * size;
            if (wide || glyphs.get(i).text().startsWith("\t")) {
                return Optional.of(glyphs.get(i).x());
            }
        }
        return Optional.empty();
    }

    /** Whether parts of it stand far apart, but for a label before the text. */
    boolean isWide() {
        return lastPart()
                .filter(start ->
                        glyphs.stream().filter(glyph -> glyph.x() < start).count() > LONGEST_LABEL)
                .isPresent();
    }

    /** Whether it goes on with what stands to the right in the row above it: right below that, in small letters. */
    boolean wraps(PdfRow above, double pitch) {
        return Character.isLowerCase(glyphs.get(0).text().codePointAt(0))
                && lastPart().isEmpty()
                && (y - above.y()) / size < pitch * APART
                && above.lastPart()
                        .filter(start -> above.stops().contains(start) && Math.abs(start - left()) < ALIGNED)
                        .isPresent();
    }

    /** "a." or "2)", and a letter that stands alone. */
    private boolean isLabel(int at) {
        if (at + 1 >= glyphs.size()) {
            return false;
        }
        char sign = glyphs.get(at).text().charAt(0);
        String next = glyphs.get(at + 1).text();
        boolean closed = Character.isLetterOrDigit(sign) && (next.equals(".") || next.equals(")"));
        return closed
                || ALONE.indexOf(sign) >= 0
                        && gap(glyphs.get(at), glyphs.get(at + 1)).equals(" ");
    }

    /** Tells a collector the text of the row. */
    void write(LineCollector lines) {
        write(lines, Set.of());
    }

    /** @param stops where rows above or below begin a second column: a small gap before such a place is one too */
    void write(LineCollector lines, Set<Float> stops) {
        StringBuilder run = new StringBuilder();
        Set<Emphasis> look = Set.of();
        PdfPage.Glyph before = null;
        PdfPage.Glyph behindLabel = behindLabel();
        for (PdfPage.Glyph glyph : glyphs) {
            Set<Emphasis> here = withScripts(glyph);
            String gap = before == null ? "" : gap(before, glyph);
            boolean aligned = gap.equals(" ")
                    && stops.stream().anyMatch(stop -> Math.abs(stop - glyph.x()) < 1)
                    && isLabel(glyphs.indexOf(glyph));
            boolean tabbed = before != null && (glyph.text().startsWith("\t") || glyph == behindLabel);
            gap = tabbed ? "\t" : aligned ? "   " : gap;
            // What is left free between two words that are underlined is no room to write on.
            if (!here.equals(look) || gap.length() > 1 || gap.equals("\t")) {
                lines.append(run.toString(), look, "");
                run.setLength(0);
                lines.append(gap, Set.of(), "");
                look = here;
            } else {
                run.append(gap);
            }
            run.append(ligature(glyph.text().strip()));
            before = glyph;
        }
        lines.append(run.toString(), look, "");
    }

    /** The first letter of "(ii)How" and "1.1Name": labels that are as wide as the room before their text. Null where there is none. */
    private PdfPage.Glyph behindLabel() {
        Matcher glued = GLUED.matcher(spaced());
        int length = 0;
        for (PdfPage.Glyph glyph : glyphs) {
            if (!glued.lookingAt() || length == glued.end()) {
                return glued.lookingAt() ? glyph : null;
            }
            length += glyph.text().strip().length();
        }
        return null;
    }

    private Set<Emphasis> withScripts(PdfPage.Glyph glyph) {
        if (!isSmall(glyph)) {
            return glyph.look();
        }
        Set<Emphasis> look = EnumSet.noneOf(Emphasis.class);
        look.addAll(glyph.look());
        if (glyph.y() < y - 0.15f * size) {
            look.add(Emphasis.SUPERSCRIPT);
        } else if (glyph.y() > y + 0.08f * size) {
            look.add(Emphasis.SUBSCRIPT);
        }
        return look;
    }

    /** What stands between two glyphs of a row: nothing, spaces or a tab. */
    static String gap(PdfPage.Glyph before, PdfPage.Glyph glyph) {
        float gap = glyph.x() - before.right();
        float size = Math.max(before.size(), glyph.size());
        if (gap > TAB_GAP * size) {
            return "\t";
        }
        return gap > WIDE_GAP * size
                ? "   "
                : glyph.spaces() > 1 ? "  " : gap > WORD_GAP * size || glyph.spaces() > 0 ? " " : "";
    }

    /** "\uFB01" is two letters to a reader. */
    private static String ligature(String text) {
        return switch (text) {
            case "\uFB00" -> "ff";
            case "\uFB01" -> "fi";
            case "\uFB02" -> "fl";
            case "\uFB03" -> "ffi";
            case "\uFB04" -> "ffl";
            default -> text;
        };
    }
}
