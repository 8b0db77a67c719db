package org.unrulymarble.server.disk;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/** {@code ./marble backup} and {@code ./marble restore FILE}, without a server. */
public final class Commands {

    /** What whoever started the program may ask of it instead of a server. */
    public static final Set<String> WORDS = Set.of("backup", "restore");

    private static final long ANSWER_WITHIN_SEC = 600;

    private final StoreFile store;
    private final Map<String, String> environment;
    private final Clock clock;
    private final PrintStream out;

    public Commands(Map<String, String> environment, PrintStream out) {
        this(StoreFile.of(environment), environment, Clock.systemDefaultZone(), out);
    }

    Commands(StoreFile store, Map<String, String> environment, Clock clock, PrintStream out) {
        this.store = store;
        this.environment = environment;
        this.clock = clock;
        this.out = out;
    }

    /** @return 0 when it was done */
    public int run(List<String> words) {
        try {
            if (words.get(0).equals("backup")) return backup();
            return restore(words);
        } catch (BackupFile.Bad e) {
            out.println("That cannot be done: " + e.getMessage() + ".");
        } catch (SQLException | IOException e) {
            out.println("That did not work: " + e.getMessage());
        }
        return 1;
    }

    private int backup() throws SQLException, IOException {
        if (!Files.exists(store.file())) {
            out.println("There is no data in " + store.folder() + " yet.");
            return 1;
        }
        if (store.isOpenElsewhere()) return byTheServer();
        try (Connection open = store.open(store.store())) {
            Backups.Made made = store.backups(environment, clock).make(open);
            out.println(told(made.file(), made.manifest()));
        }
        store.rememberAfterStop();
        return 0;
    }

    static String told(Path file, BackupFile.Manifest manifest) {
        return "Made and read back: " + file + "\n" + manifest.rows("pupil") + " pupils, " + manifest.rows("attempt")
                + " results, " + manifest.rows("lesson") + " lessons, " + manifest.rows("account") + " accounts.";
    }

    /** The server that has the data open is asked by a file, since whoever may write there may ask. */
    private int byTheServer() throws IOException {
        String key = UUID.randomUUID().toString();
        Path wish = store.folder().resolve(BackupService.WISH);
        Path answer = store.folder().resolve(BackupService.ANSWER + key);
        Files.writeString(wish, key);
        out.println("The server is running; it makes the backup ...");
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(ANSWER_WITHIN_SEC);
        while (!Files.exists(answer)) {
            if (System.nanoTime() > until) {
                Files.deleteIfExists(wish);
                out.println("The server did not answer. Is it an older version?");
                return 1;
            }
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(200));
        }
        List<String> lines = Files.readAllLines(answer);
        Files.deleteIfExists(answer);
        lines.subList(1, lines.size()).forEach(out::println);
        return Integer.parseInt(lines.get(0));
    }

    private int restore(List<String> words) throws SQLException, IOException {
        if (words.size() < 2) {
            out.println(
                    "Which backup? ./marble restore FILE shows what would change; with --yes after it, it is done.");
            return 2;
        }
        if (Files.exists(store.file()) && store.isOpenElsewhere()) {
            out.println("A server is running on the data in " + store.folder() + ". Stop it first.");
            return 1;
        }
        Path file = Path.of(words.get(1));
        String phrase = environment.get("MARBLE_BACKUP_PASSPHRASE");
        char[] passphrase = phrase == null || phrase.isEmpty() ? null : phrase.toCharArray();
        BackupFile.Manifest manifest = BackupFile.verify(file, passphrase);
        out.println("The backup is good. It was made " + manifest.made() + ".");
        show(manifest);
        store.rememberAfterStop();
        if (!words.contains("--yes")) {
            out.println("Nothing was changed. To do it: ./marble restore " + file + " --yes");
            return 0;
        }
        String stamp = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss").format(LocalDateTime.now(clock));
        String fresh = store.store() + "-restoring-" + stamp;
        Restoring.into(store, fresh, file, passphrase, manifest);
        Path aside = store.folder().resolve(store.store() + "-before-" + stamp + ".mv.db");
        if (Files.exists(store.file())) {
            Files.move(store.file(), aside, StandardCopyOption.ATOMIC_MOVE);
            out.println("The data from before is kept aside: " + aside);
        }
        Files.move(store.folder().resolve(fresh + ".mv.db"), store.file(), StandardCopyOption.ATOMIC_MOVE);
        OwnFiles.close(store.file());
        StoreSums.remember(store.file(), true);
        Files.writeString(
                store.folder().resolve(BackupService.RESTORED),
                file.getFileName().toString());
        out.println("Restored. Start the server as usual.");
        return 0;
    }

    private void show(BackupFile.Manifest manifest) throws SQLException, IOException {
        boolean there = Files.exists(store.file());
        out.printf("%-18s%12s%12s%n", "", "now", "then");
        try (Connection open = there ? readable() : null) {
            for (BackupFile.Table table : manifest.tables()) {
                String now = open == null ? "-" : now(open, table.name());
                out.printf("%-18s%12s%12d%n", table.name(), now, table.rows());
            }
        }
    }

    /** Null where the file of today cannot even be opened: that may be why somebody restores. */
    private Connection readable() {
        try {
            return store.wrong() == null ? store.open(store.store()) : null;
        } catch (SQLException | IOException e) {
            return null;
        }
    }

    private static String now(Connection open, String table) {
        try {
            return Long.toString(BackupFile.count(open, table));
        } catch (SQLException e) {
            return "-";
        }
    }
}
