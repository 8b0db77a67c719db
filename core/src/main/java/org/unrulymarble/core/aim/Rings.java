package org.unrulymarble.core.aim;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import org.hipparchus.optim.univariate.UnivariatePointValuePair;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;

/**
 * How good the aim is, from counts per ring. Source: scatter alike in all directions about a true aim (share within r = 1 - exp(-r^2 / 2 s^2)),
 * s by maximum likelihood; the interval is where twice the log-likelihood has fallen by the 90 % point of chi-square with one degree.
 *
 * @param verdict TOO_FAR and TOO_EASY stand alone; all else is null then
 */
public record Rings(
        Verdict verdict,
        @Nullable Double sigmaCm,
        @Nullable Double sigmaLowCm,
        @Nullable Double sigmaHighCm,
        @Nullable List<Double> ringShare,
        @Nullable Double outsideShare,
        @Nullable Double pointsPerThrow,
        @Nullable Double radiusForShareCm,
        @Nullable Double distanceForShareM) {

    private static final double CHI_SQUARE_90 = 2.705543454;
    private static final int COARSE_STEPS = 400;
    /** Keeps the search finite where a scatter is out of the question. */
    private static final double LEAST_LOG = -1e250;

    /** Whether the counts say anything about the scatter. */
    public enum Verdict {
        OK,
        TOO_FAR,
        TOO_EASY
    }

    /** outerRadiusCm above 0 to 20,000, points -1,000 to 1,000. */
    public record Ring(Double outerRadiusCm, Double points) {
        public Ring {
            new Checks()
                    .above("outerRadiusCm", outerRadiusCm, 0, 20_000)
                    .range("points", points, -1000, 1000)
                    .done();
        }
    }

    /** 1 to 12 rings from the middle out; hits one for each ring, 0 to 100,000; wantShare between 0 and 1. */
    public record RingsAsk(List<Ring> rings, List<Integer> hits, Integer outside, Double distanceM, Double wantShare) {
        public RingsAsk {
            Checks checks = new Checks()
                    .entries("rings", rings, 1, 12)
                    .required("hits", hits)
                    .range("outside", outside, 0, 100_000)
                    .length("distanceM", distanceM)
                    .between("wantShare", wantShare, 0, 1);
            checks.done();
            checks.entries("hits", hits, rings.size(), rings.size()).done();
            long throwsMade = outside;
            for (int i = 0; i < rings.size(); i++) {
                checks.range("hits[" + i + "]", hits.get(i), 0, 100_000);
                if (i > 0)
                    checks.that(
                            rings.get(i).outerRadiusCm() > rings.get(i - 1).outerRadiusCm(),
                            "rings[" + i + "].outerRadiusCm",
                            Fault.Rule.ABOVE_FIELD,
                            "rings[" + (i - 1) + "].outerRadiusCm");
                throwsMade += hits.get(i);
            }
            checks.that(throwsMade > 0, "hits", Fault.Rule.SOME_THROWS).done();
            rings = List.copyOf(rings);
            hits = List.copyOf(hits);
        }
    }

    public static Rings of(RingsAsk ask) {
        long inside = ask.hits().stream().mapToLong(h -> h).sum();
        if (inside == 0) return alone(Verdict.TOO_FAR);
        if (ask.outside() == 0 && ask.hits().get(0) == inside) return alone(Verdict.TOO_EASY);

        double[] bounds = bounds(ask, inside + ask.outside());
        double from = bounds[0];
        double to = bounds[1];
        UnivariateFunction logLikelihood = logSigma -> Math.max(LEAST_LOG, logLikelihood(ask, logSigma));
        UnivariatePointValuePair best = new BrentOptimizer(1e-11, 1e-13)
                .optimize(
                        new MaxEval(5000),
                        new UnivariateObjectiveFunction(logLikelihood),
                        GoalType.MAXIMIZE,
                        around(logLikelihood, from, to));
        UnivariateFunction fallen = x -> 2 * (best.getValue() - logLikelihood.value(x)) - CHI_SQUARE_90;
        BracketingNthOrderBrentSolver solver = new BracketingNthOrderBrentSolver(1e-12, 5);
        double low = solver.solve(5000, fallen, from, best.getPoint());
        double high = solver.solve(5000, fallen, best.getPoint(), to);
        return told(ask, Math.exp(best.getPoint()), Math.exp(low), Math.exp(high));
    }

    /** The likelihood has one peak: a coarse look finds the stretch that holds it. */
    private static SearchInterval around(UnivariateFunction logLikelihood, double from, double to) {
        double step = (to - from) / COARSE_STEPS;
        double best = from;
        for (int i = 1; i <= COARSE_STEPS; i++)
            if (logLikelihood.value(from + i * step) > logLikelihood.value(best)) best = from + i * step;
        return new SearchInterval(best - step, best + step, best);
    }

    /**
     * Logarithms of scatters between which the likeliest one and its interval must lie: 2 s^2 is the mean of squared distances, each throw's lies
     * between its ring's edges, and one of many may be all that is known.
     */
    private static double[] bounds(RingsAsk ask, long throwsMade) {
        double nearest = lastRadius(ask);
        double furthest = 0;
        for (int i = 0; i < ask.rings().size(); i++) {
            if (ask.hits().get(i) == 0) continue;
            furthest = ask.rings().get(i).outerRadiusCm();
            if (i > 0) nearest = Math.min(nearest, ask.rings().get(i - 1).outerRadiusCm());
        }
        if (ask.outside() > 0) furthest = lastRadius(ask);
        double many = Math.log(2.0 * throwsMade) / 2;
        return new double[] {Math.log(nearest) - many - 3, Math.log(furthest) + many + 3};
    }

    /** What a throw is worth on average with this scatter about a true aim. */
    static double pointsPerThrow(List<Ring> rings, double sigmaCm) {
        double points = 0;
        double inner = 0;
        for (Ring ring : rings) {
            points +=
                    ring.points() * (Math.exp(-half(inner, sigmaCm)) - Math.exp(-half(ring.outerRadiusCm(), sigmaCm)));
            inner = ring.outerRadiusCm();
        }
        return points;
    }

    private static Rings told(RingsAsk ask, double sigma, double low, double high) {
        List<Double> shares = new ArrayList<>();
        double inner = 0;
        for (Ring ring : ask.rings()) {
            double share = Math.exp(-half(inner, sigma)) - Math.exp(-half(ring.outerRadiusCm(), sigma));
            shares.add(share);
            inner = ring.outerRadiusCm();
        }
        double radius = sigma * Math.sqrt(-2 * Math.log1p(-ask.wantShare()));
        return new Rings(
                Verdict.OK,
                sigma,
                low,
                high,
                List.copyOf(shares),
                Math.exp(-half(inner, sigma)),
                pointsPerThrow(ask.rings(), sigma),
                radius,
                Math.min(Double.MAX_VALUE, ask.distanceM() * lastRadius(ask) / radius));
    }

    private static double logLikelihood(RingsAsk ask, double logSigma) {
        double sigma = Math.exp(logSigma);
        double sum = ask.outside() == 0 ? 0 : ask.outside() * -half(lastRadius(ask), sigma);
        double inner = 0;
        for (int i = 0; i < ask.rings().size(); i++) {
            double outer = ask.rings().get(i).outerRadiusCm();
            int hits = ask.hits().get(i);
            if (hits > 0) sum += hits * (logOfRest(inner, outer, logSigma) - half(inner, sigma));
            inner = outer;
        }
        return sum;
    }

    /**
     * log(1 - exp(-x)) with x = (outer^2 - inner^2) / 2 s^2, from the logarithm of x, so that rings thinner than any number still count.
     * With half(inner) it makes the logarithm of the ring's share.
     */
    private static double logOfRest(double inner, double outer, double logSigma) {
        double logX = Math.log(outer - inner) + Math.log(outer + inner) - 2 * logSigma - Math.log(2);
        if (logX < -20) return logX - Math.exp(logX) / 2;
        return Math.log(-Math.expm1(-Math.exp(logX)));
    }

    private static double half(double radius, double sigma) {
        double z = radius / sigma;
        return z * z / 2;
    }

    private static double lastRadius(RingsAsk ask) {
        return ask.rings().get(ask.rings().size() - 1).outerRadiusCm();
    }

    private static Rings alone(Verdict verdict) {
        return new Rings(verdict, null, null, null, null, null, null, null, null);
    }
}
