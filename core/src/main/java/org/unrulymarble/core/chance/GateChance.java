package org.unrulymarble.core.chance;

import org.hipparchus.special.Beta;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.ladder.Gate;
import org.unrulymarble.core.ladder.Measure;
import org.unrulymarble.core.ladder.Pace;

/**
 * How likely a gate is met within some seconds by somebody whose tries go in with share p. Source: runs by the exact recurrence for success runs,
 * so many of so many by the binomial tail, so many in a time by the negative binomial (the misses before the n-th hit), each hit and each miss
 * with its fetch taking its own seconds. Tries are taken as alike and independent.
 */
public final class GateChance {

    private static final int MOST_TRIES = 4000;

    private GateChance() {}

    /** Whether there is a reckoning for this measure at all. */
    public static boolean known(Measure measure) {
        return switch (measure) {
            case COUNT_IN_TIME, LONGEST_RUN, HITS_OF_N, HELD_FOR_TIME -> true;
            default -> false;
        };
    }

    /** @param sec time that there is, with as many goes as fit into it */
    public static double within(Measure measure, Gate gate, Pace pace, double p, double sec) {
        double secPerTry = p * pace.hitSec() + (1 - p) * pace.missSec();
        int tries = Math.min(MOST_TRIES, Rounding.floor(sec / secPerTry));
        return switch (measure) {
            case LONGEST_RUN -> Streak.chance(p, gate.reach(), tries);
            case HELD_FOR_TIME -> Streak.chance(p, Math.max(1, Rounding.ceil(gate.reach() / pace.hitSec())), tries);
            case HITS_OF_N -> {
                int of = gate.of() == null ? gate.reach() : gate.of();
                yield inGoes(Odds.atLeast(p, of, gate.reach()), Math.floor(sec / (of * secPerTry) + Rounding.SLACK));
            }
            case COUNT_IN_TIME -> {
                double goSec = gate.inSec() == null ? sec : Math.min(sec, gate.inSec());
                double goes = gate.inSec() == null ? 1 : Math.max(1, Math.floor(sec / gate.inSec() + Rounding.SLACK));
                yield inGoes(hitsWithin(gate.reach(), pace, p, goSec), goes);
            }
            default -> throw new IllegalArgumentException(measure + " has no reckoning");
        };
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
