package org.tidyleaf.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.tidyleaf.source.Figure;

/** A zip archive whose bytes depend on its contents alone, not on when it was written. */
final class SteadyZip {

    /** The first of January 2020. */
    private static final long FIXED_TIME = 1_577_836_800_000L;

    private final ZipOutputStream zip;

    /** @param out left open */
    SteadyZip(OutputStream out) {
        this.zip = new ZipOutputStream(out);
    }

    void entry(String name, String text) throws IOException {
        entry(name, text.getBytes(StandardCharsets.UTF_8));
    }

    void entry(String name, byte[] bytes) throws IOException {
        entry(name, out -> out.write(bytes));
    }

    /** What an entry is written by; the stream is left open. */
    interface Content {
        void write(OutputStream out) throws IOException;
    }

    /** An entry that is packed while it is written. */
    void entry(String name, Content content) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTime(FIXED_TIME);
        zip.putNextEntry(entry);
        content.write(zip);
        zip.closeEntry();
    }

    /** @throws UncheckedIOException if the stream breaks */
    void picture(String name, Figure figure) {
        try {
            entry(name, figure.bytes());
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** An entry that is not packed. */
    void stored(String name, byte[] bytes) throws IOException {
        CRC32 sum = new CRC32();
        sum.update(bytes);
        ZipEntry entry = new ZipEntry(name);
        entry.setTime(FIXED_TIME);
        entry.setMethod(ZipEntry.STORED);
        entry.setSize(bytes.length);
        entry.setCompressedSize(bytes.length);
        entry.setCrc(sum.getValue());
        zip.putNextEntry(entry);
        zip.write(bytes);
        zip.closeEntry();
    }

    void finish() throws IOException {
        zip.finish();
    }
}
