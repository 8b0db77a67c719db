package org.unrulymarble.server.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * A school's machine gets its time from the network, and sometimes a day late. Sessions end by that clock; when it jumps against the time that really went by,
 * they are moved along before the next request looks at them, so that nobody is signed out by it.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 3)
class ClockJumps extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(ClockJumps.class);
    private static final long A_JUMP_MS = Duration.ofMinutes(2).toMillis();

    private final JdbcClient store;
    private final Clock clock;
    private final LongSupplier passedMs;
    /** The clock against the time that went by, as it was last. */
    private long offsetMs;

    @Autowired
    ClockJumps(JdbcClient store, Clock clock) {
        this(store, clock, () -> TimeUnit.NANOSECONDS.toMillis(System.nanoTime()));
    }

    ClockJumps(JdbcClient store, Clock clock, LongSupplier passedMs) {
        this.store = store;
        this.clock = clock;
        this.passedMs = passedMs;
        this.offsetMs = clock.millis() - passedMs.getAsLong();
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
            throws ServletException, IOException {
        look();
        next.doFilter(request, response);
    }

    /** Moves all sessions by as much as the clock has jumped since the last look. */
    synchronized void look() {
        long now = clock.millis() - passedMs.getAsLong();
        long jumped = now - offsetMs;
        // A clock that is set right little by little is none that jumps.
        if (Math.abs(jumped) > A_JUMP_MS) {
            LOG.warn("The machine's clock jumped by {} minutes; sessions go along.", jumped / 60_000);
            store.sql(
                            "update spring_session set creation_time = creation_time + ?, last_access_time = last_access_time + ?, expiry_time = expiry_time + ?")
                    .params(jumped, jumped, jumped)
                    .update();
        }
        offsetMs = now;
    }
}
