package org.unrulymarble.server.run;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface RunRows extends JpaRepository<RunRow, UUID> {

    List<RunRow> findByClassIdInAndFinishedFalse(Collection<UUID> classIds);

    List<RunRow> findByClassIdOrderByOnDayAsc(UUID classId);

    Optional<RunRow> findFirstByLessonIdAndFinishedFalse(UUID lessonId);

    Optional<RunRow> findByWallCodeAndFinishedFalse(String wallCode);

    /** A lesson, and the last day on which it was run to its end. */
    interface Recorded {
        UUID getLessonId();

        LocalDate getOnDay();
    }

    @Query(
            "select r.lessonId as lessonId, max(r.onDay) as onDay from RunRow r where r.finished and r.lessonId in :lessonIds group by r.lessonId")
    List<Recorded> recorded(Collection<UUID> lessonIds);

    @Query(
            "select r.id from RunRow r where r.finished and r.classId = :classId and r.lessonId <> :but and r.onDay <= :until order by r.onDay desc, r.id")
    List<UUID> last(UUID classId, UUID but, LocalDate until, Limit limit);
}
