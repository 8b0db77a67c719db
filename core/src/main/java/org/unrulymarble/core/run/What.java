package org.unrulymarble.core.run;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.measure.Tap;

/** What was done, with what belongs to it. Segments are those of the run's script, from 0. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
    @JsonSubTypes.Type(value = What.Go.class, name = "GO"),
    @JsonSubTypes.Type(value = What.Hold.class, name = "HOLD"),
    @JsonSubTypes.Type(value = What.StopAll.class, name = "STOP_ALL"),
    @JsonSubTypes.Type(value = What.Again.class, name = "AGAIN"),
    @JsonSubTypes.Type(value = What.Next.class, name = "NEXT"),
    @JsonSubTypes.Type(value = What.Back.class, name = "BACK"),
    @JsonSubTypes.Type(value = What.Extend.class, name = "EXTEND"),
    @JsonSubTypes.Type(value = What.Tapped.class, name = "TAPPED"),
    @JsonSubTypes.Type(value = What.Told.class, name = "TOLD"),
    @JsonSubTypes.Type(value = What.Stands.class, name = "STANDS"),
    @JsonSubTypes.Type(value = What.Trial.class, name = "TRIAL"),
    @JsonSubTypes.Type(value = What.Away.class, name = "AWAY"),
    @JsonSubTypes.Type(value = What.Here.class, name = "HERE"),
    @JsonSubTypes.Type(value = What.FaultSeen.class, name = "FAULT_SEEN"),
    @JsonSubTypes.Type(value = What.OwnWord.class, name = "OWN_WORD"),
    @JsonSubTypes.Type(value = What.Said.class, name = "SAID"),
    @JsonSubTypes.Type(value = What.OnRung.class, name = "ON_RUNG"),
    @JsonSubTypes.Type(value = What.ScoresOnWall.class, name = "SCORES_ON_WALL"),
    @JsonSubTypes.Type(value = What.TakeBack.class, name = "TAKE_BACK"),
    @JsonSubTypes.Type(value = What.Finish.class, name = "FINISH")
})
public sealed interface What {

    default void checkAgainst(RunScript script, Checks checks) {}

    /** Time flows from here. */
    record Go(Integer segment, Long offsetMs) implements MovesClock {
        public Go {
            place(segment, offsetMs);
        }
    }

    record Hold(Integer segment, Long offsetMs) implements MovesClock {
        public Hold {
            place(segment, offsetMs);
        }
    }

    /** Everybody stops at once: the clock holds until GO, and every screen says so. */
    record StopAll(Integer segment, Long offsetMs) implements MovesClock {
        public StopAll {
            place(segment, offsetMs);
        }
    }

    /** A round is begun anew. */
    record Again(Integer segment, Long offsetMs) implements MovesClock {
        public Again {
            place(segment, offsetMs);
        }
    }

    /** On to a later place. */
    record Next(Integer segment, Long offsetMs) implements MovesClock {
        public Next {
            place(segment, offsetMs);
        }
    }

    /** Back to an earlier place: what comes from there on is begun anew. */
    record Back(Integer segment, Long offsetMs) implements MovesClock {
        public Back {
            place(segment, offsetMs);
        }
    }

    /** So many seconds more for one segment, 1 to 600. */
    record Extend(Integer segment, Integer addSec) implements What {
        public Extend {
            new Checks()
                    .range("segment", segment, 0, MOST_SEGMENTS)
                    .range("addSec", addSec, 1, 600)
                    .done();
        }

        @Override
        public void checkAgainst(RunScript script, Checks checks) {
            inScript(segment, script, checks);
        }
    }

    /** @param take how often the round had been begun, from 1; {@code pupilId} of a match: the first worker of the crew */
    record Tapped(Integer segment, Integer take, String pupilId, Tap tap) implements OfRound {
        public Tapped {
            round(segment, take, pupilId).required("tap", tap).done();
        }

        /** Who relieves a bowler is at the same spot. */
        @Override
        public void checkAgainst(RunScript script, Checks checks) {
            OfRound.super.checkAgainst(script, checks);
            if (!(tap instanceof Tap.Bowls next) || !script.isRound(segment)) return;
            RunScript.Crew crew = script.crewOf(script.segment(segment), pupilId);
            if (crew == null) return;
            boolean there =
                    crew.workers().contains(next.pupilId()) || crew.helpers().contains(next.pupilId());
            checks.that(there, "what.tap.pupilId", Fault.Rule.UNKNOWN, next.pupilId());
        }
    }

    /**
     * A number that was told in the rest.
     *
     * @param score 0 to 100,000
     * @param timeMs where a time was told with its tenths: 0 to 86,400,000; else null
     */
    record Told(
            Integer segment,
            Integer take,
            String pupilId,
            Integer score,
            @Nullable Integer timeMs) implements OfRound {
        public Told {
            Checks checks = round(segment, take, pupilId).range("score", score, 0, 100_000);
            if (timeMs != null) checks.range("timeMs", timeMs, 0, 86_400_000);
            checks.done();
        }
    }

    /** Where two devices counted the same pupil in the same round: whose count stands. */
    record Stands(Integer segment, Integer take, String pupilId, String device) implements OfRound {
        public Stands {
            round(segment, take, pupilId).text("device", device, 60).done();
        }
    }

    /** This round was to find out: nobody's best, nobody's first. */
    record Trial(Integer segment, Integer take) implements What {
        public Trial {
            new Checks()
                    .range("segment", segment, 0, MOST_SEGMENTS)
                    .range("take", take, 1, MOST_TAKES)
                    .done();
        }

        @Override
        public void checkAgainst(RunScript script, Checks checks) {
            inScript(segment, script, checks);
        }
    }

    /** A pupil is put aside. */
    record Away(String pupilId) implements What {
        public Away {
            new Checks().text("pupilId", pupilId, 60).done();
        }
    }

    /** A pupil comes, or comes back. */
    record Here(String pupilId) implements What {
        public Here {
            new Checks().text("pupilId", pupilId, 60).done();
        }
    }

    /** A usual fault was seen: {@code pupilId} null if in general, {@code faultId} of the ladder's. */
    record FaultSeen(Integer segment, @Nullable String pupilId, String faultId) implements Remarked {
        public FaultSeen {
            Checks checks = new Checks().range("segment", segment, 0, MOST_SEGMENTS);
            if (pupilId != null) checks.text("pupilId", pupilId, 60);
            checks.text("faultId", faultId, 60).done();
        }

        @Override
        public Kind kind() {
            return Kind.FAULT;
        }

        @Override
        public String note() {
            return faultId;
        }
    }

    /** The pupil's own word on how it was. */
    record OwnWord(Integer segment, String pupilId, Word word) implements Remarked {
        public OwnWord {
            new Checks()
                    .range("segment", segment, 0, MOST_SEGMENTS)
                    .text("pupilId", pupilId, 60)
                    .required("word", word)
                    .done();
        }

        @Override
        public Kind kind() {
            return Kind.WORD;
        }

        @Override
        public String note() {
            return word.name();
        }
    }

    /** One word after free combining. */
    record Said(Integer segment, String pupilId, String word) implements Remarked {
        public Said {
            new Checks()
                    .range("segment", segment, 0, MOST_SEGMENTS)
                    .text("pupilId", pupilId, 60)
                    .text("word", word, 24)
                    .done();
        }

        @Override
        public Kind kind() {
            return Kind.SAID;
        }

        @Override
        public String note() {
            return word;
        }
    }

    /** A pupil is on another rung from here on, in this block. */
    record OnRung(Integer segment, String pupilId, String rungId) implements What {
        public OnRung {
            new Checks()
                    .range("segment", segment, 0, MOST_SEGMENTS)
                    .text("pupilId", pupilId, 60)
                    .text("rungId", rungId, 60)
                    .done();
        }

        @Override
        public void checkAgainst(RunScript script, Checks checks) {
            onStretch(segment, script, checks);
            if (segment < script.segments().size())
                checks.that(
                        script.blockOf(script.segment(segment)).rung(rungId) != null,
                        "what.rungId",
                        Fault.Rule.UNKNOWN,
                        rungId);
        }
    }

    /** Whether the wall shows what was scored. */
    record ScoresOnWall(Boolean on) implements What {
        public ScoresOnWall {
            new Checks().required("on", on).done();
        }
    }

    /** Another event never was. */
    record TakeBack(UUID target) implements What {
        public TakeBack {
            new Checks().required("target", target).done();
        }
    }

    record Finish() implements What {}

    /** Where the clock goes on: {@code offsetMs} milliseconds into a segment. */
    sealed interface MovesClock extends What {
        Integer segment();

        Long offsetMs();

        @Override
        default void checkAgainst(RunScript script, Checks checks) {
            inScript(segment(), script, checks);
        }
    }

    /** What belongs to one pupil in one round. */
    sealed interface OfRound extends What {
        Integer segment();

        Integer take();

        String pupilId();

        @Override
        default void checkAgainst(RunScript script, Checks checks) {
            inScript(segment(), script, checks);
            boolean round = script.isRound(segment());
            checks.that(round, "what.segment", Fault.Rule.UNKNOWN, segment());
            if (round)
                checks.that(
                        script.crewOf(script.segment(segment()), pupilId()) != null,
                        "what.pupilId",
                        Fault.Rule.UNKNOWN,
                        pupilId());
        }
    }

    /** What is kept beside results: faults seen, pupils' words. */
    sealed interface Remarked extends What {

        /** As it is kept. */
        enum Kind {
            FAULT,
            WORD,
            SAID,
            /** The rung that a pupil chose, where each works on what they choose. */
            CHOSE,
            /** A cue that was called to all who worked: the fault was nobody's in particular. */
            CALLED
        }

        Integer segment();

        /** Null for what was seen in general. */
        String pupilId();

        Kind kind();

        /** The fault's id or the word. */
        String note();

        @Override
        default void checkAgainst(RunScript script, Checks checks) {
            onStretch(segment(), script, checks);
        }
    }

    /** A pupil's own word on a round. */
    enum Word {
        TOO_EASY,
        RIGHT,
        TOO_HARD
    }

    int MOST_SEGMENTS = 1_000_000;
    int MOST_TAKES = 1000;

    private static void place(Integer segment, Long offsetMs) {
        new Checks()
                .range("segment", segment, 0, MOST_SEGMENTS)
                .range("offsetMs", offsetMs, 0, Tap.MAX_MS)
                .done();
    }

    private static Checks round(Integer segment, Integer take, String pupilId) {
        return new Checks()
                .range("segment", segment, 0, MOST_SEGMENTS)
                .range("take", take, 1, MOST_TAKES)
                .text("pupilId", pupilId, 60);
    }

    /** On one of the script's stretches: after the last there is nobody on a rung and nothing to be seen. */
    private static void onStretch(Integer segment, RunScript script, Checks checks) {
        checks.range("what.segment", segment, 0, script.segments().size() - 1);
    }

    /** On a stretch, or at the end after the last. */
    private static void inScript(Integer segment, RunScript script, Checks checks) {
        checks.range("what.segment", segment, 0, script.segments().size());
    }
}
