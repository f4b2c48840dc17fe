package org.tidyleaf.exchange;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import com.fasterxml.jackson.annotation.PropertyAccessor;
import java.io.OutputStream;
import java.util.function.Consumer;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * The core's own values as JSON for storing: records by their components, "one of" types by a property that names the
 * case. Not a format for exchange: only what this program wrote is read back.
 */
public final class StoredJson {

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .changeDefaultVisibility(visibility -> visibility
                    .withVisibility(PropertyAccessor.GETTER, Visibility.NONE)
                    .withVisibility(PropertyAccessor.IS_GETTER, Visibility.NONE)
                    .withVisibility(PropertyAccessor.FIELD, Visibility.ANY))
            // A number that earlier versions did not keep is 0.
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private StoredJson() {}

    public static String write(Object value) {
        return MAPPER.writeValueAsString(value);
    }

    /** Writes one document piece by piece and leaves the stream open. */
    static void write(OutputStream out, Consumer<JsonGenerator> content) {
        try (JsonGenerator document =
                MAPPER.writer().without(StreamWriteFeature.AUTO_CLOSE_TARGET).createGenerator(out)) {
            content.accept(document);
        }
    }

    /** Throws {@link IllegalStateException} if the text was not written from such a value. */
    public static <T> T read(String json, Class<T> type) {
        try {
            return MAPPER.readValue(json, type);
        } catch (JacksonException damaged) {
            throw new IllegalStateException("stored " + type.getSimpleName() + " can't be read", damaged);
        }
    }
}
