package org.tidyleaf.intake.common;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Dimension2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Locale;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.apache.poi.hemf.usermodel.HemfPicture;
import org.apache.poi.hwmf.usermodel.HwmfPicture;
import org.tidyleaf.source.Figure;

/** Pictures that no browser shows, as PNG: vector metafiles (MS-EMF, MS-WMF), bitmaps and TIFF. */
public final class Pictures {

    /** More than this is no drawing for a test, or one made to exhaust us. */
    private static final int MOST_BYTES = 20 * 1024 * 1024;

    private static final long MOST_PIXELS = 40_000_000;
    private static final int WIDEST = 1600;

    /** Drawings are sharp on dense screens at twice their printed size; a point is 1/72 inch. */
    private static final double PIXELS_PER_POINT = 2;

    /** Where a format's shapes are not painted. */
    public static final String SHAPES_LOST =
            "A drawing made of lines and shapes stands here that can't be taken over. Copy it and"
                    + " paste it as a picture.";

    private Pictures() {}

    /** The same picture as browsers can show it; as it is where that is so already, or where it can't be drawn. */
    public static Figure shown(Figure figure) {
        byte[] bytes = unpacked(figure.bytes());
        if (bytes.length > MOST_BYTES) {
            return figure;
        }
        try {
            Optional<BufferedImage> image = isEmf(bytes)
                    ? drawEmf(bytes)
                    : isWmf(bytes) ? drawWmf(bytes) : isRaster(bytes) ? raster(bytes) : Optional.empty();
            return image.isEmpty()
                    ? figure
                    : new Figure(figure.id(), "image/png", figure.alternative(), png(image.get()));
        } catch (IOException | RuntimeException | LinkageError undrawable) {
            // It stays as found, to be downloaded, and its alternative text is shown.
            return figure;
        }
    }

    /** Whether a browser can show it. */
    public static boolean isShowable(Figure figure) {
        return !isEmf(unpacked(figure.bytes())) && !isWmf(unpacked(figure.bytes())) && !isRaster(figure.bytes());
    }

    /** Metafiles may be stored packed (.emz, .wmz). */
    private static byte[] unpacked(byte[] bytes) {
        if (bytes.length < 2 || (bytes[0] & 0xFF) != 0x1F || (bytes[1] & 0xFF) != 0x8B) {
            return bytes;
        }
        try (GZIPInputStream packed = new GZIPInputStream(new ByteArrayInputStream(bytes))) {
            return packed.readNBytes(MOST_BYTES + 1);
        } catch (IOException damaged) {
            return bytes;
        }
    }

    private static boolean isEmf(byte[] bytes) {
        return bytes.length > 44
                && bytes[0] == 1
                && bytes[1] == 0
                && bytes[40] == ' '
                && bytes[41] == 'E'
                && bytes[42] == 'M';
    }

    private static boolean isWmf(byte[] bytes) {
        boolean placeable = bytes.length > 22 && (bytes[0] & 0xFF) == 0xD7 && (bytes[1] & 0xFF) == 0xCD;
        boolean bare = bytes.length > 18 && bytes[0] == 1 && bytes[1] == 0 && bytes[2] == 9 && bytes[3] == 0;
        return placeable || bare;
    }

    private static boolean isRaster(byte[] bytes) {
        boolean bitmap = bytes.length > 26 && bytes[0] == 'B' && bytes[1] == 'M';
        boolean tiff = bytes.length > 8
                && (bytes[0] == 'I' && bytes[1] == 'I' && bytes[2] == 42
                        || bytes[0] == 'M' && bytes[1] == 'M' && bytes[3] == 42);
        return bitmap || tiff;
    }

    private static Optional<BufferedImage> drawEmf(byte[] bytes) throws IOException {
        HemfPicture picture = new HemfPicture(new ByteArrayInputStream(bytes));
        return canvas(picture.getSize(), picture::draw);
    }

    private static Optional<BufferedImage> drawWmf(byte[] bytes) throws IOException {
        HwmfPicture picture = new HwmfPicture(new ByteArrayInputStream(bytes));
        return canvas(picture.getSize(), picture::draw);
    }

    private interface Drawing {
        void draw(Graphics2D graphics, Rectangle2D bounds);
    }

    private static Optional<BufferedImage> canvas(Dimension2D points, Drawing drawing) {
        return canvas(
                points.getWidth(),
                points.getHeight(),
                (graphics, scale) -> drawing.draw(
                        graphics,
                        new Rectangle2D.Double(
                                0, 0, Math.ceil(points.getWidth() * scale), Math.ceil(points.getHeight() * scale))));
    }

    /** Paints with so many pixels to a point. */
    public interface ScaledDrawing {
        void draw(Graphics2D graphics, double scale);
    }

    /** A white picture of that size in points, painted on; empty where it has no size or is too large to be meant. */
    public static Optional<BufferedImage> canvas(double pointsWide, double pointsHigh, ScaledDrawing drawing) {
        double scale = Math.min(PIXELS_PER_POINT, WIDEST / Math.max(1, pointsWide));
        int width = (int) Math.ceil(pointsWide * scale);
        int height = (int) Math.ceil(pointsHigh * scale);
        if (width < 1 || height < 1 || (long) width * height > MOST_PIXELS) {
            return Optional.empty();
        }
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setColor(Color.WHITE);
        graphics.fillRect(0, 0, width, height);
        graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        drawing.draw(graphics, scale);
        graphics.dispose();
        return Optional.of(image);
    }

    /** A stored picture of any kind that can be painted into another; empty where it can't. */
    public static Optional<BufferedImage> image(byte[] stored) {
        byte[] bytes = unpacked(stored);
        try {
            return isEmf(bytes) ? drawEmf(bytes) : isWmf(bytes) ? drawWmf(bytes) : raster(bytes);
        } catch (IOException | RuntimeException | LinkageError undrawable) {
            return Optional.empty();
        }
    }

    private static Optional<BufferedImage> raster(byte[] bytes) throws IOException {
        try (ImageInputStream stream = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            var readers = ImageIO.getImageReaders(stream);
            if (!readers.hasNext()) {
                return Optional.empty();
            }
            ImageReader reader = readers.next();
            reader.setInput(stream);
            boolean fits = (long) reader.getWidth(0) * reader.getHeight(0) <= MOST_PIXELS;
            return fits ? Optional.of(reader.read(0)) : Optional.empty();
        }
    }

    public static byte[] png(BufferedImage image) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    /** The media type that a picture's file name tells, or empty. */
    public static String mediaType(String target) {
        String ending = target.substring(target.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
        return switch (ending) {
            case "png" -> "image/png";
            case "jpg", "jpeg" -> "image/jpeg";
            case "gif" -> "image/gif";
            case "bmp" -> "image/bmp";
            case "emf" -> "image/emf";
            case "wmf" -> "image/wmf";
            case "svg" -> "image/svg+xml";
            default -> "";
        };
    }
}
