package org.unrulymarble.core.skill;

import java.util.function.DoubleUnaryOperator;

/** Chance that a round meets its gate, by how far the ability lies above the rung, in logits. Kept as a table, since it is asked very often. */
public final class GateCurve {

    private static final double LOWEST = -7;
    private static final double STEP = 0.125;
    private static final int POINTS = 113;
    /** A surprise is never taken for impossible: seconds are planning values. */
    private static final double SURPRISE = 0.02;

    private final double[] met = new double[POINTS];
    private final double[] missed = new double[POINTS];

    /** @param chanceOfShare chance to meet the gate for somebody whose tries go in with that share */
    public GateCurve(DoubleUnaryOperator chanceOfShare) {
        for (int i = 0; i < POINTS; i++) {
            double share = 1 / (1 + Math.exp(-(LOWEST + i * STEP)));
            double chance = SURPRISE + (1 - 2 * SURPRISE) * chanceOfShare.applyAsDouble(share);
            met[i] = Math.log(chance);
            missed[i] = Math.log(1 - chance);
        }
    }

    double log(double above, boolean wasMet) {
        double at = Math.max(0, Math.min(POINTS - 1.000001, (above - LOWEST) / STEP));
        int i = (int) at;
        double[] told = wasMet ? met : missed;
        return told[i] + (at - i) * (told[i + 1] - told[i]);
    }
}
