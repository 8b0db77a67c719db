package org.unrulymarble.server.disk;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.atomic.AtomicLong;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionExecution;
import org.springframework.transaction.TransactionExecutionListener;

/**
 * Acknowledged means forced to the disk. H2 hands what is committed to the operating system, which may keep it for half a minute; so whoever has
 * committed a change waits here until the store's file was forced after it. All that wait at the same time share one force. A store that forces by
 * itself, as PostgreSQL does, is left alone.
 */
@Component
class Forced implements TransactionExecutionListener {

    private final DataSource source;
    private final AtomicLong committed = new AtomicLong();
    private final Object oneAtATime = new Object();
    /** Up to which commit the file is known to hold it. */
    private long forced;

    private Boolean needed;

    Forced(DataSource source) {
        this.source = source;
    }

    /** Runs in the transaction's own thread, before whoever asked for it is answered. */
    @Override
    public void afterCommit(TransactionExecution transaction, Throwable failure) {
        if (failure == null && !transaction.isReadOnly()) force(committed.incrementAndGet());
    }

    /**
     * What H2 writes by itself is forced soon too: it writes over a part of the file that it has not needed for a second (RETENTION_TIME), and what took
     * that part's place must be on the disk by then.
     */
    @Scheduled(fixedDelay = 400)
    void keepUp() {
        force(committed.incrementAndGet());
    }

    /**
     * On the connection that has just committed, if one has. It is there before anybody waits for the others: whoever holds them all may wait for the one
     * who forces.
     */
    private void force(long mine) {
        Connection here = DataSourceUtils.getConnection(source);
        try {
            force(mine, here);
        } finally {
            DataSourceUtils.releaseConnection(here, source);
        }
    }

    private void force(long mine, Connection here) {
        synchronized (oneAtATime) {
            if (forced >= mine) return;
            long all = committed.get();
            if (isNeeded(here)) checkpoint(here);
            forced = all;
        }
    }

    private static void checkpoint(Connection here) {
        try (Statement force = here.createStatement()) {
            force.execute("checkpoint sync");
        } catch (SQLException e) {
            throw new NotForced(e);
        }
    }

    private boolean isNeeded(Connection here) {
        if (needed == null)
            try {
                needed = here.getMetaData().getDatabaseProductName().equals("H2");
            } catch (SQLException e) {
                throw new NotForced(e);
            }
        return needed;
    }

    /** It is committed, but whether the disk has it is not known: nobody is told that it is kept. */
    static final class NotForced extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NotForced(Exception cause) {
            super("not forced to the disk", cause);
        }
    }
}
