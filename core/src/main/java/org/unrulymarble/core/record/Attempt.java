package org.unrulymarble.core.record;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.clock.Segment;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.ladder.Rung;
import org.unrulymarble.core.ladder.Side;
import org.unrulymarble.core.measure.Detail;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.run.RoundResult;
import org.unrulymarble.core.run.RoundTime;
import org.unrulymarble.core.run.RunScript;

/**
 * One pupil, one rung with its modifiers, one side, one set.
 *
 * @param id lasting, so that a correction finds it
 * @param set from 1
 * @param time how long the round was worked and was to last, or null if it was not by the clock
 * @param detail what else is known of the round, or null
 * @param jointWith pupils who share this result, else empty
 */
public record Attempt(
        String id,
        String pupilId,
        LocalDate on,
        @JsonUnwrapped Task task,
        Integer set,
        @JsonUnwrapped Counts counts,
        @Nullable RoundTime time,
        @JsonUnwrapped Things things,
        @JsonUnwrapped Setting setting,
        @JsonUnwrapped Worth worth,
        @Nullable Detail detail,
        List<String> jointWith) {

    /**
     * What was to be done: the rung, how, and on which side.
     *
     * @param scoredBy the measure where it was another than the rung's, or had other figures; else null
     */
    public record Task(
            String ladderId,
            String rungId,
            List<Modifier> modifiers,
            Side side,
            @Nullable Measure scoredBy) {

        public Task {
            modifiers = modifiers == null ? List.of() : List.copyOf(modifiers);
        }

        /** Scored as the rung is. */
        public Task(String ladderId, String rungId, List<Modifier> modifiers, Side side) {
            this(ladderId, rungId, modifiers, side, null);
        }
    }

    /**
     * What came of it.
     *
     * @param score in the unit of the rung's measure, 0 to 100,000
     * @param hits tries that counted, or null if only the score is known
     * @param misses tries that did not, or null if nobody counted them
     * @param tries all tries, or null if that is not known
     * @param inARow most hits one after the other, or null if that is not known
     */
    public record Counts(
            Integer score,
            @Nullable Integer hits,
            @Nullable Integer misses,
            @Nullable Integer tries,
            @Nullable Integer inARow) {}

    /**
     * What it was done with.
     *
     * @param distanceM where another distance was taken than the rung's, else null; {@code target} likewise, in words
     */
    public record Things(
            @Nullable String ball,
            @Nullable Double distanceM,
            @Nullable String target) {}

    /**
     * With whom and where.
     *
     * @param with who fed or partnered, in words, or null
     * @param where at school or at home
     */
    public record Setting(@Nullable String with, @Nullable String space, Where where) {

        public Setting {
            where = where == null ? Where.SCHOOL : where;
        }
    }

    /**
     * What the result is worth.
     *
     * @param confirmed whether somebody of the school saw or confirmed it; what was typed in or came from home counts less until then
     * @param chosen whether the rung was chosen in a run and not planned: it moves nobody
     * @param trial whether the round was to find out: no first, no best, no gate
     */
    public record Worth(RoundResult.Source countedBy, boolean confirmed, boolean chosen, boolean trial) {}

    /** Where it was done. */
    public enum Where {
        SCHOOL,
        HOME
    }

    public Attempt {
        jointWith = jointWith == null ? List.of() : List.copyOf(jointWith);
        Checks checks = new Checks()
                .text("id", id, 60)
                .text("pupilId", pupilId, 60)
                .required("on", on)
                .text("ladderId", task.ladderId(), 60)
                .text("rungId", task.rungId(), 60)
                .required("side", task.side())
                .range("set", set, 1, 60)
                .range("score", counts.score(), 0, 100_000)
                .required("countedBy", worth.countedBy());
        if (counts.hits() != null) checks.range("hits", counts.hits(), 0, 100_000);
        if (counts.misses() != null) checks.range("misses", counts.misses(), 0, 100_000);
        if (counts.tries() != null) checks.range("tries", counts.tries(), 0, 200_000);
        if (counts.inARow() != null) checks.range("inARow", counts.inARow(), 0, 100_000);
        if (time != null) checks.seconds("workSec", time.workedSec());
        if (things.distanceM() != null) checks.length("distanceM", things.distanceM());
        if (things.target() != null) checks.text("target", things.target(), 60);
        if (setting.with() != null) checks.text("with", setting.with(), 60);
        checks.done();
    }

    /**
     * What a run's round comes to in the record.
     *
     * @param ball what the block was played with, or null
     */
    public static Attempt ofRound(String id, RoundResult r, RunScript script, LocalDate on, String ball, String space) {
        Segment segment = script.segment(r.segment());
        RunScript.ScriptBlock block = script.blockOf(segment);
        RunScript.ScriptRung rung = block.rung(r.rungId());
        return new Attempt(
                id,
                r.pupilId(),
                on,
                new Task(
                        block.ladderId(),
                        r.rungId(),
                        block.modifiers(),
                        block.sides().get(segment.side()),
                        rung == null ? null : rung.scoredBy()),
                segment.set() + 1,
                new Counts(r.score(), r.hits(), r.misses(), r.tries(), r.inARow()),
                r.time(),
                new Things(ball, block.otherwise().standM(), block.otherwise().target()),
                new Setting(null, space, Where.SCHOOL),
                new Worth(r.source(), r.source() != RoundResult.Source.TYPED, r.chosen(), r.trial()),
                r.detail(),
                r.jointWith());
    }

    /** The same result under another id. */
    public Attempt withId(String otherId) {
        return new Attempt(otherId, pupilId, on, task, set, counts, time, things, setting, worth, detail, jointWith);
    }

    public String ladderId() {
        return task.ladderId();
    }

    public String rungId() {
        return task.rungId();
    }

    public List<Modifier> modifiers() {
        return task.modifiers();
    }

    public Side side() {
        return task.side();
    }

    /** What its score is counted by. */
    public Measure measure(Rung rung) {
        return task.scoredBy() == null ? rung.measure() : task.scoredBy();
    }

    public Integer score() {
        return counts.score();
    }

    public Integer hits() {
        return counts.hits();
    }

    public Integer misses() {
        return counts.misses();
    }

    public Integer tries() {
        return counts.tries();
    }

    public Integer inARow() {
        return counts.inARow();
    }

    public String ball() {
        return things.ball();
    }

    public Double distanceM() {
        return things.distanceM();
    }

    public String target() {
        return things.target();
    }

    public String with() {
        return setting.with();
    }

    public String space() {
        return setting.space();
    }

    public Where where() {
        return setting.where();
    }

    public RoundResult.Source countedBy() {
        return worth.countedBy();
    }

    public boolean confirmed() {
        return worth.confirmed();
    }

    public boolean chosen() {
        return worth.chosen();
    }

    public boolean trial() {
        return worth.trial();
    }

    /** Whole seconds that were worked, or null if it was not by the clock. */
    public Integer workSec() {
        return time == null ? null : (Integer) time.workedSec();
    }

    /** Whether less than half of what was asked was worked: nobody's first or best. */
    public boolean isBrokenOff() {
        return time != null && time.isBrokenOff();
    }

    /** As a gate looks at it. */
    public Gate.Round round() {
        return new Gate.Round(score(), hits(), tries(), inARow(), workSec());
    }

    /** Milliseconds of the best go where a watch was stopped, else null. */
    public Integer timeMs() {
        return detail instanceof Detail.Timed timed ? timed.timeMs() : null;
    }

    /** Whether it is one pupil's own and its misses were counted: only that says anything about a rate. */
    public boolean isEvidence() {
        return hits() != null && misses() != null && !trial() && jointWith.isEmpty();
    }

    /** Whether it compares with anything at all: of hits of so many tries nobody knows the share while nobody knows the tries. */
    public boolean compares(Measure measure) {
        return measure.compared() != Measure.Compared.BY_TRIES || tries() != null && tries() > 0;
    }

    /**
     * What must be alike for two attempts to be compared: the same task, done the same way with the same things; where a length of round has no
     * rate to compare by, the same length asked.
     */
    public Kindred kindred(Measure measure) {
        Integer askedSec = measure.compared() == Measure.Compared.SAME_SECONDS && time != null ? time.askedSec() : null;
        boolean byClock = measure.compared() == Measure.Compared.BY_SECONDS && time != null;
        return new Kindred(pupilId, task, things, askedSec, byClock, !jointWith.isEmpty());
    }

    /** Attempts of one kindred compare; those of different ones never have one best. */
    public record Kindred(String pupilId, Task task, Things things, Integer askedSec, boolean byClock, boolean joint) {}
}
