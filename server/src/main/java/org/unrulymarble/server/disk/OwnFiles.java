package org.unrulymarble.server.disk;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;

/** Files and folders that hold children's data: for the account alone under which the server runs. */
final class OwnFiles {

    private static final boolean POSIX =
            Path.of(".").getFileSystem().supportedFileAttributeViews().contains("posix");

    private OwnFiles() {}

    /** An empty file that nobody else can read from its first byte on. */
    static void create(Path file) throws IOException {
        if (POSIX)
            Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        else Files.createFile(file);
    }

    /** A folder for oneself; one that is there already is left as it is. */
    static void folder(Path folder) throws IOException {
        if (Files.isDirectory(folder)) return;
        Files.createDirectories(folder.toAbsolutePath().getParent());
        try {
            if (POSIX)
                Files.createDirectory(
                        folder, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx------")));
            else Files.createDirectory(folder);
        } catch (FileAlreadyExistsException e) {
            // Somebody else was faster; that will do.
        }
    }

    /** Takes away whatever others could do with a file that is there. */
    static void close(Path file) throws IOException {
        if (POSIX && Files.exists(file))
            Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
    }
}
