package org.tidyleaf.intake.word;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.source.Figure;
import org.w3c.dom.Element;

/**
 * The pictures of a .docx: stored ones by relation id, and those met so far in the text.
 *
 * @param used grows while the document is walked
 */
record DocxFigures(Map<String, Stored> stored, List<Figure> used) {

    /** A picture file inside the document. */
    record Stored(String mediaType, byte[] bytes) {}

    /**
     * Takes the picture of a DrawingML or VML drawing into use; its id, or empty where it holds no picture of the file.
     *
     * @param picture the drawing itself or one picture of it
     */
    Optional<String> use(Element picture, Element drawing) {
        Optional<String> relation = Xml.below(picture, "blip")
                .map(blip -> Xml.attribute(blip, "embed"))
                .or(() -> Xml.below(picture, "imagedata").map(image -> Xml.attribute(image, "id")));
        return relation.map(stored::get).map(found -> add(found.mediaType(), drawing, found.bytes()));
    }

    /** Paints a drawing of several parts and takes it into use; its id, or empty where it can't be painted. */
    Optional<String> paint(Element drawing) {
        try {
            return new DocxDrawing(stored).paint(drawing).map(png -> add("image/png", drawing, png));
        } catch (IOException | RuntimeException unpaintable) {
            // Its pictures are then taken one by one, and its texts as lines.
            return Optional.empty();
        }
    }

    private String add(String mediaType, Element drawing, byte[] bytes) {
        String alternative =
                Xml.below(drawing, "docPr").map(e -> Xml.attribute(e, "descr")).orElse("");
        String id = "f" + (used.size() + 1);
        used.add(new Figure(id, mediaType, alternative, bytes));
        return id;
    }
}
