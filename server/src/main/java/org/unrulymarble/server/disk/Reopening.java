package org.unrulymarble.server.disk;

import com.zaxxer.hikari.HikariDataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.unrulymarble.server.platform.StoreFailure;

/** A store that could not write closes itself so as to stay whole; the next request opens it again as it was last forced. */
@Component
class Reopening {

    private static final Logger LOG = LoggerFactory.getLogger(Reopening.class);

    private final HikariDataSource source;

    Reopening(HikariDataSource source) {
        this.source = source;
    }

    @EventListener
    void reopen(StoreFailure.Happened happened) {
        LOG.warn("The store could not reach its disk; it is opened anew with the next request.");
        if (source.getHikariPoolMXBean() != null) source.getHikariPoolMXBean().softEvictConnections();
    }
}
