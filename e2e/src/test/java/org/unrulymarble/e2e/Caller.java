package org.unrulymarble.e2e;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Somebody who is signed in and asks the server without a page. */
public final class Caller {

    private static final Duration PATIENCE = Duration.ofSeconds(10);

    private final String address;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final JsonMapper json = JsonMapper.builder().build();

    public Caller(String address) {
        this.address = address;
    }

    public Caller signIn(String name, String password) throws IOException, InterruptedException {
        send("GET", "/api/session", null);
        send("POST", "/api/session", "{\"username\":\"" + name + "\",\"password\":\"" + password + "\"}");
        // The token is another one from now on.
        send("GET", "/api/session", null);
        return this;
    }

    public HttpResponse<String> send(String method, String path, String body) throws IOException, InterruptedException {
        HttpRequest.BodyPublisher sent =
                body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body);
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .timeout(PATIENCE)
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token())
                .method(method, sent);
        return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    /** @throws IllegalStateException for any answer but a good one */
    public JsonNode ask(String method, String path, String body) throws IOException, InterruptedException {
        HttpResponse<String> answer = send(method, path, body);
        if (answer.statusCode() >= 300)
            throw new IllegalStateException(method + " " + path + " " + answer.statusCode() + " " + answer.body());
        return json.readTree(answer.body());
    }

    private String token() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("none");
    }
}
