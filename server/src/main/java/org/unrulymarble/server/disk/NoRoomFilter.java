package org.unrulymarble.server.disk;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.unrulymarble.server.platform.ProblemWriter;
import org.unrulymarble.server.platform.StoreFailure;

/**
 * While the disk is full, whatever would write is told so before anything is touched; reading goes on. Outside of all others, so that a store that fails
 * while a session is looked up is told too.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class NoRoomFilter extends OncePerRequestFilter {

    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    private final DiskRoom room;
    private final ProblemWriter problems;
    private final ApplicationEventPublisher events;

    NoRoomFilter(DiskRoom room, ProblemWriter problems, ApplicationEventPublisher events) {
        this.events = events;
        this.room = room;
        this.problems = problems;
    }

    private static boolean writes(HttpServletRequest request) {
        String path = request.getRequestURI();
        return !READING.contains(request.getMethod()) && path.startsWith("/api/") && !path.startsWith("/api/reckon/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
            throws ServletException, IOException {
        if (writes(request)) {
            DiskRoom.DiskState now = room.now();
            if (now.full()) {
                problems.write(response, HttpStatus.INSUFFICIENT_STORAGE, "no-room", now.freeMb());
                return;
            }
        }
        try {
            next.doFilter(request, response);
        } catch (ServletException | IOException | RuntimeException e) {
            if (!StoreFailure.in(e)) throw e;
            events.publishEvent(new StoreFailure.Happened());
            if (response.isCommitted()) {
                // Whoever was told already that the disk failed need not hear that the session could not be kept
                // either.
                if (response.getStatus() == HttpStatus.INSUFFICIENT_STORAGE.value()) return;
                throw e;
            }
            response.reset();
            problems.write(response, HttpStatus.INSUFFICIENT_STORAGE, "disk-failed");
        }
    }
}
