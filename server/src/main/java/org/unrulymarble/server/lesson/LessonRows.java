package org.unrulymarble.server.lesson;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface LessonRows extends JpaRepository<LessonRow, UUID> {
    /** A lesson without its plan. */
    record Line(UUID id, UUID classId, UUID spaceId, String name, LocalDate onDay, String head) {}

    @Query("""
            select new org.unrulymarble.server.lesson.LessonRows$Line(l.id, l.classId, l.spaceId, l.name, l.onDay, l.head)
            from LessonRow l where l.classId in :classIds and l.goneAt is null order by l.onDay, l.name""")
    List<Line> linesOf(Collection<UUID> classIds);

    @Query("""
            select new org.unrulymarble.server.lesson.LessonRows$Line(l.id, l.classId, l.spaceId, l.name, l.onDay, l.head)
            from LessonRow l where l.id in :ids and l.goneAt is null order by l.onDay, l.name""")
    List<Line> lines(Collection<UUID> ids);

    List<LessonRow> findByClassIdAndGoneAtNullOrderByOnDayAscNameAsc(UUID classId);

    /** With those that were deleted and can still come back. */
    List<LessonRow> findByClassId(UUID classId);

    Optional<LessonRow> findByIdAndGoneAtNull(UUID id);

    void deleteByGoneAtBefore(Instant then);

    @Query("select l.plan from LessonRow l where l.plan like :part")
    List<String> plansNaming(String part);
}
