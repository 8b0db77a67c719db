package org.unrulymarble.server.record;

import jakarta.persistence.QueryHint;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.hibernate.jpa.HibernateHints;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.jpa.repository.QueryHints;

interface LadderRecordRows extends JpaRepository<LadderRecordRow, LadderRecordRow.Key> {

    /** One kept record; {@code told} null where it has to be worked out. */
    interface Kept {
        UUID getPupilId();

        String getLadderId();

        String getTold();
    }

    /** One that has to be worked out, as of its stamp. */
    interface Due {
        UUID getPupilId();

        String getLadderId();

        long getStamp();
    }

    @Query("""
            select r.pupilId as pupilId, r.ladderId as ladderId, r.brief as told
            from LadderRecordRow r where r.classId = :classId and r.forDay = :today and r.madeBy = :maker
            order by r.pupilId, r.ladderId""")
    List<Kept> briefOfClass(UUID classId, LocalDate today, String maker);

    @Query("""
            select r.pupilId as pupilId, r.ladderId as ladderId, r.brief as told
            from LadderRecordRow r
            where r.classId = :classId and r.ladderId in :ladderIds and r.forDay = :today and r.madeBy = :maker
            order by r.pupilId, r.ladderId""")
    List<Kept> briefOnLadders(UUID classId, Collection<String> ladderIds, LocalDate today, String maker);

    @Query("""
            select r.pupilId as pupilId, r.ladderId as ladderId, r.whole as told
            from LadderRecordRow r where r.pupilId = :pupilId and r.forDay = :today and r.madeBy = :maker
            order by r.pupilId, r.ladderId""")
    List<Kept> wholeOfPupil(UUID pupilId, LocalDate today, String maker);

    @Query("""
            select r.pupilId as pupilId, r.ladderId as ladderId, r.whole as told
            from LadderRecordRow r where r.classId = :classId and r.ladderId = :ladderId and r.forDay = :today and r.madeBy = :maker
            order by r.pupilId, r.ladderId""")
    List<Kept> wholeOfLadder(UUID classId, String ladderId, LocalDate today, String maker);

    @Query("""
            select r.pupilId as pupilId, r.ladderId as ladderId, r.stamp as stamp
            from LadderRecordRow r where r.classId = :classId and (r.forDay is null or r.forDay <> :today or r.madeBy <> :maker)""")
    List<Due> due(UUID classId, LocalDate today, String maker);

    @Query("""
            select distinct r.classId from LadderRecordRow r where r.forDay is null or r.forDay <> :today or r.madeBy <> :maker""")
    List<UUID> classesDue(LocalDate today, String maker);

    @Query(
            "select r.pupilId as pupilId, r.ladderId as ladderId, r.stamp as stamp from LadderRecordRow r where r.classId = :classId")
    List<Due> there(UUID classId);

    /** A place for what will be worked out; none where somebody else has just made it. */
    @Modifying
    @QueryHints(@QueryHint(name = HibernateHints.HINT_FLUSH_MODE, value = "COMMIT"))
    @Query("""
            insert LadderRecordRow (classId, pupilId, ladderId, stamp) values (:classId, :pupilId, :ladderId, 0L)
            on conflict (pupilId, ladderId) do nothing""")
    void make(UUID classId, UUID pupilId, String ladderId);

    @Modifying
    @QueryHints(@QueryHint(name = HibernateHints.HINT_FLUSH_MODE, value = "COMMIT"))
    @Query("""
            update LadderRecordRow r set r.forDay = null, r.stamp = r.stamp + 1
            where r.ladderId = :ladderId and r.pupilId in :pupilIds""")
    void empty(String ladderId, Collection<UUID> pupilIds);

    @Modifying
    @Query("update LadderRecordRow r set r.forDay = null, r.stamp = r.stamp + 1 where r.classId = :classId")
    void emptyClass(UUID classId);

    @Modifying
    @Query("update LadderRecordRow r set r.forDay = null, r.stamp = r.stamp + 1 where r.ladderId in :ladderIds")
    void emptyLadders(Collection<String> ladderIds);

    @Modifying
    @Query("""
            update LadderRecordRow r set r.forDay = :today, r.madeBy = :maker, r.brief = :brief, r.whole = :whole
            where r.pupilId = :pupilId and r.ladderId = :ladderId and r.stamp = :stamp""")
    void fill(UUID pupilId, String ladderId, long stamp, LocalDate today, String maker, String brief, String whole);
}
