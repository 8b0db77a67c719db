package org.unrulymarble.core.chance;

import org.hipparchus.special.Beta;
import org.hipparchus.util.CombinatoricsUtils;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.ladder.Pace;
import org.unrulymarble.core.measure.CountInTime;
import org.unrulymarble.core.measure.Gate;
import org.unrulymarble.core.measure.HeldForTime;
import org.unrulymarble.core.measure.HitsOfN;
import org.unrulymarble.core.measure.LongestRun;
import org.unrulymarble.core.measure.Measure;
import org.unrulymarble.core.measure.NoBalls;

/**
 * How likely a gate is met within some seconds by somebody whose tries go in with share p. Source: runs by the recurrence for success runs in time, so many
 * hits by the negative binomial (the misses before the n-th hit), each hit and each miss with its fetch taking its own
 * seconds; goes follow each other, and a go is over as soon as its gate is met. Tries are taken as alike and independent.
 */
public final class GateChance {

    private static final double STEP_SEC = 0.5;
    private static final int MOST_STEPS = 2000;

    private GateChance() {}

    /** Whether there is a reckoning for this gate at all: a place, points or a match have none. */
    public static boolean known(Measure measure, Gate gate) {
        if (!(gate instanceof Gate.Reach)) return measure.countsTries();
        return measure instanceof CountInTime
                || measure instanceof LongestRun
                || measure instanceof HitsOfN
                || measure instanceof NoBalls
                || measure instanceof HeldForTime;
    }

    /** @param gate one that is {@link #known}; {@code sec} time that there is, with as many goes as fit into it */
    public static double within(Measure measure, Gate gate, Pace pace, double p, double sec) {
        int reach = gate.reach();
        if (gate instanceof Gate.InARow || measure instanceof LongestRun) return rowWithin(reach, pace, p, sec);
        if (measure instanceof HeldForTime)
            return rowWithin(Math.max(1, Rounding.ceil(reach / pace.hitSec())), pace, p, sec);
        if (gate instanceof Gate.SoManyIn in) return timedGoesWithin(reach, in.inSec(), pace, p, sec);
        if (measure instanceof CountInTime && gate.outOf() == null) return hitsWithin(reach, pace, p, sec);
        return goesWithin(reach, gate.outOf() == null ? reach : gate.outOf(), pace, p, sec);
    }

    /**
     * Chance of n hits one after the other within so many seconds, P(t) = p^n [t >= n hits] + sum over j below n of p^j (1 - p) P(t - j hits - a miss),
     * on steps of time of which a hit takes whole ones.
     */
    private static double rowWithin(int n, Pace pace, double p, double sec) {
        double stepSec = pace.hitSec() / Math.max(1, Math.ceil(pace.hitSec() / Math.max(STEP_SEC, sec / MOST_STEPS)));
        // A hit shorter than a step makes more of them than a round ever needs.
        int last = Math.min(2 * MOST_STEPS, Rounding.floor(sec / stepSec));
        int hit = (int) Math.round(pace.hitSec() / stepSec);
        int miss = (int) Math.max(1, Math.round(pace.missSec() / stepSec));
        if (last < (long) n * hit) return 0;
        double row = Math.pow(p, n);
        double[] met = new double[last + 1];
        double[] afterMiss = new double[last + 1];
        for (int t = 0; t <= last; t++) {
            afterMiss[t] = (1 - p) * at(met, t - miss)
                    + p * at(afterMiss, t - hit)
                    - row * (1 - p) * at(met, t - (long) n * hit - miss);
            met[t] = (t >= (long) n * hit ? row : 0) + afterMiss[t];
        }
        return Math.min(1, met[last]);
    }

    private static double at(double[] chance, long step) {
        return step < 0 ? 0 : chance[(int) step];
    }

    /** Goes of so many seconds one after the other, each from nothing. */
    private static double timedGoesWithin(int n, int goSec, Pace pace, double p, double sec) {
        int whole = Rounding.floor(sec / goSec);
        double inRest = hitsWithin(n, pace, p, sec - (double) whole * goSec);
        return whole == 0 ? inRest : 1 - Math.pow(1 - hitsWithin(n, pace, p, goSec), whole) * (1 - inRest);
    }

    /** Goes of so many tries one after the other; one that misses takes its mean time. */
    private static double goesWithin(int n, int of, Pace pace, double p, double sec) {
        double once = Odds.atLeast(p, of, n);
        if (once <= 0) return 0;
        double hitsOfMissed = once >= 1 ? 0 : of * p * (1 - once - (1 - p) * exactly(p, of - 1, n - 1)) / (1 - once);
        double missedSec = hitsOfMissed * pace.hitSec() + (of - hitsOfMissed) * pace.missSec();
        // Within these a go is over, met or not.
        double longestSec = n * pace.hitSec() + (of - n) * pace.missSec();
        int whole = sec < longestSec ? 0 : 1 + Rounding.floor((sec - longestSec) / missedSec);
        double stillToMeet = Math.pow(1 - once, whole);
        double chance = 1 - stillToMeet;
        for (double left = sec - whole * missedSec; left >= n * pace.hitSec() - Rounding.SLACK; left -= missedSec) {
            chance += stillToMeet * hitsWithin(n, pace, p, left);
            stillToMeet *= 1 - once;
        }
        return chance;
    }

    private static double exactly(double p, int of, int hits) {
        return Math.exp(CombinatoricsUtils.binomialCoefficientLog(of, hits)
                + hits * Math.log(p)
                + (of - hits) * Math.log1p(-p));
    }

    /** Chance of n hits within so many seconds. */
    public static double hitsWithin(int n, Pace pace, double p, double sec) {
        double left = sec - n * pace.hitSec();
        if (left < -Rounding.SLACK) return 0;
        if (p >= 1) return 1;
        if (p <= 0) return 0;
        double misses = Math.floor(left / pace.missSec() + Rounding.SLACK);
        return Beta.regularizedBeta(p, n, misses + 1);
    }

    /** Chance that n tries, hit or miss, are done within so many seconds. */
    public static double triesWithin(int n, Pace pace, double p, double sec) {
        double left = sec - n * pace.hitSec();
        if (left < -Rounding.SLACK) return 0;
        double more = pace.missSec() - pace.hitSec();
        if (more <= 0) return 1;
        int misses = (int) Math.min(n, Math.floor(left / more + Rounding.SLACK));
        return 1 - (misses >= n ? 0 : Odds.atLeast(1 - p, n, misses + 1));
    }
}
