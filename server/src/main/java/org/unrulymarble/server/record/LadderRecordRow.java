package org.unrulymarble.server.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** What one pupil's attempts on one ladder come to; empty, and to be worked out, where {@code forDay} is not today. */
@Entity
@Table(name = "ladder_record")
@IdClass(LadderRecordRow.Key.class)
class LadderRecordRow implements Persistable<LadderRecordRow.Key> {

    static final int LETTERS = 1_000_000;

    /** Whose, and where. */
    record Key(UUID pupilId, String ladderId) implements Serializable {}

    @Id
    private UUID pupilId;

    @Id
    private String ladderId;

    private UUID classId;

    /** One more with every change of what it rests on: what was worked out from older attempts is not kept. */
    private long stamp;

    private LocalDate forDay;
    private String madeBy;

    @Column(length = LETTERS)
    private String brief;

    @Column(length = LETTERS)
    private String whole;

    protected LadderRecordRow() {}

    LadderRecordRow(UUID classId, Key key) {
        this.classId = classId;
        this.pupilId = key.pupilId();
        this.ladderId = key.ladderId();
    }

    @Override
    public Key getId() {
        return new Key(pupilId, ladderId);
    }

    /** Saved once, when the first attempt comes; changed by updates alone. */
    @Override
    public boolean isNew() {
        return true;
    }
}
