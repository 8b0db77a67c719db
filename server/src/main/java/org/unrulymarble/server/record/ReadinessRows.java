package org.unrulymarble.server.record;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReadinessRows extends JpaRepository<ReadinessRow, UUID> {}
