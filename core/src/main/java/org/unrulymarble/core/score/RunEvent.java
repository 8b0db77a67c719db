package org.unrulymarble.core.score;

import java.util.Arrays;
import java.util.UUID;
import java.util.stream.Collectors;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * One thing that somebody did during a run. Never changed once made; taking back is an event of its own.
 *
 * @param id time-ordered, made on the device; events fold in the order of their ids
 * @param atMs when, on the device's clock, in milliseconds since 1970
 * @param segment segment of the script: where the clock goes on (GO, HOLD, AGAIN, NEXT, BACK), which is longer (EXTEND), or the
 *     round that is counted or spoken of (HIT, MISS, COLLECT, FAULT, WORD, STANDS)
 * @param offsetMs milliseconds into that segment; for GO, HOLD, STOP_ALL, AGAIN, NEXT, BACK
 * @param take how often the round had been begun, from 1; for HIT, MISS, COLLECT, STANDS
 * @param pupilId for HIT, MISS, COLLECT, AWAY, HERE, WORD, STANDS; for FAULT, or null if it was seen in general
 * @param score for COLLECT: the number told, 0 to 100,000
 * @param addSec for EXTEND: 1 to 600
 * @param target for TAKE_BACK: the event that is taken back
 * @param device which tablet or laptop it was made on, or null in logs from before devices were told apart
 * @param note for FAULT: id of the ladder's fault; for WORD: a {@link Word}; for STANDS: the device whose count stands
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
        UUID target,
        String device,
        String note) {

    /** What can be done. */
    public enum Kind {
        GO,
        HOLD,
        /** Everybody stops at once: the clock holds until GO, and every screen says so. */
        STOP_ALL,
        AGAIN,
        NEXT,
        BACK,
        EXTEND,
        HIT,
        MISS,
        COLLECT,
        /** A pupil is put aside, and comes back. */
        AWAY,
        HERE,
        /** A usual fault was seen. */
        FAULT,
        /** The pupil's own word on how it was. */
        WORD,
        /** Where two devices counted the same pupil in the same round: whose count stands. */
        STANDS,
        TAKE_BACK,
        FINISH;

        boolean movesClock() {
            return this == GO || this == HOLD || this == STOP_ALL || this == AGAIN || this == NEXT || this == BACK;
        }

        boolean counts() {
            return this == HIT || this == MISS || this == COLLECT;
        }

        private boolean ofRound() {
            return counts() || this == STANDS;
        }

        private boolean ofPupil() {
            return ofRound() || this == AWAY || this == HERE || this == WORD;
        }
    }

    /** A pupil's own word on a round. */
    public enum Word {
        TOO_EASY,
        RIGHT,
        TOO_HARD
    }

    /** Far enough ahead for any device, and small enough that sums cannot overflow. */
    private static final double MAX_MS = 1e14;

    public RunEvent {
        Checks checks = new Checks().required("id", id).required("kind", kind).range("atMs", atMs, 0, MAX_MS);
        if (kind != null) {
            if (kind.movesClock() || kind.ofRound() || kind == Kind.EXTEND || kind == Kind.FAULT || kind == Kind.WORD)
                checks.range("segment", segment, 0, 1_000_000);
            if (kind.movesClock()) checks.range("offsetMs", offsetMs, 0, MAX_MS);
            if (kind.ofRound()) checks.range("take", take, 1, 1000);
            if (kind.ofPupil() || pupilId != null) checks.text("pupilId", pupilId, 60);
            if (device != null) checks.text("device", device, 40);
            if (kind == Kind.FAULT || kind == Kind.STANDS) checks.text("note", note, 60);
            if (kind == Kind.WORD)
                checks.that(
                        Arrays.stream(Word.values()).anyMatch(w -> w.name().equals(note)),
                        "note",
                        Fault.Rule.ONE_OF,
                        Arrays.stream(Word.values()).map(Word::name).collect(Collectors.joining(", ")));
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
            if (kind.ofRound()) {
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
