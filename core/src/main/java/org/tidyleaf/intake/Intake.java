package org.tidyleaf.intake;

import java.util.List;
import java.util.Locale;
import org.tidyleaf.source.Source;

/**
 * The door for files: {@code Source source = new Intake().read("spring-test.docx", bytes)}. Safe for many threads.
 */
public final class Intake {

    /** Larger files are refused before anything is unpacked. */
    public static final int MAX_BYTES = 100 * 1024 * 1024;

    private static final byte[] OLE = {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0};

    private final List<Format> formats;

    public Intake() {
        this.formats = List.of(
                new DocxFormat(),
                new OdtFormat(),
                new RtfFormat(),
                new PdfFormat(),
                new TextFormat(),
                new HtmlFormat(),
                new MarkdownFormat(),
                new CsvFormat(),
                new XlsxFormat());
    }

    /** The endings that can be read, as one would list them in a sentence. */
    public String endings() {
        return String.join(
                ", ", formats.stream().map(format -> "." + format.ending()).toList());
    }

    /**
     * Reads a file by the ending of its name.
     *
     * @throws IntakeException if there is nothing to read in it; its message is for the teacher
     */
    public Source read(String name, byte[] bytes) throws IntakeException {
        if (bytes.length == 0) {
            throw new IntakeException.Empty(name);
        }
        if (bytes.length > MAX_BYTES) {
            throw new IntakeException.TooLarge(
                    name + " is larger than 100 MB. Make its pictures smaller, or split the document in two.");
        }
        Format format = formatOf(name);
        if (format.ending().equals("docx") && startsWith(bytes, OLE)) {
            throw oldOrLocked(name, bytes);
        }
        Source source = format.read(name, bytes);
        if (source.lines().isEmpty()) {
            throw new IntakeException.Empty(name);
        }
        return source;
    }

    private Format formatOf(String name) throws IntakeException {
        String ending = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
        for (Format format : formats) {
            if (format.ending().equals(ending)) {
                return format;
            }
        }
        throw new IntakeException.UnknownFormat(name, endings());
    }

    /** An encrypted .docx is an OLE container with a stream of that name (MS-OFFCRYPTO 2.3.4.4); so is an old .doc. */
    private static IntakeException oldOrLocked(String name, byte[] bytes) {
        byte[] stream = "EncryptedPackage".getBytes(java.nio.charset.StandardCharsets.UTF_16LE);
        for (int i = 0; i + stream.length <= bytes.length; i += 2) {
            if (matchesAt(bytes, i, stream)) {
                return new IntakeException.Locked(name);
            }
        }
        return new IntakeException.Unreadable(
                name + " is an old Word file with a new ending. Open it in your word processor and save it as .docx.");
    }

    private static boolean startsWith(byte[] bytes, byte[] start) {
        return bytes.length >= start.length && matchesAt(bytes, 0, start);
    }

    private static boolean matchesAt(byte[] bytes, int at, byte[] wanted) {
        for (int i = 0; i < wanted.length; i++) {
            if (bytes[at + i] != wanted[i]) {
                return false;
            }
        }
        return true;
    }
}
