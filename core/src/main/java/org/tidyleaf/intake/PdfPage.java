package org.tidyleaf.intake;

import java.util.List;
import java.util.Set;
import org.tidyleaf.source.Emphasis;

/**
 * What stands on a page of a PDF, in points from its top left corner.
 *
 * @param glyphs in the order they were drawn
 * @param pictures placed images
 */
record PdfPage(float width, float height, List<Glyph> glyphs, List<Picture> pictures) {

    /**
     * A character or ligature.
     *
     * @param y of its baseline
     * @param size of its face
     */
    record Glyph(float x, float y, float width, float size, float space, String text, Set<Emphasis> look) {
        float right() {
            return x + width;
        }
    }

    /** An image with the place of its top left corner. */
    record Picture(float x, float y, float width, float height, byte[] png) {}
}
