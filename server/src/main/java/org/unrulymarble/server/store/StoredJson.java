package org.unrulymarble.server.store;

import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Core records as they are kept in a column: read and written whole, with what an older version did not know left to the record's defaults. */
final class StoredJson {

    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();

    private StoredJson() {}

    static String write(Object value) {
        return JSON.writeValueAsString(value);
    }

    static <T> T read(String json, Class<T> kind) {
        return JSON.readValue(json, kind);
    }

    static <T> T read(String json, TypeReference<T> kind) {
        return JSON.readValue(json, kind);
    }
}
