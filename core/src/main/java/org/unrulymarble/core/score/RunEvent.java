package org.unrulymarble.core.score;

import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * One thing that somebody did during a run. Never changed once made; taking back is an event of its own.
 *
 * @param id time-ordered, made on the device; events fold in the order of their ids
 * @param atMs when, on the device's clock, in milliseconds since 1970
 * @param segment segment of the script: where the clock goes on (GO, HOLD, AGAIN, NEXT, BACK), which is longer (EXTEND), the round that
 *     is counted or spoken of, or from which a pupil is on another rung (RUNG)
 * @param offsetMs milliseconds into that segment; for what moves the clock and for START, SPLIT, STOP; for
 *     COLLECT the time that was told, or null
 * @param take how often the round had been begun, from 1; for all that is counted, STANDS, TRIAL
 * @param pupilId whom it is about; for ENDED and BALL the first worker of the crew, for FAULT null if it was seen in general
 * @param score for COLLECT: the number told, 0 to 100,000; for HIT, where the measure asks: the level, spot or number of the ball; for
 *     ENDED: the points of the end
 * @param addSec for EXTEND: 1 to 600
 * @param target for TAKE_BACK: the event that is taken back
 * @param device which tablet or laptop it was made on, or null in logs from before devices were told apart
 * @param note for FAULT: id of the ladder's fault; for WORD: a {@link Word}; for STANDS: the device whose count stands; for RUNG: the
 *     rung's id; for SAID: the pupil's one word; for BALL and ENDED: A or B, for ENDED also TIE; for MISS, where no-balls are kept: a
 *     {@link Bowling.NoBall}, or null
 * @param xCm for LANDED and BALL: where, right of the middle or of the jack, -20,000 to 20,000
 * @param yCm for LANDED and BALL: where, above or beyond
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
        String note,
        Double xCm,
        Double yCm) {

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
        /** Where a throw landed on the drawn target. */
        LANDED,
        /** A watch: begun, so many done, ended. */
        START,
        SPLIT,
        STOP,
        /** Where a ball lies in a match, and who won an end of it. */
        BALL,
        ENDED,
        COLLECT,
        /** A pupil is put aside, and comes back. */
        AWAY,
        HERE,
        /** A usual fault was seen. */
        FAULT,
        /** The pupil's own word on how it was. */
        WORD,
        /** One word after free combining. */
        SAID,
        /** A pupil is on another rung from here on. */
        RUNG,
        /** This round was to find out: nobody's best, nobody's first. */
        TRIAL,
        /** Where two devices counted the same pupil in the same round: whose count stands. */
        STANDS,
        /** Whether the wall shows what was scored. */
        SCORES_ON,
        SCORES_OFF,
        TAKE_BACK,
        FINISH;

        boolean movesClock() {
            return this == GO || this == HOLD || this == STOP_ALL || this == AGAIN || this == NEXT || this == BACK;
        }

        /** What a pad makes, one tap after the other. */
        boolean taps() {
            return this == HIT || this == MISS || this == LANDED || timed() || this == BALL || this == ENDED;
        }

        boolean timed() {
            return this == START || this == SPLIT || this == STOP;
        }

        private boolean ofRound() {
            return taps() || this == COLLECT || this == STANDS;
        }

        private boolean ofPupil() {
            return ofRound() || this == AWAY || this == HERE || this == WORD || this == SAID || this == RUNG;
        }

        private boolean hasSegment() {
            return movesClock()
                    || ofRound()
                    || this == EXTEND
                    || this == FAULT
                    || this == WORD
                    || this == SAID
                    || this == RUNG
                    || this == TRIAL;
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
            if (kind.hasSegment()) checks.range("segment", segment, 0, 1_000_000);
            if (kind.movesClock() || kind.timed()) checks.range("offsetMs", offsetMs, 0, MAX_MS);
            if (kind.ofRound() || kind == Kind.TRIAL) checks.range("take", take, 1, 1000);
            if (kind.ofPupil() || pupilId != null) checks.text("pupilId", pupilId, 60);
            if (device != null) checks.text("device", device, 40);
            if (kind == Kind.FAULT || kind == Kind.STANDS || kind == Kind.RUNG) checks.text("note", note, 60);
            if (kind == Kind.SAID) checks.text("note", note, 24);
            if (kind == Kind.WORD) oneOf(checks, note, names(Word.values()));
            if (kind == Kind.BALL) oneOf(checks, note, List.of("A", "B"));
            if (kind == Kind.ENDED) oneOf(checks, note, List.of("A", "B", "TIE"));
            if (kind == Kind.MISS && note != null) oneOf(checks, note, names(Bowling.NoBall.values()));
            if (kind == Kind.LANDED || kind == Kind.BALL)
                checks.range("xCm", xCm, -20_000, 20_000).range("yCm", yCm, -20_000, 20_000);
            if (kind == Kind.COLLECT && offsetMs != null) checks.range("offsetMs", offsetMs, 0, 86_400_000);
            if (kind == Kind.COLLECT || (kind == Kind.HIT && score != null)) checks.range("score", score, 0, 100_000);
            if (kind == Kind.ENDED) checks.range("score", score, 0, 64);
            if (kind == Kind.EXTEND) checks.range("addSec", addSec, 1, 600);
            if (kind == Kind.TAKE_BACK) checks.required("target", target);
        }
        checks.done();
    }

    private static void oneOf(Checks checks, String note, List<String> words) {
        checks.that(words.contains(note), "note", Fault.Rule.ONE_OF, String.join(", ", words));
    }

    private static List<String> names(Enum<?>[] words) {
        return Arrays.stream(words).map(Enum::name).toList();
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
            if (kind == Kind.RUNG && segment < script.segments().size())
                checks.that(
                        script.blockOf(script.segment(segment)).rung(note) != null, "note", Fault.Rule.UNKNOWN, note);
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
