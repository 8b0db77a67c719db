package org.unrulymarble.server.device;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DevicePlaceRows extends JpaRepository<DevicePlaceRow, DevicePlaceRow.Key> {

    void deleteByRunId(UUID runId);
}
