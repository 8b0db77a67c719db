package org.unrulymarble.server.lesson;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Refused;
import org.unrulymarble.core.ladder.Catalogue;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.LessonPlan;
import org.unrulymarble.server.platform.NotFound;
import org.unrulymarble.server.platform.Stale;
import org.unrulymarble.server.store.ClassAccess;
import org.unrulymarble.server.store.Roster;
import org.unrulymarble.server.store.SchoolClass;
import org.unrulymarble.server.store.SpaceRow;
import org.unrulymarble.server.store.Spaces;
import tools.jackson.databind.json.JsonMapper;

@Service
@Transactional
public class LessonService {

    private final LessonRows rows;
    private final ClassAccess access;
    private final Spaces spaces;
    private final Catalogue catalogue;
    private final JsonMapper json;

    LessonService(LessonRows rows, ClassAccess access, Spaces spaces, Catalogue catalogue, JsonMapper json) {
        this.rows = rows;
        this.access = access;
        this.spaces = spaces;
        this.catalogue = catalogue;
        this.json = json;
    }

    /** A lesson with all that the plan and the run need of it. */
    public record Known(
            UUID id, long version, String name, LocalDate onDay, Lesson lesson, Roster roster, SpaceRow space) {}

    /** Lessons of the asker's classes, or of one of them, by day. */
    @Transactional(readOnly = true)
    List<Known> all(UUID classId) {
        List<SchoolClass> classes = classId == null ? access.mine() : List.of(access.see(classId));
        return rows
                .findByClassIdInOrderByOnDayAscNameAsc(
                        classes.stream().map(SchoolClass::id).toList())
                .stream()
                .map(this::known)
                .toList();
    }

    /** @throws NotFound also for a lesson of somebody else's class */
    @Transactional(readOnly = true)
    public Known see(UUID id) {
        return known(rows.findById(id).orElseThrow(NotFound::new));
    }

    public Known create(LessonDoc doc) {
        SchoolClass schoolClass = access.teach(doc.classId());
        return save(new LessonRow(UUID.randomUUID(), schoolClass.id()), doc);
    }

    /** @throws Stale when it was changed since; nothing is saved then */
    Known change(UUID id, LessonDoc doc) {
        LessonRow row = rows.findById(id).orElseThrow(NotFound::new);
        access.teach(row.classId());
        Stale.unless(row.version(), doc.version());
        return save(row, doc);
    }

    void remove(UUID id) {
        LessonRow row = rows.findById(id).orElseThrow(NotFound::new);
        access.teach(row.classId());
        rows.delete(row);
    }

    public LessonPlan plan(Known known) {
        return LessonPlan.of(
                known.lesson(), known.space().size(), known.roster().pupils().size(), catalogue);
    }

    private Known save(LessonRow row, LessonDoc doc) {
        SpaceRow space = spaces.findById(doc.spaceId())
                .orElseThrow(() ->
                        new Refused("spaceId", Fault.Rule.UNKNOWN, doc.spaceId().toString()));
        int pupils = access.see(row.classId()).pupils().size();
        try {
            LessonPlan.of(doc.lesson(), space.size(), pupils, catalogue);
        } catch (Refused e) {
            new Checks().under("lesson", e).done();
        }
        row.change(doc.name().strip(), doc.onDay(), space.id(), json.writeValueAsString(doc.lesson()));
        return known(rows.saveAndFlush(row));
    }

    private Known known(LessonRow row) {
        return new Known(
                row.id(),
                row.version(),
                row.name(),
                row.onDay(),
                json.readValue(row.plan(), Lesson.class),
                access.roster(row.classId()),
                spaces.findById(row.spaceId()).orElseThrow(NotFound::new));
    }
}
