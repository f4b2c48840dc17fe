package org.tidyleaf.intake.word;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.FontMetrics;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.intake.common.Pictures;
import org.tidyleaf.intake.common.Xml;
import org.w3c.dom.Element;

/**
 * Paints drawings that Word makes of shapes, pictures and inscriptions, as one picture. Lengths in the file are in English
 * metric units, 12,700 to a point; angles in 60,000ths of a degree (ECMA-376-1, 20.1.10).
 */
final class DocxDrawing {

    static final int MAX_DEPTH = 50;

    private static final double UNITS_PER_POINT = 12_700;
    private static final double UNITS_PER_DEGREE = 60_000;
    private static final float USUAL_TEXT = 11;

    /** In points: white around, so that outlines and arrow heads at the edge are whole. */
    private static final double MARGIN = 4;

    private static final String FONT = "/net/sf/jasperreports/fonts/dejavu/DejaVuSans.ttf";

    private final Map<String, DocxFigures.Stored> stored;
    private @Nullable Font face;

    DocxDrawing(Map<String, DocxFigures.Stored> stored) {
        this.stored = stored;
    }

    /** The whole drawing as PNG; empty where it has no size or is too large to be meant. */
    Optional<byte[]> paint(Element drawing) throws IOException {
        Optional<Element> extent = Xml.below(drawing, "extent");
        Optional<Element> data = Xml.below(drawing, "graphicData");
        if (extent.isEmpty() || data.isEmpty()) {
            return Optional.empty();
        }
        double width = number(extent.get(), "cx") / UNITS_PER_POINT;
        double height = number(extent.get(), "cy") / UNITS_PER_POINT;
        Optional<BufferedImage> image = Pictures.canvas(width + 2 * MARGIN, height + 2 * MARGIN, (graphics, scale) -> {
            graphics.scale(scale, scale);
            graphics.translate(MARGIN, MARGIN);
            for (Element child : Xml.children(data.get())) {
                paint(child, graphics, new Rectangle2D.Double(0, 0, width, height), 0);
            }
        });
        return image.isEmpty() ? Optional.empty() : Optional.of(Pictures.png(image.get()));
    }

    /** What is outermost fills the place that the drawing has in the text. */
    private void paint(Element item, Graphics2D graphics, Rectangle2D place, int depth) {
        switch (item.getLocalName()) {
            case "wgp", "grpSp" -> group(item, graphics, place, depth);
            case "wpc" -> {
                AffineTransform units = AffineTransform.getScaleInstance(1 / UNITS_PER_POINT, 1 / UNITS_PER_POINT);
                children(item, graphics, units, depth);
            }
            case "wsp", "sp", "cxnSp" -> shape(item, graphics, place);
            case "pic" -> picture(item, graphics, place);
            default -> {
                // Properties and what only newer programs know.
            }
        }
    }

    /** Children of a group are placed in its own units (20.1.7.5: child offset and extents). */
    private void group(Element group, Graphics2D graphics, Rectangle2D place, int depth) {
        Optional<Element> transform = Xml.child(group, "grpSpPr").flatMap(e -> Xml.child(e, "xfrm"));
        Rectangle2D inner = transform.flatMap(e -> box(e, "chOff", "chExt")).orElse(new Rectangle2D.Double(0, 0, 1, 1));
        AffineTransform units = AffineTransform.getTranslateInstance(place.getX(), place.getY());
        units.scale(place.getWidth() / inner.getWidth(), place.getHeight() / inner.getHeight());
        units.translate(-inner.getX(), -inner.getY());
        children(group, graphics, units, depth);
    }

    private void children(Element parent, Graphics2D graphics, AffineTransform units, int depth) {
        for (Element child : Xml.children(parent)) {
            Optional<Element> transform = Xml.child(child, "spPr")
                    .or(() -> Xml.child(child, "grpSpPr"))
                    .flatMap(e -> Xml.child(e, "xfrm"));
            Optional<Rectangle2D> place = transform.flatMap(e -> box(e, "off", "ext"));
            if (place.isPresent() && depth < MAX_DEPTH) {
                Rectangle2D set = units.createTransformedShape(place.get()).getBounds2D();
                AffineTransform before = graphics.getTransform();
                turn(transform.get(), graphics, set);
                paint(child, graphics, set, depth + 1);
                graphics.setTransform(before);
            }
        }
    }

    private static void turn(Element transform, Graphics2D graphics, Rectangle2D place) {
        graphics.rotate(
                Math.toRadians(number(transform, "rot") / UNITS_PER_DEGREE), place.getCenterX(), place.getCenterY());
        boolean across = isOn(Xml.attribute(transform, "flipH"));
        boolean down = isOn(Xml.attribute(transform, "flipV"));
        graphics.translate(place.getCenterX(), place.getCenterY());
        graphics.scale(across ? -1 : 1, down ? -1 : 1);
        graphics.translate(-place.getCenterX(), -place.getCenterY());
    }

