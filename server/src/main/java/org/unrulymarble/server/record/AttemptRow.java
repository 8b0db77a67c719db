package org.unrulymarble.server.record;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.data.domain.Persistable;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.record.Attempt;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;

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

    @Column(name = "in_a_row")
    private Integer inARow;

    private Integer workSec;

    /** What the round was to last; null where its time was a limit. */
    private Integer askedSec;

    private String ball;
    private String space;

    @Enumerated(EnumType.STRING)
    private RoundResult.Source countedBy;

    @Column(name = "distance_m")
    private Double distanceM;

    private String target;
    private String withWhom;

    @Enumerated(EnumType.STRING)
    private Attempt.Where place;

    private boolean confirmed;

    /** Never was, as somebody said with a reason; kept, and left out of every conclusion. */
    private boolean struck;

    /** Belongs to no run; was typed in. */
    private boolean typed;

    /** On a rung that was chosen in the run. */
    private boolean chosen;

    private boolean trial;

    @Convert(converter = DetailJson.class)
    @Column(length = LadderRecordRow.LETTERS)
    private Detail detail;

    /** The measure where it was another than the rung's. */
    @Convert(converter = MeasureJson.class)
    @Column(length = 1000)
    private Measure scoredBy;

    private String jointWith;
    private Instant notedAt;

    protected AttemptRow() {}

    AttemptRow(UUID classId, UUID runId, Attempt a, Instant notedAt) {
        this.id = UUID.fromString(a.id());
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
        this.inARow = a.inARow();
        this.workSec = a.workSec();
        this.askedSec = a.time() == null ? null : a.time().askedSec();
        this.ball = a.ball();
        this.space = a.space();
        this.countedBy = a.countedBy();
        this.distanceM = a.distanceM();
        this.target = a.target();
        this.withWhom = a.with();
        this.place = a.where();
        this.confirmed = a.confirmed();
        this.chosen = a.chosen();
        this.trial = a.trial();
        this.detail = a.detail();
        this.scoredBy = a.task().scoredBy();
        this.jointWith = String.join(",", a.jointWith());
        this.notedAt = notedAt;
    }

    /** Null for what belongs to no run kept here. */
    UUID runId() {
        return runId;
    }

    Attempt attempt() {
        return new Attempt(
                id.toString(),
                pupilId.toString(),
                onDay,
                new Attempt.Task(
                        ladderId,
                        rungId,
                        parts(modifiers).stream().map(Modifier::valueOf).toList(),
                        side,
                        scoredBy),
                setNumber,
                new Attempt.Counts(score, hits, misses, tries, inARow),
                workSec == null ? null : new RoundTime(workSec, askedSec),
                new Attempt.Things(ball, distanceM, target),
                new Attempt.Setting(withWhom, space, place),
                new Attempt.Worth(countedBy, confirmed, chosen, trial),
                detail,
                parts(jointWith));
    }

    UUID classId() {
        return classId;
    }

    String ladderId() {
        return ladderId;
    }

    UUID pupilId() {
        return pupilId;
    }

    boolean struck() {
        return struck;
    }

    void confirm() {
        confirmed = true;
    }

    int score() {
        return score;
    }

    Integer hits() {
        return hits;
    }

    Integer misses() {
        return misses;
    }

    /** Puts other figures in the place of these; what the pad told of single tries stands no more. */
    void correct(int newScore, Integer newHits, Integer newMisses, boolean strike) {
        boolean changed = newScore != score || !Objects.equals(newHits, hits) || !Objects.equals(newMisses, misses);
        score = newScore;
        hits = newHits;
        misses = newMisses;
        tries = newHits == null || newMisses == null ? null : (Integer) (newHits + newMisses);
        struck = strike;
        if (changed) {
            detail = null;
            inARow = null;
        }
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
