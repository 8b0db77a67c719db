package org.unrulymarble.server.disk;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.h2.mvstore.MVStoreTool;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Writes the file anew with nothing in it but what is there; whoever asks for something meanwhile waits a few seconds. */
@Service
class Compaction {

    private static final Logger LOG = LoggerFactory.getLogger(Compaction.class);
    private static final long IDLE_WITHIN_SEC = 10;

    private final HikariDataSource source;
    private final StoreFile file;
    private final Erasures erasures;
    private final Clock clock;

    Compaction(HikariDataSource source, StoreFile file, Erasures erasures, Clock clock) {
        this.source = source;
        this.file = file;
        this.erasures = erasures;
        this.clock = clock;
    }

    /** @return whether it was done; not where somebody would not let go of the store, or it is none of a file */
    synchronized boolean run() {
        if (source.getJdbcUrl().startsWith("jdbc:h2:mem:")
                || !source.getJdbcUrl().startsWith("jdbc:h2:")) return false;
        Instant began = clock.instant();
        HikariPoolMXBean pool = source.getHikariPoolMXBean();
        pool.suspendPool();
        try {
            pool.softEvictConnections();
            long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(IDLE_WITHIN_SEC);
            while (pool.getActiveConnections() > 0) {
                if (System.nanoTime() > until) return false;
                LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(20));
                pool.softEvictConnections();
            }
            try (Connection alone = DriverManager.getConnection(
                            source.getJdbcUrl(), source.getUsername(), source.getPassword());
                    Statement close = alone.createStatement()) {
                close.execute("shutdown");
            }
            writeAnew();
            StoreSums.remember(file.file(), false);
            erasures.gone(began);
            return true;
        } catch (SQLException | IOException e) {
            LOG.warn("The data file could not be written anew: {}", e.getMessage());
            return false;
        } finally {
            pool.resumePool();
        }
    }

    /** H2's own compacting moves only what is worth moving, and leaves what was erased where it lies among what is not. */
    private void writeAnew() throws IOException {
        Path fresh = file.folder().resolve(file.store() + ".anew");
        Files.copy(file.file(), fresh, StandardCopyOption.REPLACE_EXISTING);
        MVStoreTool.compact(fresh.toString(), false);
        OwnFiles.close(fresh);
        try (FileChannel written = FileChannel.open(fresh, StandardOpenOption.WRITE)) {
            written.force(true);
        }
        Files.move(fresh, file.file(), StandardCopyOption.ATOMIC_MOVE);
    }
}
