package org.unrulymarble.server.record;

import jakarta.persistence.EntityManager;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.platform.Words;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.SchoolClass;

/** A class's results out as CSV and in again. */
@RestController
@RequestMapping("/api/classes/{id}")
class ResultsController {

    /** So many rows are held at a time when a class is written. */
    private static final int HELD = 500;

    private final AttemptRows rows;
    private final RecordService records;
    private final ClassAccess access;
    private final LadderService ladders;
    private final EntityManager store;
    private final Words words;

    ResultsController(
            AttemptRows rows,
            RecordService records,
            ClassAccess access,
            LadderService ladders,
            EntityManager store,
            Words words) {
        this.rows = rows;
        this.records = records;
        this.access = access;
        this.ladders = ladders;
        this.store = store;
        this.words = words;
    }

    /** A file as it was read in the browser; a dry run only says what it would bring. */
    record File(String text, Boolean dryRun) {
        File {
            new Checks().required("text", text).required("dryRun", dryRun).done();
        }
    }

    /** @param must what the cell must be, ready to be shown */
    record BadCell(long line, String column, String must) {}

    /**
     * What a file brings, or would bring.
     *
     * @param added results that are not here yet; {@code same} those that are, by their id, and are left alone
     * @param kept whether anything was kept: never from a dry run, never from a file with a bad line
     */
    record Brought(int added, int same, List<BadCell> bad, boolean kept) {}

    /** Row by row, so that a class of many years takes no more memory than one of a week. */
    @GetMapping("/results.csv")
    @Transactional(readOnly = true)
    void write(@PathVariable UUID id, HttpServletResponse response) throws IOException {
        SchoolClass c = access.see(id);
        Map<String, String> names =
                c.pupils().stream().collect(Collectors.toMap(p -> p.id().toString(), p -> p.name()));
        response.setContentType("text/csv; charset=UTF-8");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(c.name() + " results.csv", StandardCharsets.UTF_8)
                        .build()
                        .toString());
        Writer to = response.getWriter();
        CSVPrinter printer = ResultsFile.printer(to);
        try (Stream<AttemptRow> all = rows.streamByClassIdAndStruckFalseOrderByOnDayAscSetNumberAsc(id)) {
            int written = 0;
            for (Iterator<AttemptRow> each = all.iterator(); each.hasNext(); ) {
                ResultsFile.print(printer, each.next().attempt(), names);
                if (++written % HELD == 0) store.clear();
            }
        }
        printer.flush();
    }

    private Set<String> known(List<Attempt> attempts) {
        List<UUID> ids = attempts.stream().map(a -> UUID.fromString(a.id())).toList();
        return ids.isEmpty()
                ? new HashSet<>()
                : rows.known(ids).stream().map(UUID::toString).collect(Collectors.toCollection(HashSet::new));
    }

    /** Says what a file would bring, and unless that is all, brings it: all of it or nothing. */
    @PostMapping("/results")
    @Transactional
    Brought read(@PathVariable UUID id, @RequestBody File file) {
        SchoolClass c = access.teach(id);
        Map<String, String> pupils = new HashMap<>();
        Set<String> twice = new HashSet<>();
        c.pupils().forEach(p -> {
            if (pupils.put(p.name(), p.id().toString()) != null) twice.add(p.name());
        });
        twice.forEach(pupils::remove);
        ResultsFile.Read read = ResultsFile.read(file.text(), pupils, ladders.catalogue());
        Set<String> known = rows.idsOfClass(id).stream().map(UUID::toString).collect(Collectors.toSet());
        // An id that stands for a result of another class is that result's: here it is a new one.
        Set<String> others = known(read.attempts());
        others.removeAll(known);
        List<Attempt> fresh = read.attempts().stream()
                .map(a -> others.contains(a.id()) ? a.withId(UUID.randomUUID().toString()) : a)
                .filter(a -> known.add(a.id()))
                .toList();
        boolean keep = !file.dryRun() && read.bad().isEmpty();
        if (keep) records.add(id, fresh);
        return new Brought(
                fresh.size(),
                read.attempts().size() - fresh.size(),
                read.bad().stream()
                        .map(b -> new BadCell(b.line(), b.fault().field(), words.must(b.fault())))
                        .toList(),
                keep);
    }
}
