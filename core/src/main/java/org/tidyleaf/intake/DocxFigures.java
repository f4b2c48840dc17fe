package org.tidyleaf.intake;

import java.util.List;
import java.util.Map;
import java.util.Optional;
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

    /** Takes the picture of a DrawingML or VML drawing into use; its id, or empty where it holds no picture of the file. */
    Optional<String> use(Element drawing) {
        Optional<String> relation = Xml.below(drawing, "blip")
                .map(blip -> Xml.attribute(blip, "embed"))
                .or(() -> Xml.below(drawing, "imagedata").map(image -> Xml.attribute(image, "id")));
        return relation.map(stored::get).map(picture -> {
            String alternative = Xml.below(drawing, "docPr")
                    .map(e -> Xml.attribute(e, "descr"))
                    .orElse("");
            String id = "f" + (used.size() + 1);
            used.add(new Figure(id, picture.mediaType(), alternative, picture.bytes()));
            return id;
        });
    }
}
