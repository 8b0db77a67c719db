package org.unrulymarble.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

public interface Spaces extends JpaRepository<SpaceRow, UUID> {
    List<SpaceRow> findAllByOrderByName();
}
