package org.unrulymarble.server.record;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.data.domain.Persistable;
import org.unrulymarble.core.record.Advice;

/** Somebody's word on where a pupil stands. Only ever added; the newest one holds. */
@Entity
@Table(name = "standing")
class StandingRow implements Persistable<UUID> {

    @Id
    private UUID id;

    private UUID classId;
    private UUID pupilId;
    private String ladderId;
    private String rungId;
    private LocalDate onDay;
    private Instant saidAt;
    private String byName;
    private String reason;

    protected StandingRow() {}

    StandingRow(UUID classId, UUID pupilId, Advice.Standing said, Instant at) {
        this.id = UUID.randomUUID();
        this.classId = classId;
        this.pupilId = pupilId;
        this.ladderId = said.ladderId();
        this.rungId = said.rungId();
        this.onDay = said.on();
        this.saidAt = at;
        this.byName = said.by();
        this.reason = said.reason();
    }

    Advice.Standing standing() {
        return new Advice.Standing(pupilId.toString(), ladderId, rungId, onDay, byName, reason);
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
