package org.unrulymarble.server.audit;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.server.platform.Csv;
import org.unrulymarble.server.platform.FileAnswer;

/** The audit on screen and as a file, for administrators alone (account's SecurityConfig). */
@RestController
@RequestMapping("/api/audit")
class AuditController {

    private static final int MOST = 500;

    private final Audit audit;

    AuditController(Audit audit) {
        this.audit = audit;
    }

    /** Newest first, those before the number of the last one that was seen. */
    @GetMapping
    List<Audit.AuditEntry> entries(
            @RequestParam(defaultValue = "9223372036854775807") long before,
            @RequestParam(defaultValue = "100") int most) {
        new Checks().range("most", most, 1, MOST).done();
        return audit.entries(before, most);
    }

    /** All of it, newest first. */
    @GetMapping("/audit.csv")
    void file(HttpServletResponse response) throws IOException {
        FileAnswer.begin(response, "audit.csv");
        try (CSVPrinter to =
                Csv.printer(response.getWriter(), List.of("number", "at", "account", "address", "kind", "about"))) {
            long before = Long.MAX_VALUE;
            for (List<Audit.AuditEntry> some = audit.entries(before, MOST);
                    !some.isEmpty();
                    some = audit.entries(before, MOST)) {
                for (Audit.AuditEntry e : some)
                    to.printRecord(
                            e.number(),
                            Instant.ofEpochMilli(e.atMs()),
                            e.accountId(),
                            e.address(),
                            e.kind(),
                            e.about());
                before = some.get(some.size() - 1).number();
            }
        }
    }
}
