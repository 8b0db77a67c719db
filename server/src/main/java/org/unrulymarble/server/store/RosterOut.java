package org.unrulymarble.server.store;

import java.io.IOException;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.server.platform.ExportedTable;

/** The class list as a table. */
@Component
@Transactional(readOnly = true)
class RosterOut implements ExportedTable {

    private final ClassAccess access;

    RosterOut(ClassAccess access) {
        this.access = access;
    }

    @Override
    public String fileName() {
        return "roster.csv";
    }

    @Override
    public void write(UUID classId, UUID pupilId, Appendable to) throws IOException {
        RosterFile.write(access.see(classId), to);
    }
}
