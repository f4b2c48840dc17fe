package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import org.tidyleaf.source.Emphasis;

/** Bands of colour behind words, as a marker pen leaves them. Word processors fill a box behind each line of marked words. */
final class PdfBands {

    /** In points: what is filled and lower than this is a rule, what is higher no line of words. */
    private static final float LOWEST = 6;

    private static final float HIGHEST = 26;

    /** In parts of a letter's size: a cell's shade reaches farther beyond its words. */
    private static final float BESIDE = 0.6f;

    private static final int EDGES = 4;

    /** A page with more is a chart. */
    private static final int MOST = 1000;

    private PdfBands() {}

    /** A box that was filled, and the marks that are its edges. */
    record Fill(PdfPage.Mark box, List<PdfPage.Mark> edges) {}

    /** Whether the outline of what is filled is a box as high as a line. */
    static boolean isBand(List<PdfPage.Mark> outline) {
        if (outline.size() < EDGES - 1
                || outline.size() > EDGES
                || outline.stream().anyMatch(PdfPage.Mark::drawn)) {
            return false;
        }
        float height = PdfPage.Mark.around(outline, false).height();
        return height >= LOWEST && height <= HIGHEST;
    }

    /** Highlights the glyphs that a band ends with and takes the edges of such bands out of the marks. */
    static void apply(List<Fill> fills, List<PdfPage.Glyph> glyphs, List<PdfPage.Mark> marks) {
        if (fills.size() > MOST) {
            return;
        }
        // Marks at the same place that were drawn otherwise stay.
        Set<PdfPage.Mark> edges = Collections.newSetFromMap(new IdentityHashMap<>());
        for (Fill fill : fills) {
            List<Integer> within = new ArrayList<>();
            for (int i = 0; i < glyphs.size(); i++) {
                if (holds(fill.box(), glyphs.get(i))) {
                    within.add(i);
                }
            }
            if (fits(fill.box(), within.stream().map(glyphs::get).toList())) {
                within.forEach(i -> glyphs.set(i, PdfRules.set(glyphs.get(i), Emphasis.HIGHLIGHT)));
                edges.addAll(fill.edges());
            }
        }
        marks.removeIf(edges::contains);
    }

    private static boolean holds(PdfPage.Mark box, PdfPage.Glyph glyph) {
        float middle = glyph.x() + glyph.width() / 2;
        float height = glyph.y() - glyph.size() * 0.3f;
        return box.left() <= middle && middle <= box.right() && box.top() <= height && height <= box.bottom();
    }

    private static boolean fits(PdfPage.Mark box, List<PdfPage.Glyph> words) {
        if (words.stream().allMatch(glyph -> glyph.text().isBlank())) {
            return false;
        }
        float left = (float) words.stream().mapToDouble(PdfPage.Glyph::x).min().orElseThrow();
        float right =
                (float) words.stream().mapToDouble(PdfPage.Glyph::right).max().orElseThrow();
        float room = words.get(0).size() * BESIDE;
        return left - box.left() < room && box.right() - right < room;
    }
}
