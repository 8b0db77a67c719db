package org.unrulymarble.server.home;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface HomeUnreads extends JpaRepository<HomeUnreadRow, UUID> {

    List<HomeUnreadRow> findByClassIdOrderByCameAt(UUID classId);

    boolean existsByClassIdAndLine(UUID classId, String line);
}
