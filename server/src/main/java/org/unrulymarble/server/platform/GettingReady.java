package org.unrulymarble.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.availability.ApplicationAvailability;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** While the demo is being filled there is nobody to sign in as, and nobody is to make a first account: it says so, and nothing else. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 3)
class GettingReady extends OncePerRequestFilter {

    private static final String AGAIN_AFTER_SEC = "2";

    private final ApplicationAvailability availability;
    private final ProblemWriter problems;

    GettingReady(ApplicationAvailability availability, ProblemWriter problems) {
        this.availability = availability;
        this.problems = problems;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/")
                || availability.getReadinessState() == ReadinessState.ACCEPTING_TRAFFIC;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
            throws ServletException, IOException {
        response.setHeader(HttpHeaders.RETRY_AFTER, AGAIN_AFTER_SEC);
        problems.write(response, HttpStatus.SERVICE_UNAVAILABLE, "getting-ready");
    }
}
