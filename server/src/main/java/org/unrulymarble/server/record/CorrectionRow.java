package org.unrulymarble.server.record;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** What a tally was, what it was corrected to, by whom and why. Only ever added. */
@Entity
@Table(name = "correction")
class CorrectionRow implements Persistable<UUID> {

    @Id
    private UUID id;

    private UUID attemptId;
    private UUID classId;
    private UUID pupilId;
    private Instant correctedAt;
    private String byName;
    private String reason;
    private int beforeScore;
    private Integer beforeHits;
    private Integer beforeMisses;
    private int afterScore;
    private Integer afterHits;
    private Integer afterMisses;
    private boolean struck;

    protected CorrectionRow() {}

    CorrectionRow(AttemptRow was, Correction.Wanted wanted, Instant at, String byName) {
        this.id = UUID.randomUUID();
        this.attemptId = was.getId();
        this.classId = was.classId();
        this.pupilId = was.pupilId();
        this.correctedAt = at;
        this.byName = byName;
        this.reason = wanted.reason();
        this.beforeScore = was.score();
        this.beforeHits = was.hits();
        this.beforeMisses = was.misses();
        this.afterScore = wanted.score();
        this.afterHits = wanted.hits();
        this.afterMisses = wanted.misses();
        this.struck = wanted.strikes();
    }

    UUID attemptId() {
        return attemptId;
    }

    void applyTo(AttemptRow row) {
        row.correct(afterScore, afterHits, afterMisses, struck);
    }

    Correction told() {
        return new Correction(
                attemptId,
                correctedAt,
                byName,
                reason,
                new Correction.Figures(beforeScore, beforeHits, beforeMisses),
                new Correction.Figures(afterScore, afterHits, afterMisses),
                struck);
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
