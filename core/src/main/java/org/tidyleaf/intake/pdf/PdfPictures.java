package org.tidyleaf.intake.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.color.PDICCBased;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.tidyleaf.intake.common.Pictures;

/**
 * The pictures of a PDF as files that browsers show. A photograph stays the JPEG that it is (ISO 32000-1, 7.4.8); rows of
 * plain samples (8.9.5) are packed as the rows of a PNG (W3C, second edition, 9.2, filter type 0); all others are painted
 * first. A picture that stands on every page is made once.
 */
final class PdfPictures {

    /** Larger images are not unpacked; they would fill the memory. */
    private static final long MOST_PIXELS = 40_000_000;

    private static final byte[] SIGNATURE = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'};
    private static final byte DEPTH = 8;
    private static final byte GREY = 0;
    private static final byte RGB = 2;

    /** Twice as quick as the usual level, and drawings with few colours come out as small. */
    private static final int LEVEL = 4;

    private final Map<COSBase, Stored> made = new IdentityHashMap<>();

    /** A picture's file. */
    record Stored(String mediaType, byte[] bytes) {}

    static boolean isTooLarge(PDImageXObject image) {
        return (long) image.getWidth() * image.getHeight() > MOST_PIXELS;
    }

    Stored of(PDImageXObject image) throws IOException {
        Stored known = made.get(image.getCOSObject());
        if (known == null) {
            known = make(image);
            made.put(image.getCOSObject(), known);
        }
        return known;
    }

    private static Stored make(PDImageXObject image) throws IOException {
        int channels = isPlain(image) ? channels(image.getColorSpace()) : 0;
        if (channels > 0 && isJpegOnly(image)) {
            try (InputStream file = image.getCOSObject().createRawInputStream()) {
                return new Stored("image/jpeg", IOUtils.toByteArray(file));
            }
        }
        if (channels > 0 && image.getBitsPerComponent() == DEPTH && !isJpeg(image)) {
            int row = image.getWidth() * channels;
            try (InputStream samples = image.createInputStream()) {
                byte[] rows = samples.readNBytes(row * image.getHeight());
                if (rows.length == row * image.getHeight()) {
                    return new Stored("image/png", png(rows, image.getWidth(), image.getHeight(), channels));
                }
            }
        }
        return new Stored("image/png", Pictures.png(image.getImage()));
    }

    /** Neither cut out by a mask nor with its colours turned. */
    private static boolean isPlain(PDImageXObject image) {
        return !image.isStencil()
                && image.getDecode() == null
                && !image.getCOSObject().containsKey(COSName.SMASK)
                && !image.getCOSObject().containsKey(COSName.MASK);
    }

    /** Of colours that a PNG or a JPEG means in the same way; 0 for others. */
    private static int channels(PDColorSpace colors) {
        boolean known = colors instanceof PDDeviceRGB || colors instanceof PDDeviceGray || colors instanceof PDICCBased;
        int channels = known ? colors.getNumberOfComponents() : 0;
        return channels == 1 || channels == 3 ? channels : 0;
    }

    private static boolean isJpeg(PDImageXObject image) {
        List<COSName> filters = image.getStream().getFilters();
        return filters.contains(COSName.DCT_DECODE) || filters.contains(COSName.JPX_DECODE);
    }

    private static boolean isJpegOnly(PDImageXObject image) {
        return image.getStream().getFilters().equals(List.of(COSName.DCT_DECODE))
                && !image.getCOSObject().containsKey(COSName.DECODE_PARMS);
    }

    private static byte[] png(byte[] rows, int width, int height, int channels) throws IOException {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        Deflater deflater = new Deflater(LEVEL);
        try (DeflaterOutputStream deflating = new DeflaterOutputStream(packed, deflater, 1 << 14)) {
            int row = width * channels;
            for (int y = 0; y < height; y++) {
                deflating.write(0);
                deflating.write(rows, y * row, row);
            }
        } finally {
            deflater.end();
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream(packed.size() + 64);
        out.writeBytes(SIGNATURE);
        ByteBuffer header = ByteBuffer.allocate(13).putInt(width).putInt(height);
        header.put(DEPTH).put(channels == 1 ? GREY : RGB).put(new byte[3]);
        chunk(out, "IHDR", header.array());
        chunk(out, "IDAT", packed.toByteArray());
        chunk(out, "IEND", new byte[0]);
        return out.toByteArray();
    }

    private static void chunk(ByteArrayOutputStream out, String type, byte[] content) {
        byte[] typed = ByteBuffer.allocate(4 + content.length)
                .put(type.getBytes(StandardCharsets.US_ASCII))
                .put(content)
                .array();
        CRC32 check = new CRC32();
        check.update(typed);
        out.writeBytes(ByteBuffer.allocate(4).putInt(content.length).array());
        out.writeBytes(typed);
        out.writeBytes(ByteBuffer.allocate(4).putInt((int) check.getValue()).array());
    }
}
