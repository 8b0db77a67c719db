package org.unrulymarble.core.skill;

import java.util.List;

/**
 * The same reading as {@link Ability}, with the ability taken as normal after each day: rough enough for learning the figures from a school's whole
 * record, and a thousand times faster. Source: for each day the posterior of ability and form together, by Laplace's mode and Gauss-Hermite points round
 * it; the ability is normal given that sum.
 */
final class NormalFilter {

    private static final double[] NODES = {
        -3.19099320178152760723,
        -2.26658058453184311180,
        -1.46855328921666793167,
        -0.72355101875283757332,
        0,
        0.72355101875283757332,
        1.46855328921666793167,
        2.26658058453184311180,
        3.19099320178152760723
    };
    private static final double[] WEIGHTS = {
        3.96069772632643819046e-5, 4.94362427553694721722e-3, 8.84745273943765732880e-2, 4.32651559002555750200e-1,
        7.20235215606050957125e-1, 4.32651559002555750200e-1, 8.84745273943765732880e-2, 4.94362427553694721722e-3,
        3.96069772632643819046e-5
    };
    private static final int STEPS = 8;

    private final SkillFigures figures;
    private double mean;
    private double variance;
    private int practised;

    NormalFilter(SkillFigures figures, double begins) {
        this.figures = figures;
        this.mean = begins;
        this.variance = figures.priorSd() * figures.priorSd();
    }

    /** Moves on to a day of practice, so many days after the one before. */
    void next(int daysLater) {
        if (practised > 0) {
            mean += figures.gainAfter(practised);
            variance += figures.driftSdPerDay() * figures.driftSdPerDay() * daysLater;
        }
        practised++;
    }

    double mean() {
        return mean;
    }

    double variance() {
        return variance;
    }

    /** Learns from a day. @return the log of how likely it was */
    double seen(List<Seen> day) {
        double wide = variance + figures.formSd() * figures.formSd();
        double mode = mean;
        double bend = 1 / wide;
        for (int step = 0; step < STEPS; step++) {
            double slope = (mean - mode) / wide;
            bend = 1 / wide;
            for (Seen s : day) {
                double p = 1 / (1 + Math.exp(s.difficulty() - mode));
                double tries = s.hits() + s.misses();
                slope += s.hits() - tries * p;
                bend += tries * p * (1 - p);
            }
            double move = Math.max(-2, Math.min(2, slope / bend));
            mode += move;
            if (Math.abs(move) < 1e-6) break;
        }
        double width = Math.sqrt(2 / bend);
        double[] log = new double[NODES.length];
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < NODES.length; i++) {
            double u = mode + width * NODES[i];
            log[i] = -(u - mean) * (u - mean) / (2 * wide) + NODES[i] * NODES[i];
            for (Seen s : day) log[i] += s.logLikelihood(u);
            most = Math.max(most, log[i]);
        }
        double sum = 0;
        double first = 0;
        double second = 0;
        for (int i = 0; i < NODES.length; i++) {
            double w = WEIGHTS[i] * Math.exp(log[i] - most);
            double u = mode + width * NODES[i];
            sum += w;
            first += w * u;
            second += w * u * u;
        }
        double middle = first / sum;
        double spread = Math.max(1e-9, second / sum - middle * middle);
        // Of what was learnt of ability and form together, the ability's part.
        double part = variance / wide;
        mean += part * (middle - mean);
        variance = variance * (1 - part) + part * part * spread;
        return most + Math.log(sum * width / Math.sqrt(2 * Math.PI * wide));
    }
}
