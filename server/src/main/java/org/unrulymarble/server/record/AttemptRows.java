package org.unrulymarble.server.record;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface AttemptRows extends JpaRepository<AttemptRow, UUID> {
    List<AttemptRow> findByClassIdOrderByOnDayAscSetNumberAsc(UUID classId);

    List<AttemptRow> findByPupilIdOrderByOnDayAscSetNumberAsc(UUID pupilId);

    @Modifying
    @Query("delete from AttemptRow a where a.runId = :runId")
    void deleteOfRun(UUID runId);
}
