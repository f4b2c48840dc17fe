package org.tidyleaf.intake.common;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.tidyleaf.intake.IntakeException;

/** The files inside a zip archive, unpacked in memory within bounds. Names are keys only, never paths of this machine. */
public final class ZipParts {

    /** No document that a word processor writes has more. */
    private static final int MAX_ENTRIES = 10_000;

    /** A zip bomb's contents are thousands of times its size; pictures of an honest 100 MB file hardly shrink at all. */
    private static final long MAX_UNPACKED = 400L * 1024 * 1024;

    private final Map<String, byte[]> parts;

    private ZipParts(Map<String, byte[]> parts) {
        this.parts = parts;
    }

    public static ZipParts unpack(String name, byte[] bytes) throws IntakeException {
        Map<String, byte[]> parts = new HashMap<>();
        long total = 0;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                byte[] part = zip.readNBytes((int) Math.min(Integer.MAX_VALUE - 8, MAX_UNPACKED - total + 1));
                total += part.length;
                if (total > MAX_UNPACKED || parts.size() >= MAX_ENTRIES) {
                    throw new IntakeException.TooLarge(
                            name + " unpacks to more than is safe to read. Save it again from"
                                    + " your word processor with smaller pictures.");
                }
                parts.put(entry.getName(), part);
            }
        } catch (IOException | IllegalArgumentException damaged) {
            throw new IntakeException.Unreadable(
                    name + " is damaged: its inner parts can't be unpacked. Open it in your word processor and save it"
                            + " again.",
                    damaged);
        }
        return new ZipParts(parts);
    }

    public Optional<byte[]> find(String path) {
        return Optional.ofNullable(parts.get(path));
    }

    public Set<String> names() {
        return parts.keySet();
    }

    public boolean isEmpty() {
        return parts.isEmpty();
    }
}
