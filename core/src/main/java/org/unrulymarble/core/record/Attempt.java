package org.unrulymarble.core.record;

import java.time.LocalDate;
import java.util.List;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.ladder.Modifier;
import org.unrulymarble.core.score.RoundDetail;
import org.unrulymarble.core.score.RoundResult;
import org.unrulymarble.core.score.Side;

/**
 * One pupil, one rung with its modifiers, one side, one set.
 *
 * @param id lasting, so that a correction finds it
 * @param set from 1
 * @param score in the unit of the rung's measure, 0 to 100,000
 * @param hits tries that counted, or null if only the score is known
 * @param misses tries that did not, or null if nobody counted them
 * @param tries all tries, or null if that is not known
 * @param workSec length of the round, or null if it was not by the clock
 * @param distanceM where another distance was taken than the rung's, else null; {@code target} likewise, in words
 * @param with who fed or partnered, in words, or null
 * @param where at school or at home
 * @param confirmed whether somebody of the school saw or confirmed it; what was typed in or came from home counts less until then
 * @param trial whether the round was to find out: no first, no best, no gate
 * @param detail what else is known of the round, or null
 * @param jointWith pupils who share this result, else empty
 */
public record Attempt(
        String id,
        String pupilId,
        LocalDate on,
        String ladderId,
        String rungId,
        List<Modifier> modifiers,
        Side side,
        Integer set,
        Integer score,
        Integer hits,
        Integer misses,
        Integer tries,
        Integer workSec,
        String ball,
        Double distanceM,
        String target,
        String with,
        String space,
        Where where,
        RoundResult.Source countedBy,
        boolean confirmed,
        boolean trial,
        RoundDetail detail,
        List<String> jointWith) {

    /** Where it was done. */
    public enum Where {
        SCHOOL,
        HOME
    }

    public Attempt {
        modifiers = modifiers == null ? List.of() : List.copyOf(modifiers);
        jointWith = jointWith == null ? List.of() : List.copyOf(jointWith);
        where = where == null ? Where.SCHOOL : where;
        Checks checks = new Checks()
                .text("id", id, 60)
                .text("pupilId", pupilId, 60)
                .required("on", on)
                .text("ladderId", ladderId, 60)
                .text("rungId", rungId, 60)
                .required("side", side)
                .range("set", set, 1, 60)
                .range("score", score, 0, 100_000)
                .required("countedBy", countedBy);
        if (hits != null) checks.range("hits", hits, 0, 100_000);
        if (misses != null) checks.range("misses", misses, 0, 100_000);
        if (tries != null) checks.range("tries", tries, 0, 200_000);
        if (workSec != null) checks.seconds("workSec", workSec);
        if (distanceM != null) checks.length("distanceM", distanceM);
        if (target != null) checks.text("target", target, 60);
        if (with != null) checks.text("with", with, 60);
        checks.done();
    }

    /** The same result under another id. */
    public Attempt withId(String otherId) {
        return new Attempt(
                otherId, pupilId, on, ladderId, rungId, modifiers, side, set, score, hits, misses, tries, workSec, ball,
                distanceM, target, with, space, where, countedBy, confirmed, trial, detail, jointWith);
    }

    /** Milliseconds of the best go where a watch was stopped, else null. */
    public Integer timeMs() {
        return detail == null ? null : detail.timeMs();
    }

    /** Whether it is one pupil's own and its misses were counted: only that says anything about a rate. */
    public boolean isEvidence() {
        return hits != null && misses != null && !trial && jointWith.isEmpty();
    }

    /** What must be alike for two attempts to be compared: the same task, done the same way with the same things. */
    public Kindred kindred() {
        return new Kindred(pupilId, ladderId, rungId, modifiers, side, ball, distanceM, target, !jointWith.isEmpty());
    }

    /** Attempts of one kindred compare; those of different ones never have one best. A length of round is no part of it: lengths compare as rates. */
    public record Kindred(
            String pupilId,
            String ladderId,
            String rungId,
            List<Modifier> modifiers,
            Side side,
            String ball,
            Double distanceM,
            String target,
            boolean joint) {}
}
