package org.unrulymarble.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface KitItems extends JpaRepository<KitItemRow, UUID> {
    List<KitItemRow> findAllByOrderByName();
}
