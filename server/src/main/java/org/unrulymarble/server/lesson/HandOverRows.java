package org.unrulymarble.server.lesson;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface HandOverRows extends JpaRepository<HandOverRow, UUID> {
    List<HandOverRow> findByLessonIdOrderByOnDay(UUID lessonId);

    List<HandOverRow> findByAccountIdAndOnDay(UUID accountId, LocalDate onDay);

    boolean existsByLessonIdAndAccountIdAndOnDay(UUID lessonId, UUID accountId, LocalDate onDay);

    void deleteByOnDayBefore(LocalDate day);
}
