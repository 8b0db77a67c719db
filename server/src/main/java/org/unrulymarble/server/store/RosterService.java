package org.unrulymarble.server.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.server.account.SignedIn;
import org.unrulymarble.server.audit.Audit;
import org.unrulymarble.server.platform.Csv;
import org.unrulymarble.server.platform.ExportedTable;
import org.unrulymarble.server.platform.Words;

/** A class list out as CSV and in again. Nobody is removed by a file: that is done by hand, pupil by pupil. */
@Service
@Transactional
class RosterService {

    private final ClassAccess access;
    private final ExportedTable roster;
    private final EntityManager store;
    private final Words words;
    private final Audit audit;

    RosterService(ClassAccess access, RosterOut roster, EntityManager store, Words words, Audit audit) {
        this.audit = audit;
        this.access = access;
        this.roster = roster;
        this.store = store;
        this.words = words;
    }

    /** A file as it was read in the browser; a dry run only says what it would bring. */
    record RosterText(String text, Boolean dryRun) {
        RosterText {
            new Checks().required("text", text).required("dryRun", dryRun).done();
        }
    }

    /**
     * What a file brings, or would bring, by the names as they are shown.
     *
     * @param back who had left the class and comes back into it with the record kept
     * @param same how many are there already just as the file has them
     * @param bad the first of what is wrong; {@code badInAll} how much is
     * @param kept whether anything was kept: never from a dry run, never from a file with a bad line
     */
    record RosterBrought(
            List<String> added,
            List<String> changed,
            List<String> back,
            int same,
            List<Csv.BadCell> bad,
            int badInAll,
            boolean kept) {}

    /** What its file is called. */
    String className(UUID id) {
        return access.teach(id).name();
    }

    void write(UUID id, PrintWriter out) throws IOException {
        access.teach(id);
        audit.note(SignedIn.now().accountId(), Audit.Kind.CLASS_EXPORTED, id);
        roster.write(id, null, out);
    }

    /** Says what a file would bring, and unless that is all, brings it: all of it or nothing. */
    RosterBrought read(UUID id, RosterText file) {
        SchoolClass c = access.teach(id);
        Csv.Read<RosterFile.Listed> read = RosterFile.read(file.text(), words);
        Map<UUID, Pupil> byId = new HashMap<>();
        Map<String, Pupil> byName = new HashMap<>();
        Set<String> twice = new HashSet<>();
        for (Pupil p : c.pupils()) {
            byId.put(p.id(), p);
            if (byName.put(p.name(), p) != null) twice.add(p.name());
        }
        twice.forEach(byName::remove);
        // Who left and is on the list again comes back; a second pupil of that name would have no record.
        Map<UUID, Pupil> gone = new HashMap<>();
        for (Pupil p : c.left()) gone.put(p.id(), p);
        Map<Pupil, PupilDetails> back = new HashMap<>();
        Map<Pupil, PupilDetails> changed = new HashMap<>();
        List<PupilDetails> added = new ArrayList<>();
        int same = 0;
        for (RosterFile.Listed line : read.rows()) {
            Pupil there = line.id() == null ? byName.get(line.details().name()) : byId.get(line.id());
            Pupil left = line.id() == null ? null : gone.get(line.id());
            if (left != null) back.put(left, line.beside(left.details()));
            else if (there == null) added.add(line.details());
            else if (line.beside(there.details()).equals(there.details())) same++;
            else changed.put(there, line.beside(there.details()));
        }
        new Checks()
                .that(
                        c.pupils().size() + added.size() + back.size() <= ClassService.MAX_PUPILS,
                        "text",
                        Fault.Rule.ENTRIES,
                        0,
                        ClassService.MAX_PUPILS)
                .done();
        boolean keep = !file.dryRun() && read.bad().isEmpty();
        List<String> changedNames =
                changed.keySet().stream().map(Pupil::name).sorted().toList();
        List<String> backNames =
                back.keySet().stream().map(Pupil::name).sorted().toList();
        if (keep && !(changed.isEmpty() && added.isEmpty() && back.isEmpty())) {
            store.lock(c, LockModeType.PESSIMISTIC_FORCE_INCREMENT);
            changed.forEach(Pupil::change);
            back.forEach((pupil, details) -> {
                pupil.leave(null);
                pupil.change(details);
            });
            for (PupilDetails d : added) c.add(new Pupil(UUID.randomUUID(), d));
        }
        return new RosterBrought(
                added.stream().map(PupilDetails::name).toList(),
                changedNames,
                backNames,
                same,
                read.bad(),
                read.badInAll(),
                keep);
    }
}
