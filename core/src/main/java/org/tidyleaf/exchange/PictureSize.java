package org.tidyleaf.exchange;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** The size of a picture from its header, without unpacking it. */
final class PictureSize {

    private static final long[] USUAL = {400, 300};

    private PictureSize() {}

    /** Width and height in dots; a usual size where the file does not tell. */
    static long[] of(byte[] bytes) {
        try (ImageInputStream stream = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            var readers = ImageIO.getImageReaders(stream);
            if (readers.hasNext()) {
                ImageReader reader = readers.next();
                reader.setInput(stream);
                return new long[] {reader.getWidth(0), reader.getHeight(0)};
            }
        } catch (IOException | RuntimeException unreadable) {
            // Printed at a usual size, it can still be seen.
        }
        return USUAL.clone();
    }
}
