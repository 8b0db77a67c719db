package org.unrulymarble.core.chance;

import java.util.function.DoubleUnaryOperator;

/**
 * What is known of how often the tries of a class go in, as weights on a grid of shares that lie evenly in logits. Source: each pupil's share is
 * logistic(Normal(ability above the rung, sd)); the class is the mean over its pupils.
 */
public final class RateSpread {

    private static final double LOWEST = -6;
    private static final double STEP = 0.2;
    private static final int POINTS = 61;
    private static final double[] SHARE = new double[POINTS];

    /** A spread narrower than the grid would fall between its points. */
    private static final double NARROWEST = STEP / 2;

    static {
        for (int i = 0; i < POINTS; i++) SHARE[i] = 1 / (1 + Math.exp(-(LOWEST + i * STEP)));
    }

    private final double[] weights = new double[POINTS];
    private int pupils;
    private double lastMean = Double.NaN;
    private double lastSd;
    private double[] last;

    /** Adds one pupil, whose share in logits is normal with this mean and sd. */
    public RateSpread add(double mean, double sd) {
        // Whoever has no tries is known as little as the next one.
        if (mean != lastMean || sd != lastSd) {
            last = shape(mean, Math.max(NARROWEST, sd));
            lastMean = mean;
            lastSd = sd;
        }
        for (int i = 0; i < POINTS; i++) weights[i] += last[i];
        pupils++;
        return this;
    }

    private static double[] shape(double mean, double sd) {
        // Beyond the grid is as good as its end.
        double middle = Math.max(LOWEST, Math.min(-LOWEST, mean));
        double[] shape = new double[POINTS];
        double sum = 0;
        for (int i = 0; i < POINTS; i++) {
            double z = (LOWEST + i * STEP - middle) / sd;
            sum += shape[i] = Math.exp(-z * z / 2);
        }
        for (int i = 0; i < POINTS; i++) shape[i] /= sum;
        return shape;
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
