package org.tidyleaf.intake.text;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.Format;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Source;

/** Plain text in UTF-8 or UTF-16, told by the byte order mark, or else in Windows-1252. */
public final class TextFormat implements Format {

    /** One space, in twentieths of a point, in the usual ten-point typewriter face. */
    private static final int SPACE_WIDTH = 120;

    private static final int TAB_SPACES = 4;

    @Override
    public String ending() {
        return "txt";
    }

    @Override
    public Source read(String name, byte[] bytes) throws IntakeException {
        String text = decode(name, bytes);
        if (MarkdownFormat.looksLike(text)) {
            return MarkdownFormat.read(name, text);
        }
        LineCollector lines = new LineCollector();
        List<String> all = List.of(text.split("\r\n|[\r\n\f\u2028\u2029]", -1));
        PipeTables tables = new PipeTables(lines);
        int at = 0;
        while (at < all.size()) {
            int rows = PipeTables.rowsAt(all, at);
            if (rows > 0) {
                tables.add(all.subList(at, at + rows));
                at += rows;
            } else {
                String line = all.get(at);
                lines.append(line.strip(), Set.of(), "");
                lines.end(indent(line), "", Place.BODY, Optional.empty(), false);
                at++;
            }
        }
        return new Source(name, "txt", lines.lines(), List.of());
    }

    private static int indent(String line) {
        int spaces = 0;
        for (int i = 0; i < line.length() && Character.isWhitespace(line.charAt(i)); i++) {
            spaces += line.charAt(i) == '\t' ? TAB_SPACES : 1;
        }
        return spaces * SPACE_WIDTH;
    }

    /** The text in its own encoding, told by its byte order mark or by trying. */
    public static String decode(String name, byte[] bytes) throws IntakeException {
        if (startsWith(bytes, 0xEF, 0xBB, 0xBF)) {
            return new String(bytes, 3, bytes.length - 3, StandardCharsets.UTF_8);
        }
        if (startsWith(bytes, 0xFF, 0xFE)) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16LE);
        }
        if (startsWith(bytes, 0xFE, 0xFF)) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16BE);
        }
        for (byte b : bytes) {
            if (b == 0) {
                throw new IntakeException.Unreadable(
                        name + " is not plain text, whatever its name says. Drop the document it was made from.");
            }
        }
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException notUtf8) {
            // Older Windows programs write their own code page, which has a character for nearly every byte.
            return new String(bytes, Charset.forName("windows-1252"));
        }
    }

    private static boolean startsWith(byte[] bytes, int... start) {
        if (bytes.length < start.length) {
            return false;
        }
        for (int i = 0; i < start.length; i++) {
            if ((bytes[i] & 0xFF) != start[i]) {
                return false;
            }
        }
        return true;
    }
}
