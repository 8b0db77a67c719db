package org.unrulymarble.server.ladder;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface KeptRoutineRows extends JpaRepository<KeptRoutineRow, UUID> {

    List<KeptRoutineRow> findAllByOrderByNameAsc();

    Optional<KeptRoutineRow> findByNameIgnoreCase(String name);
}
