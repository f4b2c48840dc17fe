package org.tidyleaf.intake.odt;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.tidyleaf.intake.common.Xml;
import org.w3c.dom.Element;

/**
 * What an OpenDocument drawing (OASIS OpenDocument 1.3, part 3, chapter 10) is made of.
 *
 * @param shapes lines, boxes, circles and what else is drawn
 * @param texts shapes with something written in them
 * @param frames pictures and text frames among them
 */
record OdtShapes(List<Element> shapes, List<Element> texts, List<Element> frames) {

    private static final int MAX_DEPTH = 50;

    /** By themselves they divide the page, frame a text or leave room to write. */
    private static final Set<String> BARE = Set.of("line", "connector", "rect");

    static OdtShapes of(Element drawing) {
        OdtShapes found = new OdtShapes(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        found.gather(drawing, 0);
        return found;
    }

    private void gather(Element item, int depth) {
        switch (item.getLocalName()) {
            case "frame" -> frames.add(item);
            case "g" -> {
                if (depth < MAX_DEPTH) {
                    Xml.children(item).forEach(child -> gather(child, depth + 1));
                }
            }
            case "desc", "title", "glue-point", "event-listeners" -> {}
            default -> {
                shapes.add(item);
                if (!item.getTextContent().isBlank()) {
                    texts.add(item);
                }
            }
        }
    }

    /** Whether something is drawn that text and pictures alone don't show. */
    boolean isDrawn() {
        List<Element> bare =
                shapes.stream().filter(shape -> !texts.contains(shape)).toList();
        return bare.size() > 1 || bare.stream().anyMatch(shape -> !isBare(shape));
    }

    private static boolean isBare(Element shape) {
        String type = Xml.child(shape, "enhanced-geometry")
                .map(geometry -> Xml.attribute(geometry, "type"))
                .orElse("");
        return BARE.contains(shape.getLocalName()) || type.matches("(ooxml-)?(rectangle|rect|round.*|line|mso-spt20)");
    }
}
