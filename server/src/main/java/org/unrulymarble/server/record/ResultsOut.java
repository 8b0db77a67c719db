package org.unrulymarble.server.record;

import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.util.Iterator;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.server.platform.ExportedTable;
import org.unrulymarble.server.store.ClassAccess;

/** Results as a table, row by row, so that a class of many years takes no more memory than one of a week. */
@Component
@Transactional(readOnly = true)
class ResultsOut implements ExportedTable {

    /** So many rows are held at a time. */
    static final int HELD = 500;

    private final AttemptRows rows;
    private final ClassAccess access;
    private final EntityManager store;

    ResultsOut(AttemptRows rows, ClassAccess access, EntityManager store) {
        this.rows = rows;
        this.access = access;
        this.store = store;
    }

    @Override
    public String fileName() {
        return "results.csv";
    }

    @Override
    public void write(UUID classId, UUID pupilId, Appendable to) throws IOException {
        Map<String, String> names = access.see(classId).everybody().stream()
                .collect(Collectors.toMap(p -> p.id().toString(), p -> p.name()));
        CSVPrinter printer = ResultsFile.printer(to);
        try (Stream<AttemptRow> all = pupilId == null
                ? rows.streamByClassIdAndStruckFalseOrderByOnDayAscSetNumberAscIdAsc(classId)
                : rows.streamByPupilIdAndStruckFalseOrderByOnDayAscSetNumberAscIdAsc(pupilId)) {
            int written = 0;
            for (Iterator<AttemptRow> each = all.iterator(); each.hasNext(); ) {
                ResultsFile.print(printer, each.next().attempt(), names);
                if (++written % HELD == 0) store.clear();
            }
        }
        printer.flush();
    }
}
