package org.unrulymarble.server.disk;

import java.io.IOException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** How much room the disk has for the data. Below the last reserve nothing new is taken, so that what is there stays whole and readable. */
@Component("room")
public class DiskRoom implements HealthIndicator {

    private static final long MB = 1_000_000;
    private static final long LOW_MB = 1_000;
    private static final double LOW_SHARE = 0.05;

    private final StoreFile file;
    private final FreeSpace disk;
    private final NightWatch night;
    private final long reserveMb;

    /** @param reserveMb what is left for what the server must write by itself */
    DiskRoom(StoreFile file, FreeSpace disk, NightWatch night, @Value("${marble.disk-reserve-mb}") long reserveMb) {
        this.file = file;
        this.disk = disk;
        this.night = night;
        this.reserveMb = reserveMb;
    }

    /**
     * @param low whether somebody should make room soon
     * @param full whether nothing new is taken
     */
    public record DiskState(long freeMb, boolean low, boolean full) {}

    public DiskState now() {
        try {
            FreeSpace.Of of = disk.at(file.folder());
            long free = of.freeBytes();
            boolean low = free < LOW_MB * MB || free < LOW_SHARE * of.totalBytes();
            return new DiskState(free / MB, low, free < reserveMb * MB);
        } catch (IOException e) {
            // Without a folder there is nothing to run out of: the store is in memory, as in tests.
            return new DiskState(Long.MAX_VALUE / MB, false, false);
        }
    }

    @Override
    public Health health() {
        DiskState room = now();
        if (room.full())
            return Health.down()
                    .withDetail(
                            "why",
                            "no room left on the disk: " + room.freeMb() + " MB free, " + reserveMb + " MB are needed")
                    .build();
        if (night.wrong() != null)
            return Health.down()
                    .withDetail("why", "the data file is damaged: " + night.wrong())
                    .build();
        return Health.up().build();
    }
}
