package org.unrulymarble.core.rehearse;

import java.util.random.RandomGenerator;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.ladder.Pace;
import org.unrulymarble.core.measure.CountInTime;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.HeldForTime;
import org.unrulymarble.core.measure.LongestRun;
import org.unrulymarble.core.measure.Measure;

/**
 * One round of one pupil, try by try: each goes in or not by chance, a hit takes its seconds and a miss with its fetch its own. The same picture as the
 * reckonings of gates have, which say its means exactly where they can.
 *
 * @param metSec when the gate was met, or infinite
 * @param doneSec when so many as are asked for by count were done, or infinite
 */
record TriedRound(int tries, double metSec, double doneSec) {

    /** What a round is about. @param reps what is asked for by count, or null @param byTries whether a miss counts for that too */
    record Asked(Measure measure, Gate gate, Pace pace, double sec, Integer reps, boolean byTries) {}

    static TriedRound of(Asked asked, double share, RandomGenerator random) {
        Pace pace = asked.pace();
        Goes goes = new Goes(asked);
        double now = 0;
        int tries = 0;
        int hits = 0;
        double met = Double.POSITIVE_INFINITY;
        double done = Double.POSITIVE_INFINITY;
        while (true) {
            boolean hit = random.nextDouble() < share;
            double then = now + (hit ? pace.hitSec() : pace.missSec());
            if (then > asked.sec() + Rounding.SLACK) break;
            now = then;
            tries++;
            if (hit) hits++;
            if (met == Double.POSITIVE_INFINITY && goes.met(hit, now)) met = now;
            if (asked.reps() != null
                    && done == Double.POSITIVE_INFINITY
                    && (asked.byTries() ? tries : hits) >= asked.reps()) done = now;
        }
        return new TriedRound(tries, met, done);
    }

    /** Counts towards the gate: in a row, in so many tries, in so many seconds, or in all. */
    private static final class Goes {
        private final int reach;
        private final boolean inARow;
        private final int ofTries;
        private final double ofSec;
        private int hits;
        private int tries;
        private double from;

        Goes(Asked asked) {
            Gate gate = asked.gate();
            boolean held = asked.measure() instanceof HeldForTime;
            inARow = held || gate instanceof Gate.InARow || asked.measure() instanceof LongestRun;
            reach = held ? Math.max(1, Rounding.ceil(gate.reach() / asked.pace().hitSec())) : gate.reach();
            ofSec = gate instanceof Gate.SoManyIn in ? Math.min(in.inSec(), asked.sec()) : Double.POSITIVE_INFINITY;
            boolean all = asked.measure() instanceof CountInTime && gate.outOf() == null;
            ofTries = inARow || all || gate instanceof Gate.SoManyIn
                    ? Integer.MAX_VALUE
                    : gate.outOf() == null ? gate.reach() : gate.outOf();
        }

        boolean met(boolean hit, double nowSec) {
            while (nowSec > from + ofSec + Rounding.SLACK) {
                from += ofSec;
                hits = 0;
            }
            tries++;
            if (hit) hits++;
            else if (inARow) hits = 0;
            boolean met = hits >= reach;
            if (tries >= ofTries) {
                tries = 0;
                hits = 0;
            }
            return met;
        }
    }
}
