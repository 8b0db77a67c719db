package org.unrulymarble.server.disk;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.unrulymarble.server.platform.StoreFailure;

/**
 * A store that could not write closes itself so as to stay whole; the next request opens it again as it was last forced. The closing may end only after
 * that, and takes the name of what was opened meanwhile from H2's list: who has a connection keeps it, and nobody gets another, since the file is in use.
 * So it is looked after for a while, and what nobody can reach is let go.
 */
@Component
class Reopening {

    private static final Logger LOG = LoggerFactory.getLogger(Reopening.class);
    private static final int IN_USE = 90020;
    private static final long LOOKED_AFTER_SEC = 60;
    private static final long EVERY_MS = 500;

    private final HikariDataSource source;
    private final Compaction compaction;
    private volatile long lookUntilNs;
    private volatile boolean looking;

    Reopening(HikariDataSource source, Compaction compaction) {
        this.source = source;
        this.compaction = compaction;
    }

    @EventListener
    void reopen(StoreFailure.Happened happened) {
        LOG.warn("The store could not reach its disk; it is opened anew with the next request.");
        letGo();
        lookUntilNs = System.nanoTime() + TimeUnit.SECONDS.toNanos(LOOKED_AFTER_SEC);
        looking = true;
    }

    private void letGo() {
        if (source.getHikariPoolMXBean() != null) source.getHikariPoolMXBean().softEvictConnections();
    }

    @Scheduled(fixedDelay = EVERY_MS)
    void lookAfter() {
        if (!looking) return;
        looking = System.nanoTime() - lookUntilNs < 0;
        // Nobody opens the file while it is written anew.
        synchronized (compaction) {
            lookOnce();
        }
    }

    private void lookOnce() {
        try (Connection another =
                DriverManager.getConnection(source.getJdbcUrl(), source.getUsername(), source.getPassword())) {
            LOG.debug("The store can be reached: {}", another);
        } catch (SQLException e) {
            if (e.getErrorCode() == IN_USE) letGo();
        }
    }
}
