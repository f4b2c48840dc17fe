package org.tidyleaf.intake;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.intake.common.Format;
import org.tidyleaf.intake.common.Pictures;
import org.tidyleaf.intake.odt.OdtFormat;
import org.tidyleaf.intake.pdf.PdfFormat;
import org.tidyleaf.intake.rtf.RtfFormat;
import org.tidyleaf.intake.sheet.CsvFormat;
import org.tidyleaf.intake.sheet.XlsxFormat;
import org.tidyleaf.intake.text.HtmlFormat;
import org.tidyleaf.intake.text.MarkdownFormat;
import org.tidyleaf.intake.text.TextFormat;
import org.tidyleaf.intake.word.DocFormat;
import org.tidyleaf.intake.word.DocxFormat;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Source;

/**
 * The door for files: {@code Source source = new Intake().read("spring-test.docx", bytes)}. Safe for many threads.
 */
public final class Intake {

    /** Larger files are refused before anything is unpacked. */
    public static final int MAX_BYTES = 100 * 1024 * 1024;

    /** What files of some formats begin with, whatever they are called. */
    private static final Map<String, byte[]> BEGINNINGS = Map.of(
            "doc", new byte[] {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0},
            "pdf", "%PDF-".getBytes(StandardCharsets.US_ASCII),
            "rtf", "{\\rtf".getBytes(StandardCharsets.US_ASCII));

    /** Other endings of the same formats. */
    private static final Map<String, String> ALIASES = Map.ofEntries(
            Map.entry("htm", "html"),
            Map.entry("xhtml", "html"),
            Map.entry("markdown", "md"),
            Map.entry("text", "txt"),
            Map.entry("docm", "docx"),
            Map.entry("dotx", "docx"),
            Map.entry("ott", "odt"),
            Map.entry("xlsm", "xlsx"),
            Map.entry("tsv", "csv"));

    private final List<Format> formats;

    public Intake() {
        List<Format> single = List.of(
                new DocxFormat(),
                new DocFormat(),
                new OdtFormat(),
                new RtfFormat(),
                new PdfFormat(),
                new TextFormat(),
                new HtmlFormat(),
                new MarkdownFormat(),
                new CsvFormat(),
                new XlsxFormat());
        List<Format> all = new ArrayList<>(single);
        all.add(new ZipFormat(single));
        this.formats = List.copyOf(all);
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
        Format format = formatOf(name, bytes);
        if (format.ending().equals("doc") && isLocked(bytes)) {
            throw new IntakeException.Locked(name);
        }
        Source source = format.read(name, bytes);
        if (source.lines().isEmpty()) {
            throw new IntakeException.Empty(name);
        }
        return withPicturesShown(TickedColumns.asTables(source));
    }

    private static Source withPicturesShown(Source source) {
        List<Figure> figures = source.figures().stream().map(Pictures::shown).toList();
        List<Note> notes = new ArrayList<>(source.notes());
        Set<String> unseen = new HashSet<>();
        figures.stream().filter(figure -> !Pictures.isShowable(figure)).forEach(figure -> unseen.add(figure.id()));
        for (Line line : unseen.isEmpty() ? List.<Line>of() : source.lines()) {
            if (line.spans().stream().anyMatch(span -> unseen.contains(span.figure()))) {
                notes.add(new Note(
                        line.number(),
                        "figure-absent",
                        "This picture is of a kind that browsers can't show. Put it in anew as PNG."));
            }
        }
        notes.addAll(NamedPictures.missing(source.lines()));
        return new Source(source.name(), source.format(), source.lines(), figures, notes, source.pages());
    }

    /** Whether files of that name's ending can be read. */
    public boolean reads(String name) {
        return format(name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT))
                .isPresent();
    }

    /** By the ending of its name, unless its first bytes say clearly that it is something else. */
    private Format formatOf(String name, byte[] bytes) throws IntakeException {
        String ending = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
        Format named = format(ending).orElseThrow(() -> new IntakeException.UnknownFormat(name, endings()));
        for (Map.Entry<String, byte[]> beginning : BEGINNINGS.entrySet()) {
            if (startsWith(bytes, beginning.getValue())) {
                return format(beginning.getKey()).orElse(named);
            }
        }
        return named;
    }

    private Optional<Format> format(String ending) {
        String known = ALIASES.getOrDefault(ending, ending);
        return formats.stream().filter(format -> format.ending().equals(known)).findFirst();
    }

    /** An encrypted .docx is an OLE container with a stream of that name (MS-OFFCRYPTO 2.3.4.4). */
    private static boolean isLocked(byte[] bytes) {
        byte[] stream = "EncryptedPackage".getBytes(StandardCharsets.UTF_16LE);
        for (int i = 0; i + stream.length <= bytes.length; i += 2) {
            if (matchesAt(bytes, i, stream)) {
                return true;
            }
        }
        return false;
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
