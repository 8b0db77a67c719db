package org.unrulymarble.server.record;

import jakarta.persistence.QueryHint;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.jpa.repository.QueryHints;

interface AttemptRows extends JpaRepository<AttemptRow, UUID> {
    List<AttemptRow> findByClassIdOrderByOnDayAscSetNumberAsc(UUID classId);

    List<AttemptRow> findByPupilIdOrderByOnDayAscSetNumberAsc(UUID pupilId);

    List<AttemptRow> findByClassIdAndLadderIdInOrderByOnDayAscSetNumberAsc(UUID classId, Collection<String> ladderIds);

    @QueryHints(@QueryHint(name = "org.hibernate.fetchSize", value = "500"))
    Stream<AttemptRow> streamByClassIdAndStruckFalseOrderByOnDayAscSetNumberAsc(UUID classId);

    @Query("select a.id from AttemptRow a where a.id in :ids")
    List<UUID> known(Collection<UUID> ids);

    @Query("select a.id from AttemptRow a where a.classId = :classId")
    List<UUID> idsOfClass(UUID classId);

    /** Sums of tries with counted misses and without modifiers. */
    @Query("""
            select a.pupilId as pupilId, a.ladderId as ladderId, a.rungId as rungId, sum(a.hits) as hits, sum(a.misses) as misses
            from AttemptRow a
            where a.classId = :classId and a.ladderId in :ladderIds and a.hits is not null and a.misses is not null and a.modifiers = '' and not a.struck
            group by a.pupilId, a.ladderId, a.rungId
            """)
    List<TriesSum> tries(UUID classId, Collection<String> ladderIds);

    interface TriesSum {
        UUID getPupilId();

        String getLadderId();

        String getRungId();

        long getHits();

        long getMisses();
    }

    @Query(
            "select a.rungId as rungId, count(a) as times from AttemptRow a where a.ladderId = :ladderId group by a.rungId")
    List<RungCount> countByRung(String ladderId);

    interface RungCount {
        String getRungId();

        long getTimes();
    }

    /** Rows that belong to no run: those that a new finish of the run does not touch. */
    List<AttemptRow> findByRunId(UUID runId);

    @Modifying
    @Query("delete from AttemptRow a where a.runId = :runId")
    void deleteOfRun(UUID runId);
}
