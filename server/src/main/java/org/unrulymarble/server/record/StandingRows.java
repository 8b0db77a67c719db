package org.unrulymarble.server.record;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StandingRows extends JpaRepository<StandingRow, UUID> {

    List<StandingRow> findByClassIdOrderBySaidAtAsc(UUID classId);

    List<StandingRow> findByPupilIdOrderBySaidAtAsc(UUID pupilId);

    long countByPupilId(UUID pupilId);
}
