package org.unrulymarble.core.chance;

import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * Can this pupil make so many in a row, in this time? Source: the exact recurrence for success runs,
 * without(n) = without(n - 1) - (1 - p) p^run without(n - run - 1).
 *
 * @param tries that fit into the round
 * @param chance of a run of at least that length somewhere in them
 * @param expectedTries null for p = 0 or above 1e15
 * @param triesForHalf fewest tries with chance 0.5, null beyond 100,000
 * @param triesForFourOfFive fewest tries with chance 0.8, null beyond 100,000
 * @param longestRunForChance greatest length in 1..tries with at least the wanted chance, 0 if none
 */
public record Streak(
        int tries,
        double chance,
        @Nullable Double expectedTries,
        @Nullable Double expectedSec,
        @Nullable Integer triesForHalf,
        @Nullable Integer triesForFourOfFive,
        int longestRunForChance) {

    private static final int MOST_TRIES = 100_000;
    private static final double MOST_EXPECTED = 1e15;

    /** p 0 to 1, run 1 to 1,000, roundSec whole 0 to 14,400, secPerTry 0.01 to 14,400, wantChance 1e-6 to 1. */
    public record StreakAsk(Double p, Integer run, Integer roundSec, Double secPerTry, Double wantChance) {
        public StreakAsk {
            new Checks()
                    .range("p", p, 0, 1)
                    .range("run", run, 1, 1000)
                    .seconds("roundSec", roundSec)
                    .range("secPerTry", secPerTry, 0.01, Checks.MAX_SEC)
                    .range("wantChance", wantChance, 1e-6, 1)
                    .done();
        }
    }

    public static Streak of(StreakAsk ask) {
        double p = ask.p();
        int tries = Rounding.floor(ask.roundSec() / ask.secPerTry());
        Double expected = expectedTries(p, ask.run());
        return new Streak(
                tries,
                chance(p, ask.run(), tries),
                expected,
                expected == null ? null : (Double) (expected * ask.secPerTry()),
                fewestTries(p, ask.run(), 0.5),
                fewestTries(p, ask.run(), 0.8),
                longestRun(p, tries, ask.wantChance()));
    }

    /** Chance of a run of at least {@code run} somewhere in {@code tries}. */
    public static double chance(double p, int run, int tries) {
        if (tries < run) return 0;
        return 1 - new Without(p, run).after(tries);
    }

    private static Double expectedTries(double p, int run) {
        if (p == 1) return (double) run;
        if (p == 0) return null;
        double expected = -Math.expm1(run * Math.log(p)) / ((1 - p) * Math.pow(p, run));
        return expected <= MOST_EXPECTED ? (Double) expected : null;
    }

    private static Integer fewestTries(double p, int run, double wanted) {
        Without without = new Without(p, run);
        for (int n = run; n <= MOST_TRIES; n++) if (1 - without.after(n) >= wanted - Rounding.SLACK) return n;
        return null;
    }

    /** The chance falls with the length, so halving finds the greatest length. */
    static int longestRun(double p, int tries, double wanted) {
        return Odds.greatest(tries, run -> chance(p, run, tries) >= wanted - Rounding.SLACK);
    }

    /** Chance of no such run in the first n tries, worked out from one n to the next; keeps the last run + 1 values. */
    private static final class Without {
        private final int run;
        private final double breaks;
        private final double[] ring;
        private int n;

        Without(double p, int run) {
            this.run = run;
            this.breaks = (1 - p) * Math.pow(p, run);
            this.ring = new double[run + 1];
            for (int i = 0; i < run; i++) ring[i] = 1;
            ring[run] = 1 - Math.pow(p, run);
            this.n = run;
        }

        /** @param tries at least run, and never fewer than asked before */
        double after(int tries) {
            int size = run + 1;
            while (n < tries) {
                n++;
                int at = n % size;
                // ring[at] still holds without(n - run - 1).
                ring[at] = Math.max(0, ring[(n - 1) % size] - breaks * ring[at]);
            }
            return ring[n % size];
        }
    }
}
