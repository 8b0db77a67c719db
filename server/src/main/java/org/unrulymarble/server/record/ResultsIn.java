package org.unrulymarble.server.record;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.server.ladder.LadderService;
import org.unrulymarble.server.platform.Csv;
import org.unrulymarble.server.platform.Progress;
import org.unrulymarble.server.platform.Words;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.SchoolClass;

/** Results from a file. */
@Service
@Transactional
class ResultsIn {

    private final AttemptRows rows;
    private final RecordService records;
    private final ClassAccess access;
    private final LadderService ladders;
    private final Progress progress;
    private final Words words;

    ResultsIn(
            AttemptRows rows,
            RecordService records,
            ClassAccess access,
            LadderService ladders,
            Progress progress,
            Words words) {
        this.rows = rows;
        this.records = records;
        this.access = access;
        this.ladders = ladders;
        this.progress = progress;
        this.words = words;
    }

    /** A file as it was read in the browser; a dry run only says what it would bring. {@code key} names it to whoever asks how far it is, or null. */
    record File(String text, Boolean dryRun, UUID key) {
        File {
            new Checks().required("text", text).required("dryRun", dryRun).done();
        }
    }

    /**
     * What a file brings, or would bring.
     *
     * @param added results that are not here yet; {@code same} those that are, by their id, and are left alone
     * @param bad the first of what is wrong; {@code badInAll} how much is
     * @param kept whether anything was kept: never from a dry run, never from a file with a bad line
     */
    record Brought(int added, int same, List<Csv.BadCell> bad, int badInAll, boolean kept) {}

    /** Says what a file would bring, and unless that is all, brings it: all of it or nothing. */
    Brought read(UUID id, File file) {
        SchoolClass c = access.teach(id);
        Map<String, String> pupils = new HashMap<>();
        Set<String> twice = new HashSet<>();
        c.pupils().forEach(p -> {
            if (pupils.put(p.name(), p.id().toString()) != null) twice.add(p.name());
        });
        twice.forEach(pupils::remove);
        Csv.Read<Attempt> read = ResultsFile.read(file.text(), pupils, ladders.catalogue(), words);
        Set<String> known = rows.idsOfClass(id).stream().map(UUID::toString).collect(Collectors.toSet());
        // An id that stands for a result of another class is that result's: here it is a new one.
        Set<String> others = known(read.rows());
        others.removeAll(known);
        List<Attempt> fresh = read.rows().stream()
                .map(a -> others.contains(a.id()) ? a.withId(UUID.randomUUID().toString()) : a)
                .filter(a -> known.add(a.id()))
                .toList();
        boolean keep = !file.dryRun() && read.bad().isEmpty();
        if (keep) progress.during(file.key(), fresh.size(), far -> records.add(id, fresh, far));
        return new Brought(fresh.size(), read.rows().size() - fresh.size(), read.bad(), read.badInAll(), keep);
    }

    private Set<String> known(List<Attempt> attempts) {
        Set<String> there = new HashSet<>();
        for (int from = 0; from < attempts.size(); from += ResultsOut.HELD)
            rows.known(attempts.subList(from, Math.min(attempts.size(), from + ResultsOut.HELD)).stream()
                            .map(a -> UUID.fromString(a.id()))
                            .toList())
                    .forEach(id -> there.add(id.toString()));
        return there;
    }
}
