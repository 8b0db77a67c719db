package org.unrulymarble.server.record;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.springframework.data.domain.Persistable;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.score.RoundDetail;
import org.unrulymarble.core.score.RoundResult;
import org.unrulymarble.core.score.Side;

@Entity
@Table(name = "attempt")
class AttemptRow implements Persistable<UUID> {

    @Id
    private UUID id;

    private UUID classId;
    private UUID pupilId;
    private UUID runId;
    private LocalDate onDay;
    private String ladderId;
    private String rungId;
    private String modifiers;

    @Enumerated(EnumType.STRING)
    private Side side;

    private int setNumber;
    private int score;
    private Integer hits;
    private Integer misses;
    private Integer tries;
    private Integer workSec;
    private String ball;
    private String space;

    @Enumerated(EnumType.STRING)
    private RoundResult.Source countedBy;

    private boolean trial;

    @Convert(converter = DetailJson.class)
    @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
    private RoundDetail detail;

    private String jointWith;

    protected AttemptRow() {}

    AttemptRow(UUID classId, UUID runId, Attempt a) {
        this.id = UUID.randomUUID();
        this.classId = classId;
        this.runId = runId;
        this.pupilId = UUID.fromString(a.pupilId());
        this.onDay = a.on();
        this.ladderId = a.ladderId();
        this.rungId = a.rungId();
        this.modifiers = a.modifiers().stream().map(Enum::name).collect(Collectors.joining(","));
        this.side = a.side();
        this.setNumber = a.set();
        this.score = a.score();
        this.hits = a.hits();
        this.misses = a.misses();
        this.tries = a.tries();
        this.workSec = a.workSec();
        this.ball = a.ball();
        this.space = a.space();
        this.countedBy = a.countedBy();
        this.trial = a.trial();
        this.detail = a.detail();
        this.jointWith = String.join(",", a.jointWith());
    }

    /** Null for what belongs to no run kept here. */
    UUID runId() {
        return runId;
    }

    Attempt attempt() {
        return new Attempt(
                pupilId.toString(),
                onDay,
                ladderId,
                rungId,
                parts(modifiers).stream().map(Modifier::valueOf).toList(),
                side,
                setNumber,
                score,
                hits,
                misses,
                tries,
                workSec,
                ball,
                space,
                countedBy,
                trial,
                detail,
                parts(jointWith));
    }

    private static List<String> parts(String joined) {
        return joined.isEmpty() ? List.of() : Arrays.asList(joined.split(","));
    }

    @Override
    public UUID getId() {
        return id;
    }

    /** Rows are only ever added or removed whole, so saving never needs to look first. */
    @Override
    public boolean isNew() {
        return true;
    }
}
