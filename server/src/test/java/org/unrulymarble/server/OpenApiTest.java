package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The web's types are made from web/src/api/openapi.json; this keeps that file true. */
@ApiTest
class OpenApiTest {

    private static final Path PUBLISHED = Path.of("../web/src/api/openapi.json");

    @Autowired
    private Api api;

    @Test
    void the_published_shape_is_the_servers_shape() throws Exception {
        JsonMapper json = JsonMapper.builder()
                .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
                .build();
        String now = json.writerWithDefaultPrettyPrinter()
                .writeValueAsString(
                        json.treeToValue(api.as("okafor").get("/v3/api-docs").body(), Object.class));
        if (System.getProperty("marble.openapi") != null) Files.writeString(PUBLISHED, now + "\n");

        assertThat(firstDifference(
                        Files.readString(PUBLISHED).strip().lines().toList(),
                        now.lines().toList()))
                .as("drifted; write it anew with: ./marble contract")
                .isNull();
    }

    /** The whole of both is 400 kB in the log: the first place where they part says enough. */
    private static String firstDifference(List<String> published, List<String> now) {
        int at = 0;
        while (at < published.size() && at < now.size() && published.get(at).equals(now.get(at))) at++;
        if (at == published.size() && at == now.size()) return null;
        return "line %d: published %s, the server has %s"
                .formatted(
                        at + 1,
                        published.subList(at, Math.min(at + 3, published.size())),
                        now.subList(at, Math.min(at + 3, now.size())));
    }
}
