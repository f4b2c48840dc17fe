package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import org.tidyleaf.source.Emphasis;

/**
 * What stands on a page of a PDF, in points from its top left corner.
 *
 * @param number 0-based
 * @param glyphs in the order they were drawn
 * @param pictures placed images
 * @param marks lines and curves that were painted
 * @param drawings the boxes of those marks that make pictures; their pictures are cut out
 * @param tables those drawn with rules
 */
record PdfPage(
        int number,
        float width,
        float height,
        List<Glyph> glyphs,
        List<Picture> pictures,
        List<Mark> marks,
        List<Mark> drawings,
        List<PdfTables.Table> tables) {

    PdfPage(int number, float width, float height, List<Glyph> glyphs, List<Picture> pictures, List<Mark> marks) {
        this(number, width, height, glyphs, pictures, marks, List.of(), List.of());
    }

    /** The page with what was found on it. */
    PdfPage with(List<Glyph> ruled, List<Picture> cutOut, List<Mark> boxes, List<PdfTables.Table> found) {
        List<Picture> all = new ArrayList<>(pictures);
        all.addAll(cutOut);
        return new PdfPage(number, width, height, List.copyOf(ruled), List.copyOf(all), marks, boxes, found);
    }

    /** The page with further tables, from top to bottom. */
    PdfPage withTables(List<PdfTables.Table> further) {
        List<PdfTables.Table> all = new ArrayList<>(tables);
        all.addAll(further);
        all.sort(Comparator.comparingDouble(PdfTables.Table::top));
        return new PdfPage(number, width, height, glyphs, pictures, marks, drawings, List.copyOf(all));
    }

    /** Whether a glyph names a part of a drawing. */
    boolean isInDrawing(Glyph glyph) {
        return drawings.stream()
                .anyMatch(box -> box.left() - 2 <= glyph.x()
                        && glyph.right() <= box.right() + 2
                        && box.top() - 2 <= glyph.y() - glyph.size() / 2
                        && glyph.y() <= box.bottom() + 4);
    }

    /** Whether a glyph stands in a table. */
    boolean isInTable(Glyph glyph) {
        return tables.stream().anyMatch(table -> table.holds(glyph));
    }

    /**
     * The box of a painted line or curve.
     *
     * @param drawn whether it is a curve or slanted: no rule of a table or a text
     */
    record Mark(float left, float top, float right, float bottom, boolean drawn) {

        /** In points: a thinner box is a rule. */
        static final float THIN = 2.2f;

        /** The box around several marks, at least one. */
        static Mark around(List<Mark> marks, boolean drawn) {
            Mark box = marks.get(0);
            for (Mark mark : marks) {
                box = new Mark(
                        Math.min(box.left, mark.left),
                        Math.min(box.top, mark.top),
                        Math.max(box.right, mark.right),
                        Math.max(box.bottom, mark.bottom),
                        drawn);
            }
            return box;
        }

        float width() {
            return right - left;
        }

        float height() {
            return bottom - top;
        }

        boolean isNear(Mark other, float distance) {
            return left - distance <= other.right
                    && other.left - distance <= right
                    && top - distance <= other.bottom
                    && other.top - distance <= bottom;
        }
    }

    /**
     * A character or ligature.
     *
     * @param y of its baseline
     * @param size of its face
     * @param spaces how many spaces were written right before it, be they as narrow as kerning made them
     */
    record Glyph(float x, float y, float width, float size, int spaces, String text, Set<Emphasis> look) {
        float right() {
            return x + width;
        }

        Glyph withText(String other) {
            return new Glyph(x, y, width, size, spaces, other, look);
        }
    }

    /** An image with the place of its top left corner. */
    record Picture(float x, float y, float width, float height, PdfPictures.Stored file) {}
}
