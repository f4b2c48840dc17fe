package org.tidyleaf.intake.word;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.geom.RoundRectangle2D;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.intake.common.Xml;
import org.w3c.dom.Element;

/** Outlines of DrawingML shapes within a square of side one, y downwards (ECMA-376-1, 20.1.9 and 20.1.10.56). */
final class DocxGeometry {

    private static final Set<String> LINES =
            Set.of("line", "straightConnector1", "bentConnector3", "curvedConnector3", "leftBracket", "rightBracket");

    private DocxGeometry() {}

    /** A line, which encloses nothing that could be filled. */
    static boolean isOpen(String name) {
        return LINES.contains(name);
    }

    /** A shape by its name; of those that tests hardly show, only the box they stand in. */
    static Shape preset(String name) {
        return switch (name) {
            case "ellipse", "flowChartConnector", "pie", "chord" -> new Ellipse2D.Double(0, 0, 1, 1);
            case "line", "straightConnector1", "curvedConnector3" -> path(false, 0, 0, 1, 1);
            case "bentConnector3" -> path(false, 0, 0, 0.5, 0, 0.5, 1, 1, 1);
            case "triangle" -> path(true, 0.5, 0, 1, 1, 0, 1);
            case "rtTriangle" -> path(true, 0, 0, 1, 1, 0, 1);
            case "diamond", "flowChartDecision" -> path(true, 0.5, 0, 1, 0.5, 0.5, 1, 0, 0.5);
            case "parallelogram" -> path(true, 0.25, 0, 1, 0, 0.75, 1, 0, 1);
            case "trapezoid" -> path(true, 0.25, 0, 0.75, 0, 1, 1, 0, 1);
            case "pentagon" -> path(true, 0.5, 0, 1, 0.38, 0.81, 1, 0.19, 1, 0, 0.38);
            case "hexagon" -> path(true, 0.25, 0, 0.75, 0, 1, 0.5, 0.75, 1, 0.25, 1, 0, 0.5);
            case "octagon" -> path(true, 0.29, 0, 0.71, 0, 1, 0.29, 1, 0.71, 0.71, 1, 0.29, 1, 0, 0.71, 0, 0.29);
            case "rightArrow" -> path(true, 0, 0.25, 0.6, 0.25, 0.6, 0, 1, 0.5, 0.6, 1, 0.6, 0.75, 0, 0.75);
            case "leftArrow" -> path(true, 1, 0.25, 0.4, 0.25, 0.4, 0, 0, 0.5, 0.4, 1, 0.4, 0.75, 1, 0.75);
            case "upArrow" -> path(true, 0.25, 1, 0.25, 0.4, 0, 0.4, 0.5, 0, 1, 0.4, 0.75, 0.4, 0.75, 1);
            case "downArrow" -> path(true, 0.25, 0, 0.25, 0.6, 0, 0.6, 0.5, 1, 1, 0.6, 0.75, 0.6, 0.75, 0);
            case "leftBracket" -> path(false, 1, 0, 0, 0, 0, 1, 1, 1);
            case "rightBracket" -> path(false, 0, 0, 1, 0, 1, 1, 0, 1);
            case "roundRect" -> new RoundRectangle2D.Double(0, 0, 1, 1, 0.3, 0.3);
            default -> new Rectangle2D.Double(0, 0, 1, 1);
        };
    }

    private static Shape path(boolean closed, double... points) {
        Path2D.Double path = new Path2D.Double();
        path.moveTo(points[0], points[1]);
        for (int i = 2; i < points.length; i += 2) {
            path.lineTo(points[i], points[i + 1]);
        }
        if (closed) {
            path.closePath();
        }
        return path;
    }

    /** A shape drawn by hand (20.1.9.8 custGeom): its paths, brought to the square by their own width and height. */
    static Shape drawn(Element custom) {
        Path2D.Double all = new Path2D.Double();
        List<Element> paths = Xml.child(custom, "pathLst").map(Xml::children).orElse(List.of());
        for (Element path : paths) {
            Path2D.Double one = new Path2D.Double();
            Xml.children(path).forEach(step -> add(step, one));
            Rectangle2D bounds = one.getBounds2D();
            double width = number(path, "w").orElse(bounds.getMaxX());
            double height = number(path, "h").orElse(bounds.getMaxY());
            all.append(
                    AffineTransform.getScaleInstance(1 / Math.max(1, width), 1 / Math.max(1, height))
                            .createTransformedShape(one),
                    false);
        }
        return all.getCurrentPoint() == null ? preset("rect") : all;
    }

    private static void add(Element step, Path2D.Double path) {
        List<double[]> points = Xml.children(step).stream()
                .filter(e -> e.getLocalName().equals("pt"))
                .map(e ->
                        new double[] {number(e, "x").orElse(0.0), number(e, "y").orElse(0.0)})
                .toList();
        boolean begun = path.getCurrentPoint() != null;
        switch (step.getLocalName() + points.size()) {
            case "moveTo1" -> path.moveTo(points.get(0)[0], points.get(0)[1]);
            case "lnTo1" -> {
                if (begun) {
                    path.lineTo(points.get(0)[0], points.get(0)[1]);
                }
            }
            case "quadBezTo2" -> {
                if (begun) {
                    path.quadTo(points.get(0)[0], points.get(0)[1], points.get(1)[0], points.get(1)[1]);
                }
            }
            case "cubicBezTo3" -> {
                if (begun) {
                    path.curveTo(
                            points.get(0)[0],
                            points.get(0)[1],
                            points.get(1)[0],
                            points.get(1)[1],
                            points.get(2)[0],
                            points.get(2)[1]);
                }
            }
            case "close0" -> {
                if (begun) {
                    path.closePath();
                }
            }
            default -> {
                // Arcs by angles are left out: their ends are joined by what follows.
            }
        }
    }

    private static Optional<Double> number(Element element, String attribute) {
        try {
            return Optional.of(Double.parseDouble(Xml.attribute(element, attribute)));
        } catch (NumberFormatException formula) {
            // Named guides are worked out by formulas that hand-drawn shapes don't have.
            return Optional.empty();
        }
    }
}
