package org.unrulymarble.server.platform;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import io.swagger.v3.core.jackson.ModelResolver;
import io.swagger.v3.core.jackson.TypeNameResolver;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Schema;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.providers.ObjectMapperProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.Tap;
import org.unrulymarble.core.plan.BlockDose;
import org.unrulymarble.core.plan.edit.Edit;
import org.unrulymarble.core.record.KeptGame;
import org.unrulymarble.core.run.What;
import org.unrulymarble.server.begin.Where;

/** The published shape of the API: every field is always there, and those that may be null say so. */
@Configuration
public class OpenApiShape {

    /** Each is one of several records, told apart by {@code type}. */
    private static final List<Class<?>> VARIANTS = List.of(
            What.class,
            Tap.class,
            Measure.class,
            Gate.class,
            Detail.class,
            BlockDose.class,
            Edit.class,
            Where.class,
            KeptGame.class);

    private static final Set<String> VARIANT_NAMES = VARIANTS.stream()
            .flatMap(of -> Arrays.stream(of.getAnnotation(JsonSubTypes.class).value())
                    .map(sub -> of.getSimpleName() + sub.value().getSimpleName()))
            .collect(Collectors.toSet());

    /** Variants are called after what they are variants of: there are several rings, reaches and landings. */
    @Bean
    ModelResolver modelResolver(ObjectMapperProvider mapper) {
        return new ModelResolver(mapper.jsonMapper(), new TypeNameResolver() {
            @Override
            protected String getNameOfClass(Class<?> type) {
                for (Class<?> variant : VARIANTS)
                    if (variant != type && variant.isAssignableFrom(type))
                        return variant.getSimpleName() + type.getSimpleName();
                return super.getNameOfClass(type);
            }
        });
    }

    private static Schema<?> eventsList() {
        ArraySchema list = new ArraySchema();
        list.setItems(ref("RunEvent"));
        return list;
    }

    private static Schema<?> ref(String name) {
        return new Schema<>().$ref("#/components/schemas/" + name);
    }

    private static void variants(Class<?> of, Map<String, Schema<?>> known, OpenAPI api) {
        Schema<?> any = new Schema<>();
        for (JsonSubTypes.Type sub : of.getAnnotation(JsonSubTypes.class).value()) {
            String name = of.getSimpleName() + sub.value().getSimpleName();
            Schema<String> type = new Schema<>();
            type.setTypes(Set.of("string"));
            type.setEnum(List.of(sub.name()));
            Schema<?> one = new Schema<>();
            one.setTypes(Set.of("object"));
            one.addProperty("type", type);
            parts(known.get(name)).forEach(part -> {
                if (part.getProperties() != null) part.getProperties().forEach(one::addProperty);
            });
            api.getComponents().addSchemas(name, one);
            any.addOneOfItem(ref(name));
        }
        api.getComponents().addSchemas(of.getSimpleName(), any);
    }

    /** A variant's own fields may stand beside a reference to what it is a variant of. */
    private static List<Schema<?>> parts(Schema<?> variant) {
        List<Schema<?>> parts = new ArrayList<>();
        if (variant == null) return parts;
        parts.add(variant);
        if (variant.getAllOf() != null) for (Schema<?> part : variant.getAllOf()) parts.add(part);
        return parts;
    }

    @Bean
    OpenApiCustomizer everyFieldIsThere() {
        return api -> {
            api.info(new Info().title("Unruly Marble").version("1"));
            api.servers(List.of());
            Map<String, Schema<?>> known = new LinkedHashMap<>();
            api.getComponents().getSchemas().forEach(known::put);
            // What comes in may have an older shape; the published one is today's.
            known.get("Events").addProperty("events", eventsList());
            api.getComponents().getSchemas().remove("SentEvent");
            VARIANTS.forEach(v -> variants(v, known, api));
            api.getComponents().getSchemas().forEach((name, schema) -> shape(name, schema, api));
        };
    }

    private static void shape(String name, Schema<?> schema, OpenAPI api) {
        if (schema.getProperties() == null) return;
        Map<String, Schema<?>> shaped = new LinkedHashMap<>();
        schema.getProperties()
                .forEach((field, type) -> shaped.put(
                        field, MayBeNull.is(name, field, VARIANT_NAMES.contains(name)) ? orNull(type) : type));
        shaped.forEach(schema::addProperty);
        schema.setRequired(new ArrayList<>(schema.getProperties().keySet()));
    }

    private static Schema<?> orNull(Schema<?> type) {
        Schema<?> nothing = new Schema<>();
        nothing.setTypes(Set.of("null"));
        Schema<?> either = new Schema<>();
        either.setAnyOf(new ArrayList<>(List.of(type, nothing)));
        return either;
    }
}
