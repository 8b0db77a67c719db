package org.unrulymarble.server.store;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StandIns extends JpaRepository<StandInRow, UUID> {}
