package org.tidyleaf.exchange;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;

/**
 * Grey PNG pictures as the same pictures with a palette of all greys (PNG, W3C, second edition, 11.2.2 and 11.2.3): their dots
 * stay packed as they are, and a PDF takes them over without unpacking, which it does for palettes but not for greys.
 */
final class GreyPng {

    private static final byte[] SIGNATURE = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'};
    private static final int HEADER_END = 33;
    private static final int DEPTH = 24;
    private static final int COLOR_TYPE = 25;
    private static final int INTERLACED = 28;
    private static final int GREYS = 256;
    private static final byte WITH_PALETTE = 3;

    private GreyPng() {}

    /** The picture itself where it is no grey PNG of eight bits, or has transparent dots. */
    static byte[] withPalette(byte[] picture) {
        if (!isGrey(picture)) {
            return picture;
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream(picture.length + 800);
        out.writeBytes(SIGNATURE);
        byte[] header = ByteBuffer.allocate(13).put(picture, 16, 13).array();
        header[COLOR_TYPE - 16] = WITH_PALETTE;
        chunk(out, "IHDR", header);
        byte[] palette = new byte[GREYS * 3];
        for (int i = 0; i < palette.length; i++) {
            palette[i] = (byte) (i / 3);
        }
        chunk(out, "PLTE", palette);
        out.write(picture, HEADER_END, picture.length - HEADER_END);
        return out.toByteArray();
    }

    private static boolean isGrey(byte[] picture) {
        return picture.length > HEADER_END
                && ByteBuffer.wrap(picture, 0, SIGNATURE.length).equals(ByteBuffer.wrap(SIGNATURE))
                && picture[DEPTH] == 8
                && picture[COLOR_TYPE] == 0
                && picture[INTERLACED] == 0
                && isWholeAndOpaque(picture);
    }

    private static boolean isWholeAndOpaque(byte[] picture) {
        ByteBuffer bytes = ByteBuffer.wrap(picture);
        int at = SIGNATURE.length;
        while (at + 8 <= picture.length) {
            int length = bytes.getInt(at);
            boolean transparent = new String(picture, at + 4, 4, StandardCharsets.US_ASCII).equals("tRNS");
            if (transparent || length < 0 || length > picture.length - at) {
                return false;
            }
            at += 12 + length;
        }
        return at == picture.length;
    }

    private static void chunk(ByteArrayOutputStream out, String name, byte[] content) {
        byte[] named = ByteBuffer.allocate(4 + content.length)
                .put(name.getBytes(StandardCharsets.US_ASCII))
                .put(content)
                .array();
        CRC32 sum = new CRC32();
        sum.update(named);
        out.writeBytes(ByteBuffer.allocate(4).putInt(content.length).array());
        out.writeBytes(named);
        out.writeBytes(ByteBuffer.allocate(4).putInt((int) sum.getValue()).array());
    }
}
