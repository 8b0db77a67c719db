package org.unrulymarble.server.disk;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * What is done once a day, by night where the machine is on by night, else soon after it was switched on: the file is looked over, a backup made, and what
 * was erased taken out of the file.
 */
@Component
class NightWatch {

    private static final Logger LOG = LoggerFactory.getLogger(NightWatch.class);
    private static final LocalTime NIGHT = LocalTime.of(3, 0);
    private static final Duration NOT_LATER = Erasures.GONE_WITHIN.minusHours(4);

    private final BackupService backups;
    private final Backups kept;
    private final Compaction compaction;
    private final Erasures erasures;
    private final StoreFile file;
    private final Clock clock;
    private final boolean on;
    /** What was found wrong with the file, or null. */
    private volatile String wrong;

    NightWatch(
            BackupService backups,
            Backups kept,
            Compaction compaction,
            Erasures erasures,
            StoreFile file,
            Clock clock,
            @Value("${marble.nightly}") boolean on,
            @Value(DiskConfig.ELSEWHERE) boolean elsewhere) {
        this.backups = backups;
        this.kept = kept;
        this.compaction = compaction;
        this.erasures = erasures;
        this.file = file;
        this.clock = clock;
        this.on = on && !elsewhere;
    }

    String wrong() {
        return wrong;
    }

    @Scheduled(fixedDelayString = "PT10M", initialDelayString = "PT3M")
    void look() {
        if (!on) return;
        LocalDate today = LocalDate.now(clock);
        boolean due = kept.kept().stream()
                .noneMatch(k ->
                        LocalDate.ofInstant(k.made(), ZoneId.systemDefault()).equals(today));
        if (due && !LocalTime.now(clock).isBefore(NIGHT)) night();
        else if (erasures.waiting()
                .filter(w -> w.plus(NOT_LATER).isBefore(clock.instant()))
                .isPresent()) compaction.run();
    }

    void night() {
        try {
            wrong = file.wrong();
            if (wrong != null) {
                // What is damaged must not take the place of what is good.
                LOG.error(
                        "The data file {} is damaged: {}. Stop the server and restore the newest good backup{}.",
                        file.file(),
                        wrong,
                        kept.newestGood()
                                .map(k -> ", " + kept.folder().resolve(k.name()))
                                .orElse(""));
                return;
            }
            backups.make(null);
            if (erasures.waiting().isPresent()) compaction.run();
            else StoreSums.remember(file.file(), false);
        } catch (BackupFile.Bad | IOException e) {
            LOG.error("The nightly backup was not made: {}", e.getMessage());
        }
    }
}
