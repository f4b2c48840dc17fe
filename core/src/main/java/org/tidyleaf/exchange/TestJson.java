package org.tidyleaf.exchange;

import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.source.Figure;
import tools.jackson.core.JsonGenerator;

/**
 * A whole test as one JSON document, pictures inside, for programs of one's own: what is written reads back without a loss.
 * Its schema stands in docs/test.schema.json (JSON Schema 2020-12).
 */
public final class TestJson {

    private static final String FORMAT = "tidyleaf-test";
    private static final int VERSION = 1;

    private TestJson() {}

    /**
     * The document.
     *
     * @param format always "tidyleaf-test"
     * @param version 1; a later one may say more
     */
    record Document(String format, int version, Quiz test, List<Picture> figures) {}

    /** @param data the file's bytes in Base64 (RFC 4648) */
    record Picture(String id, String mediaType, String alternative, String data) {}

    /**
     * Writes the document picture by picture and leaves the stream open.
     *
     * @param figures gives a picture by its id; one that is not there is left out
     */
    public static void write(Quiz quiz, Function<String, Optional<Figure>> figures, OutputStream out) {
        Set<String> wanted = new LinkedHashSet<>();
        QtiPackage.proses(quiz).forEach(prose -> prose.pictures().forEach(picture -> wanted.add(picture.figure())));
        StoredJson.write(out, document -> {
            document.writeStartObject();
            document.writeStringProperty("format", FORMAT);
            document.writeNumberProperty("version", VERSION);
            document.writePOJOProperty("test", quiz);
            document.writeArrayPropertyStart("figures");
            wanted.forEach(id -> figures.apply(id).ifPresent(figure -> write(document, figure)));
            document.writeEndArray();
            document.writeEndObject();
        });
    }

    /** As a {@link Picture}; its bytes go out as they are encoded, for whole pictures as text would fill the memory. */
    private static void write(JsonGenerator document, Figure figure) {
        document.writeStartObject();
        document.writeStringProperty("id", figure.id());
        document.writeStringProperty("mediaType", figure.mediaType());
        document.writeStringProperty("alternative", figure.alternative());
        document.writeBinaryProperty("data", figure.bytes());
        document.writeEndObject();
    }

    /** Whether a file is such a document, by how it begins. */
    public static boolean isTest(byte[] bytes) {
        String start = new String(bytes, 0, Math.min(bytes.length, 200), StandardCharsets.UTF_8);
        return start.stripLeading().startsWith("{") && start.contains("\"" + FORMAT + "\"");
    }

    /** @throws IntakeException if it is no such document, or one that contradicts itself; its message is for the teacher */
    public static Imported read(String name, byte[] bytes) throws IntakeException {
        try {
            Document document = StoredJson.read(new String(bytes, StandardCharsets.UTF_8), Document.class);
            if (!FORMAT.equals(document.format()) || document.version() != VERSION) {
                throw new IntakeException.Unreadable(
                        name + " is of a version that is not known here. Export it again as version " + VERSION + ".");
            }
            List<Figure> figures = new ArrayList<>();
            for (Picture picture : document.figures()) {
                figures.add(new Figure(
                        picture.id(),
                        picture.mediaType(),
                        picture.alternative(),
                        Base64.getDecoder().decode(picture.data())));
            }
            return new Imported(document.test(), figures, List.of());
        } catch (IllegalStateException | IllegalArgumentException | NullPointerException contradictory) {
            throw new IntakeException.Unreadable(
                    name + " is not a test as this program writes it: compare it with the published schema.",
                    contradictory);
        }
    }
}
