package org.unrulymarble.server.platform;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.core.converter.ResolvedSchema;
import io.swagger.v3.core.jackson.ModelResolver;
import io.swagger.v3.core.jackson.TypeNameResolver;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.parameters.RequestBody;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.responses.ApiResponses;
import java.lang.reflect.AnnotatedParameterizedType;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.providers.ObjectMapperProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.unrulymarble.server.marks.Reckonings;

/**
 * The published shape of the API, told by the records themselves: every field is always there, one that is {@link Nullable} may be null, and what is one of
 * several records is told apart by {@code type}.
 */
@Configuration
public class Contract {

    /** By the name of its schema; known to all contexts, since what resolves a type once resolves it for all. */
    private static final Map<String, Class<?>> RECORDS = new ConcurrentSkipListMap<>();

    private static final Map<String, Class<?>> SEVERALS = new ConcurrentSkipListMap<>();

    /** Variants are called after what they are variants of: there are several rings, reaches and landings. */
    @Bean
    ModelResolver modelResolver(ObjectMapperProvider mapper) {
        return new ModelResolver(mapper.jsonMapper(), new TypeNameResolver() {
            @Override
            protected String getNameOfClass(Class<?> type) {
                Optional<Class<?>> of = variantOf(type).filter(i -> i != type);
                String name = of.map(i -> i.getSimpleName() + type.getSimpleName())
                        .orElseGet(() -> super.getNameOfClass(type));
                of.ifPresent(i -> SEVERALS.put(i.getSimpleName(), i));
                if (type.isRecord()) RECORDS.put(name, type);
                return name;
            }
        });
    }

    @Bean
    OpenApiCustomizer everyFieldIsThere(Reckonings reckonings) {
        return api -> {
            reckonings(reckonings, api);
            api.info(new Info().title("Unruly Marble").version("1"));
            api.servers(List.of());
            Map<String, Schema<?>> known = new LinkedHashMap<>();
            api.getComponents().getSchemas().forEach(known::put);
            // What comes in may have an older shape; the published one is today's.
            known.get("Events").addProperty("events", new ArraySchema().items(ref("RunEvent")));
            api.getComponents().getSchemas().remove("SentEvent");
            SEVERALS.values().forEach(of -> variants(of, known, api));
            api.getComponents().getSchemas().forEach(Contract::everyField);
        };
    }

    /** The one address of all reckonings is told as one for each, with its own question and answer. */
    private static void reckonings(Reckonings reckonings, OpenAPI api) {
        PathItem any = api.getPaths().remove("/api/reckon/{name}");
        api.getComponents().getSchemas().remove("JsonNode");
        reckonings.byName().forEach((name, reckoning) -> {
            Operation operation = new Operation()
                    .operationId("reckon-" + name)
                    .tags(any.getPost().getTags())
                    .requestBody(new RequestBody()
                            .required(true)
                            .content(new Content().addMediaType("application/json", resolved(reckoning.ask(), api))))
                    .responses(new ApiResponses()
                            .addApiResponse(
                                    "200",
                                    new ApiResponse()
                                            .description("OK")
                                            .content(new Content()
                                                    .addMediaType("*/*", resolved(reckoning.answer(), api)))));
            api.getPaths().addPathItem("/api/reckon/" + name, new PathItem().post(operation));
        });
    }

    private static MediaType resolved(Class<?> type, OpenAPI api) {
        ResolvedSchema resolved = ModelConverters.getInstance(true)
                .resolveAsResolvedSchema(new io.swagger.v3.core.converter.AnnotatedType(type).resolveAsRef(true));
        resolved.referencedSchemas.forEach((name, schema) -> {
            if (!api.getComponents().getSchemas().containsKey(name))
                api.getComponents().addSchemas(name, schema);
        });
        return new MediaType().schema(resolved.schema);
    }

    private static Optional<Class<?>> variantOf(Class<?> type) {
        if (type.isAnnotationPresent(JsonSubTypes.class)) return Optional.of(type);
        return Arrays.stream(type.getInterfaces())
                .flatMap(i -> variantOf(i).stream())
                .findFirst();
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
            parts(known.get(name))
                    .filter(part -> part.getProperties() != null)
                    .forEach(part -> part.getProperties().forEach(one::addProperty));
            api.getComponents().addSchemas(name, one);
            any.addOneOfItem(ref(name));
        }
        api.getComponents().addSchemas(of.getSimpleName(), any);
    }

    /** A variant's own fields may stand beside a reference to what it is a variant of. */
    private static Stream<Schema<?>> parts(Schema<?> variant) {
        if (variant == null) return Stream.empty();
        Stream<Schema<?>> beside = variant.getAllOf() == null
                ? Stream.empty()
                : variant.getAllOf().stream().map(part -> (Schema<?>) part);
        return Stream.concat(Stream.of(variant), beside);
    }

    private static void everyField(String name, Schema<?> schema) {
        if (schema.getProperties() == null) return;
        Map<String, AnnotatedType> told = fields(RECORDS.get(name));
        Map<String, Schema<?>> fields = new LinkedHashMap<>();
        List<String> required = new ArrayList<>();
        schema.getProperties().forEach((field, type) -> {
            // What is only taken in is a field of older documents: no answer has it.
            if (!Boolean.TRUE.equals(type.getWriteOnly())) required.add(field);
            if (isOfAnything(type.getAdditionalProperties())) type.setAdditionalProperties(true);
            fields.put(field, told.containsKey(field) ? withNulls(type, told.get(field)) : type);
        });
        fields.forEach(schema::addProperty);
        schema.setRequired(required);
    }

    /** Also within lists: an entry may be null where its type says so. */
    private static Schema<?> withNulls(Schema<?> type, AnnotatedType of) {
        if (type.getItems() != null && of instanceof AnnotatedParameterizedType list)
            type.setItems(withNulls(type.getItems(), list.getAnnotatedActualTypeArguments()[0]));
        return of.isAnnotationPresent(Nullable.class) ? orNull(type) : type;
    }

    /** Values that may be texts as well as numbers are told as objects, which they are not. */
    private static boolean isOfAnything(Object values) {
        return values instanceof Schema<?> schema
                && schema.get$ref() == null
                && schema.getProperties() == null
                && ("object".equals(schema.getType()) || Set.of("object").equals(schema.getTypes()));
    }

    private static Map<String, AnnotatedType> fields(Class<?> type) {
        Map<String, AnnotatedType> fields = new HashMap<>();
        if (type == null || !type.isRecord()) return fields;
        for (RecordComponent part : type.getRecordComponents()) {
            fields.put(part.getName(), part.getAnnotatedType());
            if (part.getAccessor().isAnnotationPresent(JsonUnwrapped.class)) fields.putAll(fields(part.getType()));
        }
        return fields;
    }

    private static Schema<?> orNull(Schema<?> type) {
        Schema<?> nothing = new Schema<>();
        nothing.setTypes(Set.of("null"));
        Schema<?> either = new Schema<>();
        either.setAnyOf(new ArrayList<>(List.of(type, nothing)));
        return either;
    }
}
