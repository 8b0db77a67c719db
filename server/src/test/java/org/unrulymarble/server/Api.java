package org.unrulymarble.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import jakarta.servlet.http.Cookie;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A client of the API for tests: signed in as somebody, with cookies and token as a page has them. */
public class Api {

    private static final Cookie TOKEN = new Cookie("XSRF-TOKEN", "the-token-of-this-page");

    private final MockMvc mvc;
    private final JsonMapper json;
    private Cookie session;
    private String address = "127.0.0.1";
    private String forwarded;

    Api(MockMvc mvc, JsonMapper json) {
        this.mvc = mvc;
        this.json = json;
    }

    public record Answer(int status, JsonNode body, String text) {
        /** The fields that the problem document names. */
        public java.util.List<String> badFields() {
            return body.get("errors")
                    .valueStream()
                    .map(e -> e.get("field").stringValue())
                    .toList();
        }
    }

    /** Somebody of the demo. */
    public Api as(String name) {
        return as(name, name + "-demo");
    }

    public Api as(String name, String password) {
        session = null;
        assertThat(post("/api/session", "{\"username\":\"%s\",\"password\":\"%s\"}".formatted(name, password))
                        .status())
                .isEqualTo(200);
        return this;
    }

    /** Whoever else is signed in as somebody, or from somewhere. */
    public Api another() {
        return new Api(mvc, json);
    }

    /** From now on the requests come from there. */
    Api from(String otherAddress) {
        address = otherAddress;
        return this;
    }

    /** From now on they say that they are passed on for that address. */
    Api passedOnFor(String otherAddress) {
        forwarded = otherAddress;
        return this;
    }

    Api asNobody() {
        session = null;
        return this;
    }

    public Answer get(String path) {
        return send(HttpMethod.GET, path, null);
    }

    public Answer post(String path, String body) {
        return send(HttpMethod.POST, path, body);
    }

    public Answer put(String path, String body) {
        return send(HttpMethod.PUT, path, body);
    }

    public Answer delete(String path) {
        return send(HttpMethod.DELETE, path, null);
    }

    /** A file as it comes. */
    byte[] bytes(String path) {
        try {
            return mvc.perform(request(HttpMethod.GET, path).cookie(TOKEN, session))
                    .andReturn()
                    .getResponse()
                    .getContentAsByteArray();
        } catch (Exception e) {
            throw new AssertionError(path, e);
        }
    }

    Answer send(HttpMethod method, String path, String body) {
        try {
            MockHttpServletRequestBuilder request = request(method, path).header("X-XSRF-TOKEN", TOKEN.getValue());
            request.with(r -> {
                r.setRemoteAddr(address);
                return r;
            });
            if (forwarded != null) request.header("X-Forwarded-For", forwarded);
            if (session == null) request.cookie(TOKEN);
            else request.cookie(TOKEN, session);
            if (body != null) request.contentType(MediaType.APPLICATION_JSON).content(body);
            MockHttpServletResponse response = mvc.perform(request).andReturn().getResponse();
            Cookie fresh = response.getCookie("MARBLE");
            if (fresh == null) fresh = response.getCookie("SESSION");
            if (fresh != null) session = fresh;
            String text = response.getContentAsString(StandardCharsets.UTF_8);
            JsonNode read = text.startsWith("{") || text.startsWith("[") ? json.readTree(text) : null;
            if (response.getStatus() < 300 && read != null) Promised.holds(method, path, read);
            return new Answer(response.getStatus(), read, text);
        } catch (Exception e) {
            throw new AssertionError(method + " " + path, e);
        }
    }

    /** What came over a stream so far. */
    record Heard(MockHttpServletResponse response) {
        String text() {
            try {
                return response.getContentAsString(StandardCharsets.UTF_8);
            } catch (java.io.UnsupportedEncodingException e) {
                throw new AssertionError(e);
            }
        }

        /** Waits until it says so. */
        void await(String part) {
            long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
            while (!text().contains(part)) {
                if (System.nanoTime() > until) throw new AssertionError("not heard: " + part + " in " + text());
                LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(10));
            }
        }
    }

    /** Opens a stream of events and leaves it open. */
    Heard listen(String path) {
        try {
            MockHttpServletRequestBuilder request = request(HttpMethod.GET, path);
            if (session != null) request.cookie(session);
            return new Heard(mvc.perform(request).andReturn().getResponse());
        } catch (Exception e) {
            throw new AssertionError(path, e);
        }
    }

    /** The id of the one in a list that has this name. */
    public String id(String path, String name) {
        for (JsonNode n : get(path).body())
            if (n.get("name").stringValue().equals(name)) return n.get("id").stringValue();
        throw new AssertionError("no " + name + " in " + path);
    }
}
