package org.unrulymarble.core.score;

import java.util.UUID;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * One thing that somebody did during a run. Never changed once made; taking back is an event of its own.
 *
 * @param id time-ordered, made on the device; events fold in the order of their ids
 * @param atMs when, on the device's clock, in milliseconds since 1970
 * @param segment segment of the script: where the clock goes on (GO, HOLD, AGAIN, NEXT, BACK), which is longer (EXTEND), or the
 *     round that is counted (HIT, MISS, COLLECT)
 * @param offsetMs milliseconds into that segment; for GO, HOLD, AGAIN, NEXT, BACK
 * @param take how often the round had been begun, from 1; for HIT, MISS, COLLECT
 * @param pupilId for HIT, MISS, COLLECT
 * @param score for COLLECT: the number told, 0 to 100,000
 * @param addSec for EXTEND: 1 to 600
 * @param target for TAKE_BACK: the event that is taken back
 */
public record RunEvent(
        UUID id,
        Kind kind,
        Long atMs,
        Integer segment,
        Long offsetMs,
        Integer take,
        String pupilId,
        Integer score,
        Integer addSec,
        UUID target) {

    /** What can be done. */
    public enum Kind {
        GO,
        HOLD,
        AGAIN,
        NEXT,
        BACK,
        EXTEND,
        HIT,
        MISS,
        COLLECT,
        TAKE_BACK,
        FINISH;

        boolean movesClock() {
            return this == GO || this == HOLD || this == AGAIN || this == NEXT || this == BACK;
        }

        boolean counts() {
            return this == HIT || this == MISS || this == COLLECT;
        }
    }

    /** Far enough ahead for any device, and small enough that sums cannot overflow. */
    private static final double MAX_MS = 1e14;

    public RunEvent {
        Checks checks = new Checks().required("id", id).required("kind", kind).range("atMs", atMs, 0, MAX_MS);
        if (kind != null) {
            if (kind.movesClock() || kind.counts() || kind == Kind.EXTEND)
                checks.range("segment", segment, 0, 1_000_000);
            if (kind.movesClock()) checks.range("offsetMs", offsetMs, 0, MAX_MS);
            if (kind.counts()) checks.range("take", take, 1, 1000).text("pupilId", pupilId, 60);
            if (kind == Kind.COLLECT) checks.range("score", score, 0, 100_000);
            if (kind == Kind.EXTEND) checks.range("addSec", addSec, 1, 600);
            if (kind == Kind.TAKE_BACK) checks.required("target", target);
        }
        checks.done();
    }

    /**
     * Checks this event against the script that it belongs to.
     *
     * @throws org.unrulymarble.core.check.Refused when the segment is not there or the pupil does not work in that round
     */
    public void checkAgainst(RunScript script) {
        Checks checks = new Checks();
        if (segment != null) {
            checks.range("segment", segment, 0, script.segments().size());
            if (kind.counts()) {
                boolean round = script.isRound(segment);
                checks.that(round, "segment", Fault.Rule.UNKNOWN, segment);
                if (round)
                    checks.that(
                            script.crewOf(script.segment(segment), pupilId) != null,
                            "pupilId",
                            Fault.Rule.UNKNOWN,
                            pupilId);
            }
        }
        checks.done();
    }
}
