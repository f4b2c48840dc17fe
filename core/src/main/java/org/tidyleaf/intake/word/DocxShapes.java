package org.tidyleaf.intake.word;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.intake.common.Xml;
import org.w3c.dom.Element;

/**
 * What a DrawingML drawing (ECMA-376-1, 20.1 and 20.4) is made of, before anything is painted.
 *
 * @param shapes boxes, circles, lines and arrows
 * @param pictures stored pictures
 * @param texts what text boxes say, in order
 */
record DocxShapes(List<Element> shapes, List<Element> pictures, List<Element> texts) {

    /** Longer text is to be read and no inscription of a drawing. */
    private static final int LONGEST_INSCRIPTION = 40;

    /** A line or frame by itself divides the page or leaves room to write. */
    private static final Set<String> BARE = Set.of("", "rect", "roundRect", "line", "straightConnector1");

    /** Takes stock of a drawing; nested groups are looked into. */
    static DocxShapes of(Element drawing) {
        DocxShapes found = new DocxShapes(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        found.gather(drawing, 0);
        return found;
    }

    private void gather(Element parent, int depth) {
        for (Element child : Xml.children(parent)) {
            switch (child.getLocalName()) {
                case "wsp", "cxnSp", "sp" -> {
                    shapes.add(child);
                    Xml.below(child, "txbxContent").ifPresent(texts::add);
                }
                case "pic" -> pictures.add(child);
                case "txbxContent" -> texts.add(child);
                default -> {
                    if (depth < DocxDrawing.MAX_DEPTH) {
                        gather(child, depth + 1);
                    }
                }
            }
        }
    }

    /** Whether it is to be painted as one picture: several things that belong together, or one that is drawn. */
    boolean isDrawn() {
        boolean inscribed = texts.stream().allMatch(DocxShapes::isInscription);
        long plain = shapes.stream()
                .filter(shape -> Xml.below(shape, "txbxContent").isEmpty())
                .count();
        boolean drawn = shapes.stream()
                .anyMatch(shape -> Xml.below(shape, "custGeom").isPresent() || !BARE.contains(geometry(shape)));
        boolean pictured = !pictures.isEmpty() && !shapes.isEmpty() || pictures.size() > 1;
        return inscribed && (pictured || drawn && plain > 0 || plain > 1);
    }

    private static boolean isInscription(Element text) {
        return text.getTextContent().strip().length() <= LONGEST_INSCRIPTION;
    }

    /** The name of the shape among those the standard knows (20.1.10.56 ST_ShapeType), or empty. */
    static String geometry(Element shape) {
        Optional<Element> preset = Xml.below(shape, "prstGeom");
        return preset.map(e -> Xml.attribute(e, "prst")).orElse("");
    }
}
