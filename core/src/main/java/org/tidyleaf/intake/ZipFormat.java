package org.tidyleaf.intake;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.tidyleaf.intake.common.Format;
import org.tidyleaf.intake.common.Pictures;
import org.tidyleaf.intake.common.ZipParts;
import org.tidyleaf.source.Source;

/** One document together with the picture files that its text names, packed as a .zip. */
final class ZipFormat implements Format {

    private final List<Format> formats;

    /** @param formats those that the document inside may have, the likeliest first */
    ZipFormat(List<Format> formats) {
        this.formats = List.copyOf(formats);
    }

    @Override
    public String ending() {
        return "zip";
    }

    @Override
    public Source read(String name, byte[] bytes) throws IntakeException {
        ZipParts parts = ZipParts.unpack(name, bytes);
        for (Format format : formats) {
            List<String> found = documents(parts, format.ending());
            if (found.size() > 1) {
                throw new IntakeException.Unreadable(name + " holds several documents: " + String.join(", ", found)
                        + ". Pack one document with its pictures, and the others for themselves.");
            }
            if (found.size() == 1) {
                byte[] document = parts.find(found.get(0)).orElseThrow();
                return NamedPictures.put(format.read(bare(found.get(0)), document), pictures(parts));
            }
        }
        throw new IntakeException.Unreadable(
                name + " holds no document that can be read. Pack the test itself with its" + " pictures.");
    }

    private static List<String> documents(ZipParts parts, String ending) {
        return parts.names().stream()
                .filter(path -> path.toLowerCase(Locale.ROOT).endsWith("." + ending))
                .filter(path -> !isSystem(path))
                .sorted()
                .toList();
    }

    /** What operating systems add to archives of their own accord. */
    private static boolean isSystem(String path) {
        return path.startsWith("__MACOSX/")
                || bare(path).startsWith(".")
                || bare(path).startsWith("~$");
    }

    private static List<NamedPictures.File> pictures(ZipParts parts) {
        List<NamedPictures.File> pictures = new ArrayList<>();
        for (String path : parts.names().stream().sorted().toList()) {
            String type = Pictures.mediaType(path);
            Optional<byte[]> bytes = parts.find(path);
            if (type.startsWith("image/") && !isSystem(path) && bytes.isPresent()) {
                pictures.add(new NamedPictures.File(bare(path), type, bytes.get()));
            }
        }
        return pictures;
    }

    private static String bare(String path) {
        return path.substring(path.lastIndexOf('/') + 1);
    }
}
