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
 * @param set from 1
 * @param score in the unit of the rung's measure, 0 to 100,000
 * @param hits tries that counted, or null if only the score is known
 * @param misses tries that did not, or null if nobody counted them
 * @param tries all tries, or null if that is not known
 * @param workSec length of the round, or null if it was not by the clock
 * @param trial whether the round was to find out: no first, no best, no gate
 * @param detail what else is known of the round, or null
 * @param jointWith pupils who share this result, else empty
 */
public record Attempt(
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
        String space,
        RoundResult.Source countedBy,
        boolean trial,
        RoundDetail detail,
        List<String> jointWith) {

    public Attempt {
        modifiers = modifiers == null ? List.of() : List.copyOf(modifiers);
        jointWith = jointWith == null ? List.of() : List.copyOf(jointWith);
        Checks checks = new Checks()
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
        checks.done();
    }

    /** Milliseconds of the best go where a watch was stopped, else null. */
    public Integer timeMs() {
        return detail == null ? null : detail.timeMs();
    }
}
