package org.unrulymarble.server.record;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CorrectionRows extends JpaRepository<CorrectionRow, UUID> {

    List<CorrectionRow> findByAttemptIdInOrderByCorrectedAtAsc(Collection<UUID> attemptIds);

    List<CorrectionRow> findByClassIdOrderByCorrectedAtAsc(UUID classId);

    List<CorrectionRow> findByPupilIdOrderByCorrectedAtAsc(UUID pupilId);

    long countByPupilId(UUID pupilId);
}
