package org.unrulymarble.server.run;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface RunRows extends JpaRepository<RunRow, UUID> {

    List<RunRow> findByClassIdInAndFinishedFalse(Collection<UUID> classIds);

    Optional<RunRow> findFirstByLessonIdAndFinishedFalse(UUID lessonId);

    Optional<RunRow> findByWallCodeAndFinishedFalse(String wallCode);

    /** Two devices append to the same run one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select r from RunRow r where r.id = :id")
    Optional<RunRow> lock(UUID id);
}
