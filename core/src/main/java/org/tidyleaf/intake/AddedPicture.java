package org.tidyleaf.intake;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.tidyleaf.intake.common.Pictures;
import org.tidyleaf.source.Figure;

/** A picture that a teacher adds to a question by hand, and what can be cut from one. */
public final class AddedPicture {

    private static final int LARGEST = 20 * 1024 * 1024;
    private static final int HEAD = 512;

    private AddedPicture() {}

    /**
     * Any picture as browsers can show it.
     *
     * @param id its id in the leaf
     * @throws IntakeException saying what to do, where it is none or too large
     */
    public static Figure take(String id, String name, byte[] bytes, String alternative) throws IntakeException {
        if (bytes.length > LARGEST) {
            throw new IntakeException.TooLarge(name + " is larger than 20 MB. Save it smaller and choose it again.");
        }
        String type = mediaType(bytes)
                .orElseThrow(() ->
                        new IntakeException.UnknownFormat(name, "PNG, JPEG, GIF, WebP, SVG, BMP, TIFF, EMF, WMF"));
        Figure shown = Pictures.shown(new Figure(id, type, alternative, bytes));
        if (shown.mediaType().equals("image/x-any")) {
            throw new IntakeException.Unreadable(name + " can't be drawn. Save it as PNG and choose it again.");
        }
        return shown;
    }

    /**
     * Part of a picture, as PNG.
     *
     * @param left how much to cut off, in percent of the width; the others likewise
     * @throws IntakeException where nothing would be left, or where it is a drawing that has no dots to cut
     */
    public static Figure crop(String id, Figure whole, int left, int top, int right, int bottom)
            throws IntakeException {
        boolean leavesSome =
                left >= 0 && top >= 0 && right >= 0 && bottom >= 0 && left + right < 100 && top + bottom < 100;
        if (!leavesSome) {
            throw new IntakeException.Unreadable("Nothing of the picture would be left. Cut less away.");
        }
        try {
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(whole.bytes()));
            if (image == null) {
                throw new IntakeException.Unreadable("This picture is a drawing and can't be cut here.");
            }
            int x = image.getWidth() * left / 100;
            int y = image.getHeight() * top / 100;
            int width = Math.max(1, image.getWidth() * (100 - left - right) / 100);
            int height = Math.max(1, image.getHeight() * (100 - top - bottom) / 100);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(image.getSubimage(x, y, width, height), "png", out);
            return new Figure(id, "image/png", whole.alternative(), out.toByteArray());
        } catch (IOException damaged) {
            throw new IntakeException.Unreadable("This picture is damaged and can't be cut.", damaged);
        }
    }

    /** By its first bytes, not by its name. */
    private static Optional<String> mediaType(byte[] bytes) {
        String head = new String(bytes, 0, Math.min(HEAD, bytes.length), StandardCharsets.ISO_8859_1);
        if (head.startsWith("\u0089PNG")) {
            return Optional.of("image/png");
        }
        if (head.startsWith("\u00FF\u00D8")) {
            return Optional.of("image/jpeg");
        }
        if (head.startsWith("GIF8")) {
            return Optional.of("image/gif");
        }
        if (head.startsWith("RIFF") && head.startsWith("WEBP", 8)) {
            return Optional.of("image/webp");
        }
        if (head.toLowerCase(Locale.ROOT).contains("<svg")) {
            return Optional.of("image/svg+xml");
        }
        Figure other = new Figure("", "image/x-any", "", bytes);
        return Pictures.isShowable(other) ? Optional.empty() : Optional.of("image/x-any");
    }
}
