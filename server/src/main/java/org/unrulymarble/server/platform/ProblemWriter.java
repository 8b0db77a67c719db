package org.unrulymarble.server.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Problem documents where no controller is asked yet, or any more. */
@Component
public class ProblemWriter {

    private final Words words;
    private final JsonMapper json;

    ProblemWriter(Words words, JsonMapper json) {
        this.words = words;
        this.json = json;
    }

    /** @param key of the words: {@code problem.<key>.title} and {@code .detail} */
    public ProblemDetail problem(HttpStatus status, String key, Object... figures) {
        ProblemDetail problem = ProblemDetail.forStatus(status);
        problem.setType(URI.create("urn:marble:" + key));
        problem.setTitle(words.of("problem." + key + ".title", figures));
        problem.setDetail(words.of("problem." + key + ".detail", figures));
        return problem;
    }

    /** As it is sent, where there is no response of a servlet. */
    public byte[] bytes(HttpStatus status, String key, Object... figures) {
        return json.writeValueAsBytes(problem(status, key, figures));
    }

    public void write(HttpServletResponse response, HttpStatus status, String key, Object... figures)
            throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8);
        json.writeValue(response.getOutputStream(), problem(status, key, figures));
    }
}
