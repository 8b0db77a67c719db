package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
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

        assertThat(Files.readString(PUBLISHED).strip())
                .as(
                        "drifted; write it anew with: mvn -pl core,web,server package -Dweb.test.skip -Dtest=OpenApiTest -Dmarble.openapi=write -Dsurefire.failIfNoSpecifiedTests=false")
                .isEqualTo(now);
    }
}
