package org.unrulymarble.server.disk;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.temporal.IsoFields;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** The backups of one store in their folder: made, verified, listed and, after seven days and eight weeks, taken away. Works without a server too. */
final class Backups {

    static final int DAYS = 7;
    static final int WEEKS = 8;
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");
    private static final String END = ".backup.zip";

    private final Path folder;
    private final Path second;
    private final String store;
    private final char[] passphrase;
    private final Clock clock;

    /**
     * @param second another folder that gets a copy of each, or null
     * @param store the store's name, with which the files' names begin
     * @param passphrase or null for none
     */
    Backups(Path folder, Path second, String store, char[] passphrase, Clock clock) {
        this.folder = folder;
        this.second = second;
        this.store = store;
        this.passphrase = passphrase;
        this.clock = clock;
    }

    /**
     * One backup as it lies there.
     *
     * @param bytes how long the file is
     * @param until the day on which it is taken away at the latest
     */
    record Kept(String name, Instant made, long bytes, LocalDate until) {}

    /** @param manifest what is in it, compared with the store at that moment and read back from the file */
    record Made(Path file, BackupFile.Manifest manifest) {}

    /** Where they are. */
    Path folder() {
        return folder;
    }

    /**
     * Makes one and reads it back.
     *
     * @throws BackupFile.Bad where what lies on the disk is not what was in the store; nothing is left then
     */
    Made make(Connection open) throws SQLException, IOException {
        OwnFiles.folder(folder);
        Instant now = clock.instant();
        Path file =
                folder.resolve(store + "-" + STAMP.format(LocalDateTime.ofInstant(now, ZoneId.systemDefault())) + END);
        Path unfinished = folder.resolve(file.getFileName() + ".part");
        try {
            BackupFile.write(open, unfinished, now, passphrase);
            BackupFile.Manifest manifest = BackupFile.verify(unfinished, passphrase);
            Files.move(unfinished, file, StandardCopyOption.ATOMIC_MOVE);
            copyToSecond(file);
            prune();
            return new Made(file, manifest);
        } finally {
            Files.deleteIfExists(unfinished);
        }
    }

    private void copyToSecond(Path file) throws IOException {
        if (second == null) return;
        OwnFiles.folder(second);
        Path copy = second.resolve(file.getFileName());
        Files.deleteIfExists(copy);
        OwnFiles.create(copy);
        Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.COPY_ATTRIBUTES);
        BackupFile.verify(copy, passphrase);
    }

    /** Newest first. */
    List<Kept> kept() {
        if (!Files.isDirectory(folder)) return List.of();
        try (Stream<Path> files = Files.list(folder)) {
            List<Kept> all = new ArrayList<>();
            for (Path file : files.toList()) {
                Optional<LocalDateTime> made = madeAt(file);
                if (made.isPresent())
                    all.add(new Kept(
                            file.getFileName().toString(),
                            made.get().atZone(ZoneId.systemDefault()).toInstant(),
                            Files.size(file),
                            made.get().toLocalDate().plusWeeks(WEEKS)));
            }
            all.sort(Comparator.comparing(Kept::made).reversed());
            return all;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The newest that is what it was when it was made. */
    Optional<Kept> newestGood() {
        return kept().stream().filter(k -> isGood(k.name())).findFirst();
    }

    boolean isGood(String name) {
        try {
            BackupFile.verify(folder.resolve(name), passphrase);
            return true;
        } catch (BackupFile.Bad e) {
            return false;
        }
    }

    private Optional<LocalDateTime> madeAt(Path file) {
        String name = file.getFileName().toString();
        if (!name.startsWith(store + "-") || !name.endsWith(END)) return Optional.empty();
        try {
            return Optional.of(
                    LocalDateTime.parse(name.substring(store.length() + 1, name.length() - END.length()), STAMP));
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    /** Keeps the last of each of seven days and of each of eight weeks that have one, and the newest anyhow. */
    void prune() throws IOException {
        LocalDate today = LocalDate.now(clock);
        Set<LocalDate> days = new HashSet<>();
        Set<String> weeks = new HashSet<>();
        boolean newest = true;
        for (Kept one : kept()) {
            LocalDate day = LocalDate.ofInstant(one.made(), ZoneId.systemDefault());
            String week = day.get(IsoFields.WEEK_BASED_YEAR) + " " + day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR);
            boolean firstOfDay = day.isAfter(today.minusDays(DAYS)) && days.add(day);
            boolean firstOfWeek = day.isAfter(today.minusWeeks(WEEKS)) && weeks.add(week);
            if (!newest && !firstOfDay && !firstOfWeek) {
                Files.deleteIfExists(folder.resolve(one.name()));
                if (second != null) Files.deleteIfExists(second.resolve(one.name()));
            }
            newest = false;
        }
    }
}
