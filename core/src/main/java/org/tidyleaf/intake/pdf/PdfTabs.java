package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * Tabs that are no wider than a space, for the words before them end right at the next stop. A page holds no tabs, only places:
 * where words go on farther off than their blank is wide, and that at a stop of the word processor, one was typed.
 */
final class PdfTabs {

    /** In points: the stops of word processors, half an inch, 1.25 and 1.27 cm. */
    private static final double[] STEPS = {36, 35.43};

    /** In points: how exactly a stop is kept. */
    private static final double EXACT = 0.6;

    /** In parts of a letter's size: less is kerning, more is seen without this. */
    private static final float SHIFT = 0.1f;

    /** Behind the end of a sentence, and before a letter with its bracket or a box, even less is no kerning. */
    private static final float SHIFT_BEHIND_END = 0.03f;

    private static final float NARROW = 1.6f;

    /** Pages whose blanks are no signs show nothing of how wide they should be: fewer than one in so many signs. */
    private static final int SIGNS_A_BLANK = 20;

    private PdfTabs() {}

    /** The glyphs of a page, those behind a narrow tab with the tab before their text. */
    static List<PdfPage.Glyph> marked(List<PdfPage.Glyph> glyphs) {
        long blanks = glyphs.stream().filter(glyph -> glyph.text().isBlank()).count();
        if (blanks * SIGNS_A_BLANK < glyphs.size()) {
            return glyphs;
        }
        Map<Integer, List<PdfPage.Glyph>> rows = new TreeMap<>();
        glyphs.forEach(glyph -> rows.computeIfAbsent(Math.round(glyph.y()), y -> new ArrayList<>())
                .add(glyph));
        rows.values().forEach(row -> row.sort(Comparator.comparingDouble(PdfPage.Glyph::x)));
        double left = glyphs.stream()
                .filter(glyph -> !glyph.text().isBlank())
                .mapToDouble(PdfPage.Glyph::x)
                .min()
                .orElse(0);
        Set<PdfPage.Glyph> behind = Collections.newSetFromMap(new IdentityHashMap<>());
        for (List<PdfPage.Glyph> row : rows.values()) {
            List<PdfPage.Glyph> moved = moved(row);
            // Where words are spread over the line every blank is wider.
            if (!moved.isEmpty() && moved.stream().allMatch(glyph -> isAtStop(glyph.x() - left))) {
                behind.addAll(moved);
            }
        }
        return behind.isEmpty()
                ? glyphs
                : glyphs.stream()
                        .map(glyph -> behind.contains(glyph) ? withTab(glyph) : glyph)
                        .toList();
    }

    /** The glyphs of a row that begin a little farther off than what stands before them accounts for. */
    private static List<PdfPage.Glyph> moved(List<PdfPage.Glyph> row) {
        List<PdfPage.Glyph> moved = new ArrayList<>();
        PdfPage.Glyph before = null;
        String last = "";
        float blank = 0;
        for (int i = 0; i < row.size(); i++) {
            PdfPage.Glyph glyph = row.get(i);
            if (glyph.text().isBlank()) {
                blank += glyph.width();
                continue;
            }
            if (before != null) {
                float gap = glyph.x() - before.right();
                boolean ended = !last.isEmpty() && ".?!)".contains(before.text()) && !Character.isDigit(last.charAt(0));
                boolean label =
                        i + 1 < row.size() && ".): ".contains(row.get(i + 1).text()) || !isOfWord(glyph);
                boolean behindLetter =
                        last.isEmpty() && Character.isUpperCase(before.text().codePointAt(0));
                float shift = (ended || label || behindLetter) && blank == 0 ? SHIFT_BEHIND_END : SHIFT;
                if (gap - blank > shift * glyph.size() && gap < NARROW * glyph.size()) {
                    moved.add(glyph);
                }
            }
            last = before == null ? "" : before.text();
            before = glyph;
            blank = 0;
        }
        return moved;
    }

    /** No box, bullet or bracket; an apostrophe is drawn a little apart from some letters. */
    private static boolean isOfWord(PdfPage.Glyph glyph) {
        return Character.isLetterOrDigit(glyph.text().codePointAt(0)) || ".,;:!?'\u2019".contains(glyph.text());
    }

    private static boolean isAtStop(double distance) {
        for (double step : STEPS) {
            double off = distance % step;
            if (distance > step / 2 && Math.min(off, step - off) < EXACT) {
                return true;
            }
        }
        return false;
    }

    private static PdfPage.Glyph withTab(PdfPage.Glyph glyph) {
        return new PdfPage.Glyph(
                glyph.x(), glyph.y(), glyph.width(), glyph.size(), glyph.spaces(), "\t" + glyph.text(), glyph.look());
    }
}
