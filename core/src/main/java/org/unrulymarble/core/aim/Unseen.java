package org.unrulymarble.core.aim;

import org.hipparchus.special.Beta;

/**
 * What so many landings cannot tell. Source: the F test of {@link Landings} on 2 and 2(n - 1), whose power is that of the noncentral F distribution with
 * n (bias / spread)^2 (Abramowitz and Stegun 26.6.20).
 */
public final class Unseen {

    /** A bias that shows in four of five such rows is one that is seen. */
    private static final double SURE = 0.8;

    private static final double WIDEST = 1_000;
    private static final double EXACT = 1e-6;
    private static final int MOST_TERMS = 10_000;

    private Unseen() {}

    /** How far an aim may be off and still go unseen as often as once in five rows. @param n landings, 2 or more @param spreadCm their scatter */
    public static double biasCm(int n, double spreadCm) {
        double low = 0;
        double high = WIDEST;
        while (high - low > EXACT * high) {
            double middle = (low + high) / 2;
            if (seen(n, middle) < SURE) low = middle;
            else high = middle;
        }
        return high * spreadCm;
    }

    /** The chance that n landings show an aim that is off by so many times their spread. */
    static double seen(int n, double bias) {
        double beyond = Math.pow(Landings.CENTRED_FROM, -1.0 / (n - 1)) - 1;
        double x = beyond / (beyond + 1);
        double half = n * bias * bias / 2;
        double weight = -half;
        double below = 0;
        double weighed = 0;
        for (int j = 0; j < MOST_TERMS && weighed < 1 - 1e-12; j++) {
            double w = Math.exp(weight);
            weighed += w;
            if (w > 0) below += w * Beta.regularizedBeta(x, 1.0 + j, n - 1.0);
            weight += Math.log(half) - Math.log(j + 1.0);
            if (j > half && w < 1e-15) break;
        }
        return 1 - below;
    }
}