    private void shape(Element shape, Graphics2D graphics, Rectangle2D place) {
        Optional<Element> properties = Xml.child(shape, "spPr");
        DocxPaint paint = DocxPaint.of(shape);
        Shape outline = properties
                .flatMap(e -> Xml.child(e, "custGeom"))
                .map(DocxGeometry::drawn)
                .orElseGet(() -> DocxGeometry.preset(DocxShapes.geometry(shape)));
        Shape set = inside(place).createTransformedShape(outline);
        boolean open = DocxGeometry.isOpen(DocxShapes.geometry(shape));
        if (!open && paint.fill().isPresent()) {
            graphics.setColor(paint.fill().get());
            graphics.fill(set);
        }
        if (paint.line().isPresent()) {
            graphics.setColor(paint.line().get());
            graphics.setStroke(new BasicStroke(paint.width()));
            graphics.draw(set);
            arrows(paint, set, graphics);
        }
        Xml.below(shape, "txbxContent").ifPresent(text -> inscription(text, graphics, place));
    }

    private static void arrows(DocxPaint paint, Shape line, Graphics2D graphics) {
        Path2D.Double path = new Path2D.Double(line);
        Point2D end = path.getCurrentPoint();
        double[] start = new double[6];
        path.getPathIterator(null).currentSegment(start);
        if (paint.headAtEnd()) {
            graphics.fill(head(start[0], start[1], end.getX(), end.getY(), paint.width()));
        }
        if (paint.headAtStart()) {
            graphics.fill(head(end.getX(), end.getY(), start[0], start[1], paint.width()));
        }
    }

    private static Shape head(double fromX, double fromY, double toX, double toY, float width) {
        double length = 4 + 2 * width;
        Path2D.Double triangle = new Path2D.Double();
        triangle.moveTo(0, 0);
        triangle.lineTo(-length, length / 2);
        triangle.lineTo(-length, -length / 2);
        triangle.closePath();
        AffineTransform placed = AffineTransform.getTranslateInstance(toX, toY);
        placed.rotate(Math.atan2(toY - fromY, toX - fromX));
        return placed.createTransformedShape(triangle);
    }

    private void picture(Element picture, Graphics2D graphics, Rectangle2D place) {
        Optional<BufferedImage> image = Xml.below(picture, "blip")
                .map(blip -> stored.get(Xml.attribute(blip, "embed")))
                .flatMap(found -> Pictures.image(found.bytes()));
        image.ifPresent(found -> {
            AffineTransform placed = AffineTransform.getTranslateInstance(place.getX(), place.getY());
            placed.scale(place.getWidth() / found.getWidth(), place.getHeight() / found.getHeight());
            graphics.drawImage(found, placed, null);
        });
    }

    /** A paragraph a line, in the middle of its box, as small as it must be to fit in. */
    private void inscription(Element text, Graphics2D graphics, Rectangle2D place) {
        var paragraphs = Xml.children(text).stream()
                .map(paragraph -> paragraph.getTextContent().strip())
                .filter(line -> !line.isEmpty())
                .toList();
        float size = Xml.below(text, "sz")
                .map(e -> (float) number(e, "val") / 2)
                .filter(points -> points > 0)
                .orElse(USUAL_TEXT);
        graphics.setColor(Color.BLACK);
        graphics.setFont(face().deriveFont(size));
        FontMetrics metrics = graphics.getFontMetrics();
        double y = place.getCenterY() - metrics.getHeight() * paragraphs.size() / 2.0 + metrics.getAscent();
        for (String line : paragraphs) {
            graphics.drawString(line, (float) (place.getCenterX() - metrics.stringWidth(line) / 2.0), (float) y);
            y += metrics.getHeight();
        }
    }

    /** A face that ships with the program, so that the same file gives the same picture anywhere. */
    private Font face() {
        Font loaded = face;
        if (loaded == null) {
            try (InputStream file = DocxDrawing.class.getResourceAsStream(FONT)) {
                loaded = file == null
                        ? new Font(Font.SANS_SERIF, Font.PLAIN, 1)
                        : Font.createFont(Font.TRUETYPE_FONT, file);
            } catch (IOException | FontFormatException impossible) {
                throw new IllegalStateException(impossible);
            }
            face = loaded;
        }
        return loaded;
    }

    private static AffineTransform inside(Rectangle2D place) {
        AffineTransform placed = AffineTransform.getTranslateInstance(place.getX(), place.getY());
        placed.scale(place.getWidth(), place.getHeight());
        return placed;
    }

    private static Optional<Rectangle2D> box(Element transform, String offset, String extents) {
        Optional<Element> from = Xml.child(transform, offset);
        Optional<Element> size = Xml.child(transform, extents);
        if (from.isEmpty() || size.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Rectangle2D.Double(
                number(from.get(), "x"),
                number(from.get(), "y"),
                Math.max(1, number(size.get(), "cx")),
                Math.max(1, number(size.get(), "cy"))));
    }

    private static boolean isOn(String flag) {
        return flag.equals("1") || flag.equals("true");
    }

    private static double number(Element element, String attribute) {
        try {
            return Double.parseDouble(Xml.attribute(element, attribute));
        } catch (NumberFormatException damaged) {
            // Missing or damaged numbers only put a shape in the wrong place.
            return 0;
        }
    }
}
