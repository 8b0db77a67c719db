package org.unrulymarble.server.run;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface RunEventRows extends JpaRepository<RunEventRow, UUID> {

    List<RunEventRow> findByRunId(UUID runId);

    @Query("select e.id from RunEventRow e where e.id in :ids")
    Set<UUID> known(Collection<UUID> ids);
}
