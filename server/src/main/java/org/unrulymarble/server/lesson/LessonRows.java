package org.unrulymarble.server.lesson;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface LessonRows extends JpaRepository<LessonRow, UUID> {
    List<LessonRow> findByClassIdInOrderByOnDayAscNameAsc(Collection<UUID> classIds);

    @Query("select l.plan from LessonRow l where l.plan like :part")
    List<String> plansNaming(String part);
}
