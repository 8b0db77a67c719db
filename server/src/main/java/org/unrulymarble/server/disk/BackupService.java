package org.unrulymarble.server.disk;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.UUID;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.unrulymarble.server.audit.Audit;

/** Backups of a running server: by a press, by {@code ./marble backup}, and by night. */
@Service
class BackupService {

    /** Written by {@code ./marble backup} beside the data while a server has it open; holds a key. */
    static final String WISH = "backup-wanted";
    /** Answers the wish with this key: in the first line 0 if it was made, then what to say. */
    static final String ANSWER = "backup-answer-";
    /** Written by a restore for the audit of the next server. */
    static final String RESTORED = "restored";

    private static final Logger LOG = LoggerFactory.getLogger(BackupService.class);

    private final DataSource source;
    private final Backups backups;
    private final StoreFile file;
    private final Audit audit;
    private final boolean elsewhere;

    BackupService(
            DataSource source,
            Backups backups,
            StoreFile file,
            Audit audit,
            @Value(DiskConfig.ELSEWHERE) boolean elsewhere) {
        this.source = source;
        this.backups = backups;
        this.file = file;
        this.audit = audit;
        this.elsewhere = elsewhere;
    }

    /**
     * Makes one and reads it back.
     *
     * @param accountId who asked for it, or null for the server itself
     * @throws BackupFile.Bad with the reason
     */
    synchronized Backups.Made make(UUID accountId) {
        Backups.Made made = made();
        audit.note(accountId, Audit.Kind.BACKUP_MADE, made.file().getFileName());
        return made;
    }

    private Backups.Made made() {
        if (elsewhere)
            throw new BackupFile.Bad(
                    "the data is in PostgreSQL, which has its own way: pg_dump, see docs/operations.md");
        try (Connection open = source.getConnection()) {
            return backups.make(open);
        } catch (IOException e) {
            throw new BackupFile.Bad("the folder " + backups.folder() + " did not take it: " + e.getMessage(), e);
        } catch (SQLException e) {
            throw new BackupFile.Bad("the store could not be read", e);
        }
    }

    @Scheduled(fixedDelayString = "PT1S")
    void ifWanted() {
        Path wish = file.folder().resolve(WISH);
        if (elsewhere || !Files.exists(wish)) return;
        try {
            String key = UUID.fromString(Files.readString(wish).strip()).toString();
            Files.delete(wish);
            String answer;
            try {
                Backups.Made made = make(null);
                answer = "0\n" + Commands.told(made.file(), made.manifest());
            } catch (BackupFile.Bad e) {
                answer = "1\nThat cannot be done: " + e.getMessage() + ".";
            }
            Path unfinished = file.folder().resolve(ANSWER + key + ".part");
            Files.writeString(unfinished, answer);
            Files.move(unfinished, file.folder().resolve(ANSWER + key), StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException | IllegalArgumentException e) {
            LOG.warn("A wish for a backup could not be answered: {}", e.getMessage());
        }
    }

    @EventListener(ApplicationReadyEvent.class)
    void afterStart() {
        if (elsewhere) return;
        try {
            OwnFiles.close(file.file());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        afterRestore();
    }

    private void afterRestore() {
        Path told = file.folder().resolve(RESTORED);
        if (!Files.exists(told)) return;
        try {
            String name = Files.readString(told).strip();
            audit.note(null, Audit.Kind.RESTORED, name.substring(0, Math.min(name.length(), 80)));
            Files.delete(told);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
