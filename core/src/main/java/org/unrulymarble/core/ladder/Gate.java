package org.unrulymarble.core.ladder;

import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * What opens the next rung: {@code reach} or better in one round.
 *
 * @param reach in the unit of the rung's measure: a count, a run, seconds, steps, points; 1 to 14,400
 * @param of for hits of n: out of so many tries, {@code reach}..1,000; else null
 * @param inSec for counts in a time: in so many seconds, 1 to 14,400; else null
 */
public record Gate(Integer reach, Integer of, Integer inSec) {

    public Gate {
        Checks checks = new Checks().range("reach", reach, 1, Checks.MAX_SEC);
        if (of != null)
            checks.range("of", of, 1, 1000)
                    .that(reach == null || of >= reach, "of", Fault.Rule.AT_LEAST_FIELD, "reach");
        if (inSec != null) checks.range("inSec", inSec, 1, Checks.MAX_SEC);
        checks.done();
    }

    /**
     * Whether one round passes.
     *
     * <p>A count in a shorter round passes as it stands. In a longer round it must keep the gate's pace to the end, since only
     * a rate compares rounds of different length. Hits of n need at least n tries at the gate's share.
     *
     * @param score in the measure's unit
     * @param tries hits and misses together, or null if misses were not counted
     * @param workSec length of the round, or null if it was not timed, which passes no gate that has a time
     */
    public boolean metBy(Measure measure, int score, Integer tries, Integer workSec) {
        if (measure.lessIsBetter()) return score > 0 && score <= reach;
        if (of != null) return tries != null && tries >= of && (long) score * of >= (long) reach * tries;
        if (inSec != null && workSec == null) return false;
        if (inSec != null && workSec > inSec) return (long) score * inSec >= (long) reach * workSec;
        return score >= reach;
    }
}
