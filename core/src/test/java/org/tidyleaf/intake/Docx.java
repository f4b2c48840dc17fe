package org.tidyleaf.intake;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** Small .docx files for tests: the XML that matters is written out in the test itself. */
public final class Docx {
    private static final String NAMESPACES = " xmlns:w=\"http://schemas.openxmlformats.org/wordprocessingml/2006/main\""
            + " xmlns:m=\"http://schemas.openxmlformats.org/officeDocument/2006/math\"";

    private final Map<String, byte[]> parts = new LinkedHashMap<>();

    public static Docx body(String xml) {
        return new Docx()
                .part("word/document.xml", "<w:document" + NAMESPACES + "><w:body>" + xml + "</w:body></w:document>");
    }

    public static String paragraph(String text) {
        return "<w:p><w:r><w:t xml:space=\"preserve\">" + text + "</w:t></w:r></w:p>";
    }

    public Docx numbering(String xml) {
        return part("word/numbering.xml", "<w:numbering" + NAMESPACES + ">" + xml + "</w:numbering>");
    }

    public Docx part(String name, String xml) {
        return part(name, xml.getBytes(StandardCharsets.UTF_8));
    }

    public Docx part(String name, byte[] content) {
        parts.put(name, content);
        return this;
    }

    public byte[] bytes() {
        return zipped(parts);
    }

    /** Named parts as the archive that word processors' files are. */
    public static byte[] zipped(Map<String, byte[]> parts) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue());
                zip.closeEntry();
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toByteArray();
    }
}
