package org.unrulymarble.server.run;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** One event of a run as it came in; never changed. */
@Entity
@Table(name = "run_event")
class RunEventRow implements Persistable<UUID> {

    @Id
    private UUID id;

    private UUID runId;
    private UUID accountId;

    @Column(length = 1000)
    private String body;

    protected RunEventRow() {}

    RunEventRow(UUID id, UUID runId, UUID accountId, String body) {
        this.id = id;
        this.runId = runId;
        this.accountId = accountId;
        this.body = body;
    }

    String body() {
        return body;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return true;
    }
}
