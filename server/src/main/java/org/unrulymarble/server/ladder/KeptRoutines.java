package org.unrulymarble.server.ladder;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.ladder.Routine;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.Stale;
import org.unrulymarble.server.store.ClassAccess;
import tools.jackson.databind.json.JsonMapper;

/** Routines that the school keeps under their names: put into a lesson they are the lesson's own, and change nothing here. */
@Service
@Transactional
class KeptRoutines {

    /** As many as somebody finds their way in. */
    private static final int MOST = 200;

    private final KeptRoutineRows rows;
    private final ClassAccess access;
    private final JsonMapper json;

    KeptRoutines(KeptRoutineRows rows, ClassAccess access, JsonMapper json) {
        this.rows = rows;
        this.access = access;
        this.json = json;
    }

    /** @param version of what is kept; whoever changes it says which it was made from */
    record KeptRoutine(UUID id, long version, Routine routine) {}

    @Transactional(readOnly = true)
    List<KeptRoutine> all() {
        access.onlyTeachers();
        return rows.findAllByOrderByNameAsc().stream().map(this::kept).toList();
    }

    /** @throws org.unrulymarble.core.check.Refused naming {@code routine.name} for a name that is kept already */
    KeptRoutine keep(Routine routine) {
        access.onlyTeachers();
        new Checks()
                .that(
                        rows.findByNameIgnoreCase(routine.name()).isEmpty(),
                        "routine.name",
                        Fault.Rule.TWICE,
                        routine.name())
                .that(rows.count() < MOST, "routine", Fault.Rule.ENTRIES, 0, MOST)
                .done();
        return kept(rows.saveAndFlush(
                new KeptRoutineRow(UUID.randomUUID(), routine.name(), json.writeValueAsString(routine))));
    }

    /** @throws Stale where somebody else changed it in between */
    KeptRoutine change(UUID id, Long version, Routine routine) {
        access.onlyTeachers();
        KeptRoutineRow row = rows.findById(id).orElseThrow(NotFound::new);
        Stale.unless(row.version(), version);
        new Checks()
                .that(
                        rows.findByNameIgnoreCase(routine.name())
                                .map(other -> other.id().equals(id))
                                .orElse(true),
                        "routine.name",
                        Fault.Rule.TWICE,
                        routine.name())
                .done();
        row.change(routine.name(), json.writeValueAsString(routine));
        return kept(rows.saveAndFlush(row));
    }

    void remove(UUID id) {
        access.onlyTeachers();
        rows.delete(rows.findById(id).orElseThrow(NotFound::new));
    }

    private KeptRoutine kept(KeptRoutineRow row) {
        return new KeptRoutine(row.id(), row.version(), json.readValue(row.body(), Routine.class));
    }
}
