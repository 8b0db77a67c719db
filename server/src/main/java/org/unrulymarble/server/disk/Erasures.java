package org.unrulymarble.server.disk;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** A row that was erased stays readable in the file until the file is written anew; this knows since when one waits for that. */
@Service
public class Erasures {

    /** Within this time what was erased is gone from the file too. */
    static final Duration GONE_WITHIN = Duration.ofHours(24);

    private final Path since;
    private final Backups backups;
    private final Clock clock;

    Erasures(StoreFile file, Backups backups, Clock clock) {
        this.since = file.folder().resolve(file.store() + ".erased");
        this.backups = backups;
        this.clock = clock;
    }

    /**
     * Where what was erased can still be found.
     *
     * @param goneByMs when it has left the data file at the latest
     * @param backups files that still hold it
     * @param untilMs when the last of them is taken away; null where there is none
     */
    public record Left(
            long goneByMs, List<String> backups, @Nullable Long untilMs) {}

    /** Remembers that something was erased, and says where it is still to be found. */
    public Left erased() {
        try {
            OwnFiles.folder(since.getParent());
            if (!Files.exists(since)) Files.writeString(since, Long.toString(clock.millis()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        List<Backups.Kept> all = backups.kept();
        Long until = all.stream()
                .map(k -> k.until()
                        .plusDays(1)
                        .atStartOfDay(clock.getZone())
                        .toInstant()
                        .toEpochMilli())
                .max(Long::compare)
                .orElse(null);
        return new Left(
                waiting().orElse(clock.instant()).plus(GONE_WITHIN).toEpochMilli(),
                all.stream().map(Backups.Kept::name).toList(),
                until);
    }

    /** Since when something waits to leave the file. */
    Optional<Instant> waiting() {
        try {
            return Files.exists(since)
                    ? Optional.of(Instant.ofEpochMilli(
                            Long.parseLong(Files.readString(since).strip())))
                    : Optional.empty();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The file was written anew after {@code before}. */
    void gone(Instant before) throws IOException {
        if (waiting().filter(w -> w.isAfter(before)).isEmpty()) Files.deleteIfExists(since);
    }
}
