package org.unrulymarble.server;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.Tag;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.ActiveProfiles;

/**
 * A test that speaks to the whole server over its API, on the demo world in memory; one server for all such tests. Where MARBLE_TEST_DB names an empty
 * PostgreSQL, on that one.
 */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@SpringBootTest(
        properties = {
            "spring.datasource.url=${MARBLE_TEST_DB:jdbc:h2:mem:api;DB_CLOSE_DELAY=-1}",
            "marble.hash-rounds-log2=4",
            "marble.data=target/test-data",
            "marble.nightly=false",
            "marble.https=false",
            "marble.public-address=https://wharf.example/",
            "springdoc.api-docs.enabled=true",
            "springdoc.writer-with-order-by-keys=true"
        })
@AutoConfigureMockMvc
@ActiveProfiles("demo")
@Import(Api.class)
@Tag("api")
public @interface ApiTest {}
