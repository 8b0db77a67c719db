package org.unrulymarble.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

public interface Spaces extends JpaRepository<SpaceRow, UUID> {
    List<SpaceRow> findAllByOrderByName();

    @Query(value = "select count(*) from lesson where space_id = :space", nativeQuery = true)
    long lessonsIn(UUID space);
}
