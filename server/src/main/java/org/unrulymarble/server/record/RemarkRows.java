package org.unrulymarble.server.record;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.unrulymarble.core.run.What;

interface RemarkRows extends JpaRepository<RemarkRow, UUID> {

    List<RemarkRow> findByRunId(UUID runId);

    List<RemarkRow> findByPupilIdOrderByOnDayAsc(UUID pupilId);

    List<RemarkRow> findByClassIdOrderByOnDayAsc(UUID classId);

    List<RemarkRow> findByClassIdAndLadderIdOrderByOnDayAscIdAsc(UUID classId, String ladderId);

    List<RemarkRow> findByClassIdAndLadderIdInAndKindOrderByOnDayAscIdAsc(
            UUID classId, Collection<String> ladderIds, What.Remarked.Kind kind);

    @Modifying
    @Query("delete from RemarkRow r where r.runId = :runId")
    void deleteOfRun(UUID runId);

    long countByPupilId(UUID pupilId);
}
