package org.tidyleaf.exchange;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import com.fasterxml.jackson.annotation.PropertyAccessor;
import tools.jackson.core.JacksonException;
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
            .build();

    private StoredJson() {}

    public static String write(Object value) {
        return MAPPER.writeValueAsString(value);
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
