package org.unrulymarble.core.measure;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * Where a staircase settles, from every throw and not from its turns alone: the step at which a run of makesToStep hits is as likely as not. Source: a
 * logistic curve of hits over steps, its steepness and its place both unknown; the place's distribution after what was thrown, by a grid; before
 * it nothing is more likely than anything else, but for what lies beyond the furthest step tried, which fades. Simulated in the tests.
 *
 * @param likelyStep as likely below as above, from 0
 * @param lowStep with 5 of 100 below; 0 where it may lie before the first step
 * @param highStep with 5 of 100 above; null where the throws do not say how far it could be
 */
public record Settling(
        double likelyStep, double lowStep, @Nullable Double highStep) {

    private static final double[] STEEPNESS = {0.12, 0.18, 0.27, 0.4, 0.6, 0.9, 1.35, 2};
    private static final int PLACES = 400;
    private static final double BEYOND = 15;
    /** Steps beyond the furthest that was tried: what nobody saw fades by a factor of e. */
    private static final double FADES = 3;

    private static final double TAIL = 0.05;

    private record Thrown(int hits, int misses) {}

    /** @param path the step of every throw @param results a letter each, H or M @return null as long as nothing went in, or nothing missed */
    static @Nullable Settling of(List<Integer> path, String results, int makesToStep) {
        if (results.indexOf('H') < 0 || results.indexOf('M') < 0) return null;
        Map<Integer, Thrown> at = new TreeMap<>();
        for (int i = 0; i < path.size(); i++) {
            boolean hit = results.charAt(i) == 'H';
            at.merge(
                    path.get(i),
                    new Thrown(hit ? 1 : 0, hit ? 0 : 1),
                    (a, b) -> new Thrown(a.hits() + b.hits(), a.misses() + b.misses()));
        }
        double furthest = at.keySet().stream().mapToInt(s -> s).max().orElse(1);
        double last = furthest + BEYOND;
        double share = Math.pow(0.5, 1.0 / makesToStep);
        double even = Math.log(share / (1 - share));
        double[] weight = weights(at, furthest, last, even);
        return new Settling(
                place(weight, 0.5, last),
                place(weight, TAIL, last),
                // What lies at the end of the grid is cut off by it.
                place(weight, 1 - TAIL, last) > last - 1 ? null : (Double) place(weight, 1 - TAIL, last));
    }

    private static double[] weights(Map<Integer, Thrown> at, double furthest, double last, double even) {
        double[][] log = new double[PLACES][STEEPNESS.length];
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < PLACES; i++)
            for (int k = 0; k < STEEPNESS.length; k++) {
                double here = -Math.max(0, stepAt(i, last) - furthest) / FADES;
                for (Map.Entry<Integer, Thrown> e : at.entrySet()) {
                    double z = even - STEEPNESS[k] * (e.getKey() - stepAt(i, last));
                    here -= e.getValue().hits() * Math.log1p(Math.exp(-z));
                    here -= e.getValue().misses() * Math.log1p(Math.exp(z));
                }
                log[i][k] = here;
                most = Math.max(most, here);
            }
        double[] weight = new double[PLACES];
        for (int i = 0; i < PLACES; i++) for (double l : log[i]) weight[i] += Math.exp(l - most);
        return weight;
    }

    private static double stepAt(int i, double last) {
        return last * (i + 0.5) / PLACES;
    }

    private static double place(double[] weight, double share, double last) {
        double all = 0;
        for (double w : weight) all += w;
        double below = 0;
        for (int i = 0; i < weight.length; i++) {
            if (below + weight[i] >= share * all) return last * (i + (share * all - below) / weight[i]) / PLACES;
            below += weight[i];
        }
        return last;
    }
}
