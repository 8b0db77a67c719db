package org.unrulymarble.server.record;

import jakarta.persistence.QueryHint;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.jpa.repository.QueryHints;
import org.unrulymarble.core.ladder.Side;

interface AttemptRows extends JpaRepository<AttemptRow, UUID> {
    /** From the {@code from}-th newest on. */
    @Query(
            "select a from AttemptRow a where a.pupilId = :pupilId order by a.onDay desc, a.notedAt desc, a.setNumber desc, a.id limit :most offset :from")
    List<AttemptRow> page(UUID pupilId, int from, int most);

    List<AttemptRow> findByPupilIdAndLadderIdOrderByOnDayAscSetNumberAscIdAsc(UUID pupilId, String ladderId);

    @Query(
            "select distinct a.onDay from AttemptRow a where a.pupilId = :pupilId and not a.struck order by a.onDay desc")
    List<LocalDate> daysOfPupil(UUID pupilId);

    /** In one order on every store: sums that are added up otherwise differ in their last digits. */
    @QueryHints(@QueryHint(name = "org.hibernate.readOnly", value = "true"))
    List<AttemptRow> findByClassIdAndLadderIdInAndStruckFalseOrderByOnDayAscSetNumberAscIdAsc(
            UUID classId, Collection<String> ladderIds);

    @QueryHints(@QueryHint(name = "org.hibernate.readOnly", value = "true"))
    List<AttemptRow> findByClassIdAndStruckFalseAndOnDayBetween(UUID classId, LocalDate from, LocalDate to);

    List<AttemptRow> findByClassIdAndLadderIdInOrderByOnDayAscSetNumberAscIdAsc(
            UUID classId, Collection<String> ladderIds);

    @QueryHints(@QueryHint(name = "org.hibernate.fetchSize", value = "500"))
    Stream<AttemptRow> streamByClassIdAndStruckFalseOrderByOnDayAscSetNumberAscIdAsc(UUID classId);

    @QueryHints(@QueryHint(name = "org.hibernate.fetchSize", value = "500"))
    Stream<AttemptRow> streamByPupilIdAndStruckFalseOrderByOnDayAscSetNumberAscIdAsc(UUID pupilId);

    /** Those that were struck out, too. */
    @QueryHints(@QueryHint(name = "org.hibernate.fetchSize", value = "500"))
    Stream<AttemptRow> streamByClassIdOrderByOnDayAscSetNumberAscIdAsc(UUID classId);

    @QueryHints(@QueryHint(name = "org.hibernate.fetchSize", value = "500"))
    Stream<AttemptRow> streamByPupilIdOrderByOnDayAscSetNumberAscIdAsc(UUID pupilId);

    @Query(
            "select distinct a.onDay from AttemptRow a where a.classId = :classId and a.onDay in :days and not a.struck and a.place = org.unrulymarble.core.record.Attempt.Where.SCHOOL")
    Set<LocalDate> daysWithResults(UUID classId, Collection<LocalDate> days);

    @Query(
            "select max(a.onDay) from AttemptRow a where a.classId = :classId and not a.struck and a.place = org.unrulymarble.core.record.Attempt.Where.SCHOOL")
    LocalDate lastAtSchool(UUID classId);

    /** Days on which a class worked on each ladder; what was not counted has no sums. */
    @Query("""
            select a.ladderId as ladderId, a.onDay as onDay, count(distinct a.pupilId) as pupils, sum(a.hits) as hits, sum(a.misses) as misses
            from AttemptRow a
            where a.classId = :classId and not a.struck
            group by a.ladderId, a.onDay
            """)
    List<DayOfLadder> daysOfLadders(UUID classId);

    /** The same of one pupil. */
    @Query("""
            select a.ladderId as ladderId, a.onDay as onDay, count(distinct a.pupilId) as pupils, sum(a.hits) as hits, sum(a.misses) as misses
            from AttemptRow a
            where a.pupilId = :pupilId and not a.struck
            group by a.ladderId, a.onDay
            """)
    List<DayOfLadder> daysOfOneOnLadders(UUID pupilId);

    /** One of those days. */
    interface DayOfLadder {
        String getLadderId();

        LocalDate getOnDay();

        long getPupils();

        Long getHits();

        Long getMisses();
    }

    long countByPupilId(UUID pupilId);

    /** Which class a pupil is in. */
    interface InClass {
        UUID getPupilId();

        UUID getClassId();
    }

    @Query("select p.id as pupilId, p.schoolClass.id as classId from Pupil p where p.id in :pupilIds")
    List<InClass> classesOf(Collection<UUID> pupilIds);

    @Query("select a.id from AttemptRow a where a.id in :ids")
    List<UUID> known(Collection<UUID> ids);

    @Query("select a.id from AttemptRow a where a.classId = :classId")
    List<UUID> idsOfClass(UUID classId);

    /** Sums of the own tries of each pupil of a class with counted misses and without modifiers; trials and joint results are nobody's evidence. */
    @Query("""
            select a.pupilId as pupilId, a.ladderId as ladderId, a.rungId as rungId, sum(a.hits) as hits, sum(a.misses) as misses
            from AttemptRow a
            where a.classId = :classId and a.hits is not null and a.misses is not null and a.modifiers = '' and not a.struck and not a.trial and a.jointWith = ''
            group by a.pupilId, a.ladderId, a.rungId
            order by min(a.onDay)
            """)
    List<TriesSum> triesOfClass(UUID classId);

    /** Counted tries of everybody by pupil, ladder, side, day and rung, in that order; only what somebody of the school stands for. */
    @QueryHints(@QueryHint(name = "org.hibernate.fetchSize", value = "500"))
    @Query("""
            select a.pupilId as pupilId, a.ladderId as ladderId, a.side as side, a.onDay as onDay, a.rungId as rungId, sum(a.hits) as hits, sum(a.misses) as misses
            from AttemptRow a
            where a.hits is not null and a.misses is not null and a.hits + a.misses > 0 and a.modifiers = '' and not a.struck and not a.trial and a.jointWith = '' and a.confirmed
            group by a.pupilId, a.ladderId, a.side, a.onDay, a.rungId
            order by a.pupilId, a.ladderId, a.side, a.onDay, a.rungId
            """)
    Stream<DayOnRung> streamDaysOnRungs();

    interface DayOnRung {
        UUID getPupilId();

        String getLadderId();

        Side getSide();

        LocalDate getOnDay();

        String getRungId();

        long getHits();

        long getMisses();
    }

    @Query("""
            select coalesce(sum(a.hits + a.misses), 0) from AttemptRow a
            where a.hits is not null and a.misses is not null and a.modifiers = '' and not a.struck and not a.trial and a.jointWith = '' and a.confirmed
            """)
    long countedTries();

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

    /** Whose results on which ladders a run has recorded. */
    @Query(
            "select distinct new org.unrulymarble.server.record.LadderRecordRow$Key(a.pupilId, a.ladderId) from AttemptRow a where a.runId = :runId")
    Set<LadderRecordRow.Key> keysOfRun(UUID runId);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("delete from AttemptRow a where a.id in :ids")
    void deleteThese(Collection<UUID> ids);

    @Modifying
    @Query("delete from AttemptRow a where a.runId = :runId")
    void deleteOfRun(UUID runId);
}
