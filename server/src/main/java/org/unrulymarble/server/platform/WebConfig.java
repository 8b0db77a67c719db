package org.unrulymarble.server.platform;

import io.micrometer.observation.ObservationRegistry;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.json.JsonReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.cfg.EnumFeature;

@Configuration
class WebConfig implements WebMvcConfigurer {

    static final int MAX_BODY_BYTES = 16_000_000;

    @Bean
    Clock clock() {
        return Clock.systemDefaultZone();
    }

    /** Nobody looks at observations, and with a registry of the usual kind each of the security's filters is wrapped for them. */
    @Bean
    ObservationRegistry noObservations() {
        return ObservationRegistry.NOOP;
    }

    /** Strict reading: "5" is not 5 and 2.5 is not 2; what a newer page sends on top is left alone. */
    @Bean
    JsonMapperBuilderCustomizer strictJson() {
        return builder -> builder.disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
                .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS);
    }

    @Bean
    JsonFactory boundedJson() {
        return JsonFactory.builder()
                // NaN and Infinity are read, so that the checks can name the field that holds them.
                .enable(JsonReadFeature.ALLOW_NON_NUMERIC_NUMBERS)
                .streamReadConstraints(StreamReadConstraints.builder()
                        .maxDocumentLength(MAX_BODY_BYTES)
                        .build())
                .build();
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(365, TimeUnit.DAYS).immutable());
        registry.addResourceHandler("/**")
                .addResourceLocations("classpath:/static/")
                .setCacheControl(CacheControl.maxAge(Duration.ZERO).mustRevalidate())
                .resourceChain(true)
                .addResolver(new PagesOfTheApp());
    }

    /** A view's address, such as /pupils/7, is answered with the one page; a missing file stays missing. */
    private static final class PagesOfTheApp extends PathResourceResolver {
        @Override
        protected Resource getResource(String path, Resource location) throws IOException {
            Resource file = super.getResource(path, location);
            if (file != null && file.isReadable() && !path.isEmpty()) return file;
            boolean view = !path.contains(".")
                    && !path.startsWith("api/")
                    && !path.startsWith("actuator/")
                    && !path.startsWith("assets/");
            return view ? new ClassPathResource("static/index.html") : null;
        }
    }
}
