package org.unrulymarble.core.chance;

import org.hipparchus.special.Beta;
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
 * How likely a gate is met within some seconds by somebody whose tries go in with share p. Source: runs by the exact recurrence for success runs,
 * so many of so many by the binomial tail, so many in a time by the negative binomial (the misses before the n-th hit), each hit and each miss
 * with its fetch taking its own seconds. Tries are taken as alike and independent.
 */
public final class GateChance {

    private static final int MOST_TRIES = 4000;

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
        double secPerTry = p * pace.hitSec() + (1 - p) * pace.missSec();
        int tries = Math.min(MOST_TRIES, Rounding.floor(sec / secPerTry));
        int reach = gate.reach();
        if (gate instanceof Gate.InARow || measure instanceof LongestRun) return Streak.chance(p, reach, tries);
        if (measure instanceof HeldForTime)
            return Streak.chance(p, Math.max(1, Rounding.ceil(reach / pace.hitSec())), tries);
        if (gate instanceof Gate.SoManyIn in) {
            double goes = Math.max(1, Math.floor(sec / in.inSec() + Rounding.SLACK));
            return inGoes(hitsWithin(reach, pace, p, Math.min(sec, in.inSec())), goes);
        }
        if (measure instanceof CountInTime && gate.outOf() == null) return hitsWithin(reach, pace, p, sec);
        int of = gate.outOf() == null ? reach : gate.outOf();
        return inGoes(Odds.atLeast(p, of, reach), Math.floor(sec / (of * secPerTry) + Rounding.SLACK));
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

    private static double inGoes(double chance, double goes) {
        return goes < 1 ? 0 : 1 - Math.pow(1 - chance, goes);
    }
}
