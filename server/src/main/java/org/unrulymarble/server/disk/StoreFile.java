package org.unrulymarble.server.disk;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Clock;
import java.util.Map;

/** The data of one school: a folder, in it one file, its checksums and its backups. */
public final class StoreFile {

    static final String USER = "marble";

    private final Path folder;
    private final String store;

    public StoreFile(Path folder, String store) {
        this.folder = folder.toAbsolutePath().normalize();
        this.store = store;
    }

    /** The folder and the store that the environment names, as {@code ./marble run} has them. */
    static StoreFile of(Map<String, String> environment) {
        return new StoreFile(Path.of(environment.getOrDefault("MARBLE_DATA", "./data")), "marble");
    }

    Path folder() {
        return folder;
    }

    String store() {
        return store;
    }

    Path file() {
        return folder.resolve(store + ".mv.db");
    }

    Backups backups(Map<String, String> environment, Clock clock) {
        String second = environment.get("MARBLE_BACKUP_SECOND");
        String phrase = environment.get("MARBLE_BACKUP_PASSPHRASE");
        return new Backups(
                folder.resolve("backups"),
                second == null || second.isBlank() ? null : Path.of(second),
                store,
                phrase == null || phrase.isEmpty() ? null : phrase.toCharArray(),
                clock);
    }

    /** Opens it as the only one. @param name of the file without its ending */
    Connection open(String name) throws SQLException, IOException {
        if (Files.exists(file()) && name.equals(store)) StoreSums.remember(file(), false);
        return DriverManager.getConnection(
                "jdbc:h2:file:" + folder.resolve(name) + ";DB_CLOSE_ON_EXIT=FALSE", USER, "");
    }

    /**
     * Looks at everything that would keep a server from starting, before it opens the file.
     *
     * @throws CannotStart with one sentence for whoever starts it
     */
    public void checkBeforeStart(Map<String, String> environment) {
        try {
            OwnFiles.folder(folder);
        } catch (IOException e) {
            throw new CannotStart("The data folder " + folder + " is not there and cannot be made.");
        }
        if (!Files.isDirectory(folder)) throw new CannotStart(folder + " is to be the data folder, but it is a file.");
        if (!Files.isWritable(folder) || Files.exists(file()) && !Files.isWritable(file()))
            throw new CannotStart(
                    "The data in " + folder
                            + " may only be read: give this account the right to write there, or set MARBLE_DATA to another folder.");
        Backups backups = backups(environment, Clock.systemDefaultZone());
        if (!Files.exists(file())) {
            if (backups.kept().isEmpty()) return;
            throw new CannotStart("The data file " + file() + " is missing, but there are backups of it. "
                    + restore(backups) + " To begin with nothing, move the folder " + backups.folder() + " away.");
        }
        try {
            OwnFiles.close(file());
            if (isOpenElsewhere())
                throw new CannotStart("Another server is running on the data in " + folder
                        + ". Stop it, or set MARBLE_DATA to another folder.");
            String wrong = wrong();
            if (wrong == null) StoreSums.remember(file(), false);
            else
                throw new CannotStart("The data file " + file() + " is damaged: " + wrong + ". Nothing was changed. "
                        + restore(backups) + " Put there by hand on purpose? Then remove "
                        + StoreSums.beside(file()).getFileName() + " and start again.");
        } catch (IOException e) {
            throw new CannotStart("The data file " + file() + " cannot be read: " + e.getMessage() + ".");
        }
    }

    /** What is wrong with the file, or null. */
    String wrong() throws IOException {
        if (Files.size(file()) == 0) return "it is empty";
        byte[] head = new byte[4];
        try (RandomAccessFile in = new RandomAccessFile(file().toFile(), "r")) {
            if (in.length() < head.length) return "it is cut off";
            in.readFully(head);
        }
        if (!new String(head, StandardCharsets.ISO_8859_1).equals("H:2,")) return "it does not hold what it should";
        return StoreSums.wrong(file());
    }

    private static String restore(Backups backups) {
        return backups.newestGood()
                .map(k -> "The newest good backup is " + backups.folder().resolve(k.name())
                        + "; bring it back with: ./marble restore "
                        + backups.folder().resolve(k.name()) + ".")
                .orElse("There is no good backup in " + backups.folder() + ".");
    }

    boolean isOpenElsewhere() throws IOException {
        try (RandomAccessFile file = new RandomAccessFile(file().toFile(), "rw");
                FileLock lock = file.getChannel().tryLock()) {
            return lock == null;
        } catch (OverlappingFileLockException e) {
            return true;
        }
    }

    /** Remembers what the file is, once nobody has it open any more. */
    public void rememberAfterStop() {
        try {
            if (Files.exists(file()) && !isOpenElsewhere()) StoreSums.remember(file(), true);
        } catch (IOException e) {
            System.err.println("The checksums of " + file() + " could not be written: " + e.getMessage());
        }
    }

    /** Something that whoever started the server has to mend first; the message says it all. */
    public static final class CannotStart extends RuntimeException {
        private static final long serialVersionUID = 1L;

        public CannotStart(String message) {
            super(message);
        }
    }
}
