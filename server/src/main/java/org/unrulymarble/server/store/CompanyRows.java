package org.unrulymarble.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface CompanyRows extends JpaRepository<CompanyRow, UUID> {

    List<CompanyRow> findByClassIdOrderById(UUID classId);

    @Query("select r from CompanyRow r where r.onePupilId = :pupil or r.otherPupilId = :pupil order by r.id")
    List<CompanyRow> ofPupil(UUID pupil);

    @Modifying(flushAutomatically = true)
    @Query("delete from CompanyRow r where r.classId = :classId")
    void deleteOfClass(UUID classId);

    @Modifying(flushAutomatically = true)
    @Query("delete from CompanyRow r where r.onePupilId = :pupil or r.otherPupilId = :pupil")
    void deleteOfPupil(UUID pupil);
}
