package org.unrulymarble.server.disk;

import java.io.IOException;
import java.nio.file.Path;

/** Asks the machine how much room there is. */
interface FreeSpace {

    /** Of the disk on which a folder lies. */
    record Of(long freeBytes, long totalBytes) {}

    Of at(Path folder) throws IOException;
}
