package org.unrulymarble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpTimeoutException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Ten thousand requests that no page would send, from a seed: the server is never at fault, and never says what it is made of. */
@Tag("long")
class MalformedRequestsTest {

    private static final int MANY = 10_000;
    private static final long SEED = 20_261_127;
    private static final Pattern INSIDE = Pattern.compile(
            "\\b(java|javax|jakarta|org|com|tools|net)\\.[a-z0-9]+\\.[\\w.]+|\\w+Exception\\b|\\bat [\\w.$]+\\(");
    private static final String[] TYPES = {
        "application/json",
        "*/*",
        "multipart/form-data",
        "multipart/form-data; boundary=x",
        "text/plain; charset=no-such-charset",
        "application/xml",
        "application/x-www-form-urlencoded",
        "application/json; charset=utf-16",
        "nonsense",
        ""
    };
    private static final String[] WANTED = {
        "application/json", "*/*", "text/event-stream", "application/xml", "image/png", "nonsense/", "text/html", ""
    };
    private static final String[] SCRAPS = {
        "null",
        "[]",
        "{}",
        "0",
        "-1",
        "1e999",
        "NaN",
        "true",
        "\"\"",
        "\"x\"",
        "99999999999999999999",
        "2.5",
        "\"2026-13-45\"",
        "[null]",
        "{\"type\":\"NONE\"}",
        "\"\\u0000\"",
        "\"" + "long ".repeat(500) + "\""
    };

    private final Random random = new Random(SEED);
    private final JsonMapper json = JsonMapper.builder().build();
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private String address;

    /** A route, with the fields that its body has. */
    private record Route(String method, String path, List<String> fields) {}

    @Test
    void nothing_that_comes_in_is_the_servers_fault() throws IOException, InterruptedException {
        JsonNode shape = json.readTree(Path.of("../web/src/api/openapi.json").toFile());
        List<Route> routes = new ArrayList<>();
        shape.get("paths")
                .properties()
                .forEach(path -> path.getValue()
                        .properties()
                        .forEach(m -> routes.add(new Route(
                                m.getKey().toUpperCase(java.util.Locale.ROOT),
                                path.getKey(),
                                fields(shape, m.getValue())))));
        routes.add(new Route("GET", "/error", List.of()));
        routes.add(new Route("POST", "/error", List.of("status")));
        routes.add(new Route("GET", "/actuator/health", List.of()));
        routes.add(new Route("TRACE", "/", List.of()));
        Map<Integer, Integer> answers = new TreeMap<>();
        List<String> faults = new ArrayList<>();
        try (MarbleServer server = new MarbleServer(true).start()) {
            address = server.address();
            signIn();
            for (int i = 0; i < MANY; i++) {
                HttpRequest request = request(routes.get(random.nextInt(routes.size())));
                HttpResponse<byte[]> answer;
                try {
                    answer = client.send(request, HttpResponse.BodyHandlers.ofByteArray());
                } catch (HttpTimeoutException e) {
                    // A stream that is open is no fault.
                    if (!request.uri().getPath().endsWith("/stream")) faults.add("no answer: " + told(request));
                    continue;
                } catch (IOException e) {
                    faults.add("no answer: " + told(request) + ": " + e.getMessage());
                    continue;
                }
                answers.merge(answer.statusCode(), 1, Integer::sum);
                if (answer.statusCode() == 401) signIn();
                String body =
                        new String(answer.body(), 0, Math.min(answer.body().length, 20_000), StandardCharsets.UTF_8);
                boolean inside =
                        answer.statusCode() >= 400 && INSIDE.matcher(body).find();
                if (answer.statusCode() >= 500 || inside)
                    faults.add(answer.statusCode() + " " + told(request) + " -> "
                            + body.substring(0, Math.min(body.length(), 300)));
            }
        }
        System.out.println("answers to malformed requests: " + answers);
        assertThat(faults.stream().limit(25)).as("%d faults", faults.size()).isEmpty();
    }

