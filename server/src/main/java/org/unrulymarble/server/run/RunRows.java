package org.unrulymarble.server.run;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RunRows extends JpaRepository<RunRow, UUID> {

    List<RunRow> findByClassIdInAndFinishedFalse(Collection<UUID> classIds);

    List<RunRow> findByClassIdOrderByOnDayAsc(UUID classId);

    Optional<RunRow> findFirstByLessonIdAndFinishedFalse(UUID lessonId);

    Optional<RunRow> findByWallCodeAndFinishedFalse(String wallCode);
}
