package org.unrulymarble.server.record;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Persistable;
import org.unrulymarble.core.record.PupilRemark;
import org.unrulymarble.core.run.What;

@Entity
@Table(name = "remark")
class RemarkRow implements Persistable<UUID> {

    @Id
    private UUID id;

    private UUID classId;
    private UUID pupilId;
    private UUID runId;
    private LocalDate onDay;
    private String ladderId;
    private String rungId;

    @Enumerated(EnumType.STRING)
    private What.Remarked.Kind kind;

    private String note;
    private Integer setNumber;

    protected RemarkRow() {}

    RemarkRow(UUID classId, UUID runId, PupilRemark r) {
        this.id = UUID.randomUUID();
        this.classId = classId;
        this.pupilId = UUID.fromString(r.pupilId());
        this.runId = runId;
        this.onDay = r.on();
        this.ladderId = r.ladderId();
        this.rungId = r.rungId();
        this.kind = r.kind();
        this.note = r.note();
        this.setNumber = r.set();
    }

    /** Where it is about a ladder. */
    Optional<LadderRecordRow.Key> key() {
        return Optional.ofNullable(ladderId).map(l -> new LadderRecordRow.Key(pupilId, l));
    }

    PupilRemark remark() {
        return new PupilRemark(pupilId.toString(), onDay, ladderId, rungId, kind, note, setNumber);
    }

    @Override
    public UUID getId() {
        return id;
    }

    /** Rows are only ever added or removed whole. */
    @Override
    public boolean isNew() {
        return true;
    }
}
