package org.unrulymarble.core.chance;

import java.util.function.DoubleUnaryOperator;

/**
 * What is known of how often the tries of a class go in, as weights on a grid of shares. Source: for each pupil Beta(4 s + hits, 4 (1 - s) + misses)
 * with the planning share s, so that whoever has no tries yet stands for the planning share with wide uncertainty; the class is the mean over its
 * pupils. The strength of four tries is ours.
 */
public final class RateSpread {

    private static final int POINTS = 40;
    private static final double PRIOR_TRIES = 4;
    private static final double[] SHARE = new double[POINTS];
    private static final double[] LOG_HIT = new double[POINTS];
    private static final double[] LOG_MISS = new double[POINTS];

    static {
        for (int i = 0; i < POINTS; i++) {
            SHARE[i] = (i + 0.5) / POINTS;
            LOG_HIT[i] = Math.log(SHARE[i]);
            LOG_MISS[i] = Math.log1p(-SHARE[i]);
        }
    }

    private final double[] weights = new double[POINTS];
    private int pupils;
    private double lastA = Double.NaN;
    private double lastB;
    private double[] last;

    /** Adds one pupil. */
    public RateSpread add(double planningShare, int hits, int misses) {
        double a = PRIOR_TRIES * planningShare + hits - 1;
        double b = PRIOR_TRIES * (1 - planningShare) + misses - 1;
        // Whoever has no tries is known as little as the next one.
        if (a != lastA || b != lastB) {
            last = shape(a, b);
            lastA = a;
            lastB = b;
        }
        for (int i = 0; i < POINTS; i++) weights[i] += last[i];
        pupils++;
        return this;
    }

    private static double[] shape(double a, double b) {
        double[] logs = new double[POINTS];
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < POINTS; i++) {
            logs[i] = a * LOG_HIT[i] + b * LOG_MISS[i];
            most = Math.max(most, logs[i]);
        }
        double sum = 0;
        for (int i = 0; i < POINTS; i++) sum += logs[i] = Math.exp(logs[i] - most);
        for (int i = 0; i < POINTS; i++) logs[i] /= sum;
        return logs;
    }

    /** The mean of a figure over pupils and what is not known of them; 0 for nobody. */
    public double mean(DoubleUnaryOperator ofShare) {
        if (pupils == 0) return 0;
        double sum = 0;
        for (int i = 0; i < POINTS; i++)
            if (weights[i] > 1e-9 * pupils) sum += weights[i] * ofShare.applyAsDouble(SHARE[i]);
        return sum / pupils;
    }

    /** The share below which so much of the weight lies. */
    public double quantile(double part) {
        double left = part * pupils;
        for (int i = 0; i < POINTS; i++) {
            left -= weights[i];
            if (left <= 0) return SHARE[i];
        }
        return SHARE[POINTS - 1];
    }
}
