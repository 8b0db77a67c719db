package org.unrulymarble.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** What comes in is JSON in UTF-8, what is wanted and asked has a name: anything else is told so before somebody tries to read it. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class PlainRequests extends OncePerRequestFilter {

    private final ProblemWriter problems;

    PlainRequests(ProblemWriter problems) {
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
            throws ServletException, IOException {
        if (!isJson(request.getContentType())) problems.write(response, HttpStatus.UNSUPPORTED_MEDIA_TYPE, "not-json");
        else if (!isReadable(request)) problems.write(response, HttpStatus.NOT_ACCEPTABLE, "request");
        else if (request.getParameterMap().keySet().stream().anyMatch(String::isBlank))
            problems.write(response, HttpStatus.BAD_REQUEST, "request");
        else next.doFilter(request, response);
    }

    private static boolean isJson(String type) {
        if (type == null || type.isBlank()) return true;
        try {
            MediaType sent = MediaType.parseMediaType(type);
            boolean json = sent.equalsTypeAndSubtype(MediaType.APPLICATION_JSON);
            return json && (sent.getCharset() == null || sent.getCharset().equals(StandardCharsets.UTF_8));
        } catch (InvalidMediaTypeException e) {
            return false;
        }
    }

    private static boolean isReadable(HttpServletRequest request) {
        try {
            MediaType.parseMediaTypes(request.getHeader(HttpHeaders.ACCEPT));
            return true;
        } catch (InvalidMediaTypeException e) {
            return false;
        }
    }
}
