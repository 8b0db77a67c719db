package org.unrulymarble.server;

import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.http.HttpMethod;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What web/src/api/openapi.json promises of an answer: the browser's types are made of it, so an answer that is otherwise breaks a page. */
final class Promised {

    private static final String ID = "urn:marble:api";
    private static final Promised IS = new Promised();

    /** One operation whose answer has a shape. */
    private record Answers(String method, Pattern path, int names, Schema shape) {}

    private final List<Answers> known = new ArrayList<>();

    private Promised() {
        JsonMapper json = JsonMapper.shared();
        String text;
        try {
            text = Files.readString(Path.of("../web/src/api/openapi.json"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        SchemaRegistry registry =
                SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12, b -> b.schemas(Map.of(ID, text)));
        Map<String, Schema> shapes = new HashMap<>();
        json.readTree(text)
                .get("paths")
                .propertyStream()
                .forEach(path -> path.getValue()
                        .propertyStream()
                        .forEach(operation -> shapeOf(operation.getValue())
                                .map(shape -> shape.toString().replace("\"#/", "\"" + ID + "#/"))
                                .ifPresent(shape -> known.add(new Answers(
                                        operation.getKey().toUpperCase(Locale.ROOT),
                                        Pattern.compile(path.getKey().replaceAll("\\{[^}]+}", "[^/]+")),
                                        path.getKey().split("\\{").length,
                                        shapes.computeIfAbsent(shape, registry::getSchema))))));
        known.sort(Comparator.comparingInt(Answers::names));
    }

    private static Optional<JsonNode> shapeOf(JsonNode operation) {
        return operation
                .get("responses")
                .propertyStream()
                .filter(r -> r.getKey().startsWith("2"))
                .map(r -> r.getValue().path("content").path("*/*").path("schema"))
                // A file is text, whatever stands in it.
                .filter(shape ->
                        shape.isObject() && !"string".equals(shape.path("type").asString("")))
                .findFirst();
    }

    /** Fails with what is not as promised. */
    static void holds(HttpMethod method, String path, JsonNode body) {
        String plain = path.replaceFirst("\\?.*", "");
        for (Answers answers : IS.known) {
            if (!answers.method().equals(method.name())
                    || !answers.path().matcher(plain).matches()) continue;
            List<Error> wrong = answers.shape().validate(body);
            if (!wrong.isEmpty())
                throw new AssertionError("%s %s answers what the contract does not promise: %s"
                        .formatted(method, path, wrong.stream().limit(5).toList()));
            return;
        }
    }
}
