package org.unrulymarble.core.record;

import java.util.Arrays;
import java.util.List;
import org.hipparchus.special.Erf;
import org.hipparchus.util.FastMath;

/**
 * How likely each ability is: from -9 to 9 logits in steps of 0.02, each point's weight spread evenly over its cell. Not thread-safe;
 * the weights add up to 1 after each step.
 */
final class AbilityGrid {

    private static final double STEP = 0.02;
    private static final double LOWEST = -9;
    private static final int POINTS = 901;

    /** Form is looked at in so many points evenly over so many of its sd to each side. */
    private static final int FORM_POINTS = 40;

    private static final double FORM_WIDTH = 5;

    /** Abilities less likely than this are given up. */
    private static final double NOBODY = 1e-25;

    /** So many tries a day make a likelihood that is smooth between the points; of more its logarithm is read. */
    private static final long SMOOTH_TRIES = 400;

    private double[] weight = new double[POINTS];

    static AbilityGrid normal(double mean, double sd) {
        AbilityGrid grid = new AbilityGrid();
        for (int i = 0; i < POINTS; i++)
            grid.weight[i] = below((x(i) + STEP / 2 - mean) / sd) - below((x(i) - STEP / 2 - mean) / sd);
        grid.normalise();
        return grid;
    }

    private static double x(int i) {
        return LOWEST + i * STEP;
    }

    private static double below(double z) {
        return 0.5 * Erf.erfc(-z / Math.sqrt(2));
    }

    /** Shifts by a gain and spreads by a normal drift; what leaves the grid is lost, and the rest made whole again. */
    void moved(double gain, double sd) {
        if (gain == 0 && sd == 0) return;
        int reach = (int) Math.min(POINTS, Math.ceil((Math.abs(gain) + 8 * sd) / STEP) + 2);
        double[] share = new double[2 * reach + 1];
        for (int d = -reach; d <= reach; d++) share[d + reach] = intoCell(d * STEP - gain, sd);
        double[] to = new double[POINTS];
        for (int i = 0; i < POINTS; i++) {
            if (weight[i] < NOBODY) continue;
            int first = Math.max(0, i - reach);
            int last = Math.min(POINTS - 1, i + reach);
            for (int j = first; j <= last; j++) to[j] += weight[i] * share[j - i + reach];
        }
        weight = to;
        normalise();
    }

    /** What of a cell, spread by the drift, falls into the cell whose middle is {@code off} away. */
    private static double intoCell(double off, double sd) {
        if (sd < 1e-9) return Math.max(0, 1 - Math.abs(off) / STEP);
        return sd / STEP * (area((off + STEP) / sd) - 2 * area(off / sd) + area((off - STEP) / sd));
    }

    /** The integral of the normal distribution function. */
    private static double area(double z) {
        return z * below(z) + Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI);
    }

    /** Learns from the tries of one day, which share one form. */
    void seen(List<Skill.Tries> day, double formSd) {
        int first = 0;
        while (weight[first] < NOBODY) first++;
        int last = POINTS - 1;
        while (weight[last] < NOBODY) last--;
        int margin = (int) Math.ceil(FORM_WIDTH * formSd / STEP) + 2;
        double[] told = logLikelihoods(day, first - margin, last + margin);
        double most = most(told, margin, FORM_WIDTH * formSd / STEP);
        long tries = day.stream().mapToLong(t -> t.hits() + t.misses()).sum();
        boolean smooth = tries <= SMOOTH_TRIES;
        if (smooth) for (int i = 0; i < told.length; i++) told[i] = Math.exp(told[i] - most);
        double[] to = new double[POINTS];
        int forms = formSd == 0 ? 1 : FORM_POINTS;
        for (int f = 0; f < forms; f++) {
            double z = forms == 1 ? 0 : -FORM_WIDTH + 2 * FORM_WIDTH * f / (FORM_POINTS - 1);
            double likely = Math.exp(-z * z / 2);
            double off = margin + z * formSd / STEP;
            for (int i = first; i <= last; i++) {
                double here = between(told, i - first + off);
                to[i] += weight[i] * likely * (smooth ? Math.max(0, here) : FastMath.exp(here - most));
            }
        }
        weight = to;
        normalise();
    }

    /** The greatest log-likelihood among the sums that are looked at: beside the grid's own points also the outermost. */
    private static double most(double[] told, int margin, double width) {
        double most = Math.max(between(told, margin - width), between(told, told.length - 1 - margin + width));
        int beside = (int) Math.floor(width);
        for (int i = margin - beside; i < told.length - margin + beside; i++) most = Math.max(most, told[i]);
        return most;
    }

    /** Of the day's tries at each sum of ability and form from one place of the grid to another, both of which may lie beside it. */
    private static double[] logLikelihoods(List<Skill.Tries> day, int first, int last) {
        double[] told = new double[last - first + 1];
        for (Skill.Tries t : day) {
            double tries = t.hits() + t.misses();
            for (int i = 0; i < told.length; i++) {
                double z = x(first + i) - t.difficulty();
                // log(1 + e^z), without overflow
                double soft = Math.max(z, 0) + FastMath.log1p(FastMath.exp(-Math.abs(z)));
                told[i] += t.hits() * z - tries * soft;
            }
        }
        return told;
    }

    /** Between the points by the cubic through the four nearest. */
    private static double between(double[] values, double at) {
        int i = Math.max(1, Math.min(values.length - 3, (int) Math.floor(at)));
        double t = at - i;
        return -t * (t - 1) * (t - 2) / 6 * values[i - 1]
                + (t + 1) * (t - 1) * (t - 2) / 2 * values[i]
                - (t + 1) * t * (t - 2) / 2 * values[i + 1]
                + (t + 1) * t * (t - 1) / 6 * values[i + 2];
    }

    double mean() {
        double sum = 0;
        for (int i = 0; i < POINTS; i++) sum += weight[i] * x(i);
        return sum;
    }

    double sd() {
        double mean = mean();
        double sum = 0;
        for (int i = 0; i < POINTS; i++) sum += weight[i] * (x(i) - mean) * (x(i) - mean);
        return Math.sqrt(sum);
    }

    double expectedShare(double difficulty) {
        double sum = 0;
        for (int i = 0; i < POINTS; i++) sum += weight[i] / (1 + Math.exp(difficulty - x(i)));
        return sum;
    }

    /** That the ability is at least this, which may be infinite. */
    double above(double least) {
        double sum = 0;
        for (int i = 0; i < POINTS; i++) sum += weight[i] * Math.max(0, Math.min(1, (x(i) + STEP / 2 - least) / STEP));
        return Math.min(1, sum);
    }

    private void normalise() {
        double sum = Arrays.stream(weight).sum();
        for (int i = 0; i < POINTS; i++) weight[i] /= sum;
    }
}
