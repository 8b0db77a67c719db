package org.unrulymarble.server.connections;

import java.nio.ByteBuffer;
import org.eclipse.jetty.http.HttpHeader;
import org.eclipse.jetty.server.Request;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.server.handler.ErrorHandler;
import org.eclipse.jetty.util.Callback;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.unrulymarble.server.platform.ProblemWriter;

/** What is refused before it reaches the application is told as everything else is: a problem document, and not what the server is made of. */
@Component
class PlainErrors extends ErrorHandler {

    private final ProblemWriter problems;

    PlainErrors(ProblemWriter problems) {
        this.problems = problems;
    }

    @Override
    public boolean handle(Request request, Response response, Callback callback) {
        HttpStatus known = HttpStatus.resolve(response.getStatus());
        HttpStatus status = known == null ? HttpStatus.BAD_REQUEST : known;
        String key = switch (status) {
            case NOT_FOUND -> "not-found";
            case TOO_MANY_REQUESTS, SERVICE_UNAVAILABLE -> "busy";
            case REQUEST_TIMEOUT -> "too-slow";
            default -> status.is5xxServerError() ? "unexpected" : "request";
        };
        // What could not be read as a request ends the connection; it is said so.
        if (status == HttpStatus.BAD_REQUEST) response.getHeaders().put(HttpHeader.CONNECTION, "close");
        response.getHeaders().put(HttpHeader.CONTENT_TYPE, MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.write(true, ByteBuffer.wrap(problems.bytes(status, key)), callback);
        return true;
    }
}