    private void signIn() throws IOException, InterruptedException {
        for (String body : new String[] {null, "{\"username\":\"okafor\",\"password\":\"okafor-demo\"}", null}) {
            HttpRequest.Builder ask = HttpRequest.newBuilder(URI.create(address + "/api/session"));
            if (body != null)
                ask.POST(HttpRequest.BodyPublishers.ofString(body))
                        .header("Content-Type", "application/json")
                        .header("X-XSRF-TOKEN", token());
            client.send(ask.build(), HttpResponse.BodyHandlers.discarding());
        }
    }

    private String token() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("none");
    }

    private HttpRequest request(Route route) {
        String path = route.path();
        while (path.contains("{")) path = path.replaceFirst("\\{[^}]+}", part());
        if (random.nextInt(3) == 0)
            path += "?" + pick("before", "most", "from", "to", "classId", "by", "text", "") + "=" + part();
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .timeout(Duration.ofSeconds(path.contains("/stream") ? 4 : 30));
        request.method(
                random.nextInt(12) == 0 ? pick("PATCH", "OPTIONS", "DELETE", "PUT", "POST") : route.method(),
                random.nextInt(5) == 0
                        ? HttpRequest.BodyPublishers.noBody()
                        : HttpRequest.BodyPublishers.ofByteArray(body(route)));
        String type = random.nextInt(3) > 0 ? TYPES[0] : TYPES[random.nextInt(TYPES.length)];
        if (!type.isEmpty()) request.header("Content-Type", type);
        String wanted = WANTED[random.nextInt(WANTED.length)];
        if (!wanted.isEmpty()) request.header("Accept", wanted);
        // Nobody is signed out by chance: then nothing else would be tried.
        boolean leaves = route.path().equals("/api/session") && !route.method().equals("GET");
        if (!leaves && random.nextInt(20) > 0) request.header("X-XSRF-TOKEN", token());
        return request.build();
    }

    private String part() {
        return switch (random.nextInt(9)) {
            case 0 -> UUID.randomUUID().toString();
            case 1 -> "0";
            case 2 -> "-1";
            case 3 -> "%00";
            case 4 -> "%E2%80%AE";
            case 5 -> "x".repeat(1 + random.nextInt(300));
            case 6 -> "clap-and-collect";
            case 7 -> "99999999999999999999";
            default -> "..%2F";
        };
    }

    private byte[] body(Route route) {
        StringBuilder body = new StringBuilder("{");
        for (String field : route.fields())
            if (random.nextInt(4) > 0)
                body.append(body.length() > 1 ? "," : "")
                        .append('"')
                        .append(field)
                        .append("\":")
                        .append(SCRAPS[random.nextInt(SCRAPS.length)]);
        body.append('}');
        byte[] bytes = body.toString().getBytes(StandardCharsets.UTF_8);
        return switch (random.nextInt(8)) {
            case 0 -> Arrays.copyOf(bytes, random.nextInt(bytes.length));
            case 1 -> SCRAPS[random.nextInt(SCRAPS.length)].getBytes(StandardCharsets.UTF_8);
            case 2 -> "[".repeat(random.nextInt(3_000)).getBytes(StandardCharsets.UTF_8);
            case 3 -> {
                bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
                yield bytes;
            }
            default -> bytes;
        };
    }

    /** The fields of the body that a route takes, as far as the shape names them. */
    private static List<String> fields(JsonNode shape, JsonNode route) {
        JsonNode body = route.at("/requestBody/content/application~1json/schema");
        String name = body.path("$ref").asString("");
        JsonNode schema =
                name.isEmpty() ? body : shape.at("/components/schemas/" + name.substring(name.lastIndexOf('/') + 1));
        List<String> fields = new ArrayList<>();
        schema.path("properties").propertyNames().forEach(fields::add);
        return fields;
    }

    private String pick(String... words) {
        return words[random.nextInt(words.length)];
    }

    private static String told(HttpRequest request) {
        return request.method() + " " + request.uri() + " " + request.headers().map();
    }
}
