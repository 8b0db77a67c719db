package org.unrulymarble.server.device;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DeviceCodeRows extends JpaRepository<DeviceCodeRow, UUID> {

    Optional<DeviceCodeRow> findByCode(String code);
}
