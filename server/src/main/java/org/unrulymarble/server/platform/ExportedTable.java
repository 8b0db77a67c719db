package org.unrulymarble.server.platform;

import java.io.IOException;
import java.util.UUID;

/** What of a class goes out as a table for a spreadsheet. */
public interface ExportedTable {

    /** Such as {@code results.csv}. */
    String fileName();

    /** @param pupilId only what is of this pupil; null for the whole class */
    void write(UUID classId, UUID pupilId, Appendable to) throws IOException;
}
