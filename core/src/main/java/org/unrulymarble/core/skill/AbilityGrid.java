package org.unrulymarble.core.skill;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.hipparchus.special.Erf;

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
    private static final double NOBODY = 1e-20;

    /** So many tries a day make a likelihood that is smooth between the points; of more its logarithm is read. */
    private static final double SMOOTH_TRIES = 400;

    /** So many points to the least width of a likelihood, and no two further apart than so many of the grid's. */
    private static final double PER_WIDTH = 4;

    private static final double WIDEST = 8;

    /** So many points to the sd of a drift. */
    private static final double PER_SPREAD = 4;

    /** They take long to find, and days of practice lie a week apart again and again. */
    private static final Map<Move, double[]> KERNELS = new ConcurrentHashMap<>();

    private static final Map<Move, double[]> PRIORS = new ConcurrentHashMap<>();

    private static final int MOST_KEPT = 500;

    private double[] weight = new double[POINTS];

    static AbilityGrid normal(double mean, double sd) {
        if (PRIORS.size() > MOST_KEPT) PRIORS.clear();
        AbilityGrid grid = new AbilityGrid();
        grid.weight = PRIORS.computeIfAbsent(new Move(mean, sd), AbilityGrid::cells);
        return grid;
    }

    private static double[] cells(Move m) {
        AbilityGrid grid = new AbilityGrid();
        double before = below((x(0) - STEP / 2 - m.by()) / m.sd());
        double above = below(-(x(0) - STEP / 2 - m.by()) / m.sd());
        for (int i = 0; i < POINTS; i++) {
            double edge = (x(i) + STEP / 2 - m.by()) / m.sd();
            // Each from the side on which it is small, or the upper tail would be nothing.
            double next = below(edge);
            double rest = below(-edge);
            grid.weight[i] = edge < 0 ? next - before : above - rest;
            before = next;
            above = rest;
        }
        grid.normalise();
        return grid.weight;
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
        if (KERNELS.size() > MOST_KEPT) KERNELS.clear();
        double[] kernel = KERNELS.computeIfAbsent(new Move(gain, sd), AbilityGrid::kernel);
        int reach = kernel.length / 2;
        // What was spread so far is smooth: every so many points of it tell the rest.
        int stride = (int) Math.max(1, Math.min(2 * WIDEST, sd / STEP / PER_SPREAD));
        double[] told = new double[(POINTS - 1) / stride + 4];
        int first = 0;
        while (weight[first] < NOBODY) first++;
        int last = POINTS - 1;
        while (weight[last] < NOBODY) last--;
        for (int t = 0; t < told.length; t++) {
            int j = (t - 1) * stride;
            double sum = 0;
            int from = Math.max(first, j - reach);
            int to = Math.min(last, j + reach);
            for (int i = from; i <= to; i++) sum += weight[i] * kernel[j - i + reach];
            told[t] = sum;
        }
        double[] to = new double[POINTS];
        for (int j = 0; j < POINTS; j++)
            to[j] = stride == 1 ? told[j + 1] : Math.max(0, between(told, 1 + j / (double) stride));
        weight = to;
        normalise();
    }

    /** How far, with what spread. */
    private record Move(double by, double sd) {}

    /** How a cell spreads over its neighbours. */
    private static double[] kernel(Move m) {
        int reach = (int) Math.min(POINTS, Math.ceil((Math.abs(m.by()) + 7 * m.sd()) / STEP) + 2);
        double[] share = new double[2 * reach + 1];
        for (int d = -reach; d <= reach; d++) share[d + reach] = intoCell(d * STEP - m.by(), m.sd());
        return share;
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

    /** Learns from what was seen on one day, which shares one form. */
    void seen(List<Seen> day, double formSd) {
        int first = 0;
        while (weight[first] < NOBODY) first++;
        int last = POINTS - 1;
        while (weight[last] < NOBODY) last--;
        double tries = day.stream().mapToDouble(Seen::tries).sum();
        boolean smooth = tries <= SMOOTH_TRIES;
        // A likelihood of so many tries is no narrower than this; between points that stand close for it the cubic is
        // as good as it.
        int stride = smooth ? (int) Math.max(1, Math.min(WIDEST, Math.sqrt(4 / tries) / PER_WIDTH / STEP)) : 1;
        double width = FORM_WIDTH * formSd / STEP / stride;
        int margin = (int) Math.ceil(width) + 3;
        int inside = (last - first + stride - 1) / stride + 1;
        double[] told = logLikelihoods(day, first - margin * stride, stride, inside + 2 * margin);
        double most = most(told, margin, width);
        if (smooth) for (int i = 0; i < told.length; i++) told[i] = Math.exp(told[i] - most);
        // Summed over forms, with a point more on each side for the cubic.
        double[] overForms = new double[inside + 2];
        int forms = formSd == 0 ? 1 : FORM_POINTS;
        for (int f = 0; f < forms; f++) {
            double z = forms == 1 ? 0 : -FORM_WIDTH + 2 * FORM_WIDTH * f / (FORM_POINTS - 1);
            double likely = Math.exp(-z * z / 2);
            double off = margin - 1 + z * formSd / STEP / stride;
            for (int i = 0; i < overForms.length; i++) {
                double here = between(told, i + off);
                overForms[i] += likely * (smooth ? Math.max(0, here) : Math.exp(here - most));
            }
        }
        double[] to = new double[POINTS];
        for (int i = first; i <= last; i++)
            to[i] = weight[i]
                    * (stride == 1
                            ? overForms[i - first + 1]
                            : Math.max(0, between(overForms, 1 + (i - first) / (double) stride)));
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

    /** Of the day at sums of ability and form, so many points of the grid apart, some of which may lie beside it. */
    private static double[] logLikelihoods(List<Seen> day, int first, int stride, int points) {
        double[] told = new double[points];
        for (Seen seen : day) for (int i = 0; i < points; i++) told[i] += seen.logLikelihood(x(first + i * stride));
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

    /** The ability below which so much of the weight lies. */
    double quantile(double part) {
        double left = part;
        for (int i = 0; i < POINTS; i++) {
            if (left <= weight[i] && weight[i] > 0) return x(i) - STEP / 2 + STEP * left / weight[i];
            left -= weight[i];
        }
        return x(POINTS - 1);
    }

    private void normalise() {
        double sum = Arrays.stream(weight).sum();
        for (int i = 0; i < POINTS; i++) weight[i] /= sum;
    }
}
