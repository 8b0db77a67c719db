package org.unrulymarble.server.home;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface HomeWeeks extends JpaRepository<HomeWeekRow, UUID> {
    List<HomeWeekRow> findByClassIdOrderByFirstDayDescMadeAtDesc(UUID classId);
}
