package org.unrulymarble.server.lesson;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface LessonRows extends JpaRepository<LessonRow, UUID> {
    List<LessonRow> findByClassIdInAndGoneAtNullOrderByOnDayAscNameAsc(Collection<UUID> classIds);

    /** With those that were deleted and can still come back. */
    List<LessonRow> findByClassId(UUID classId);

    Optional<LessonRow> findByIdAndGoneAtNull(UUID id);

    void deleteByGoneAtBefore(Instant then);

    @Query("select l.plan from LessonRow l where l.plan like :part")
    List<String> plansNaming(String part);
}
