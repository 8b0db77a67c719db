package org.unrulymarble.server.lesson;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LessonRows extends JpaRepository<LessonRow, UUID> {
    List<LessonRow> findByClassIdInOrderByOnDayAscNameAsc(Collection<UUID> classIds);
}
