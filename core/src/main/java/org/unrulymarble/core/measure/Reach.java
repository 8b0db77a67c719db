package org.unrulymarble.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * The furthest step of a distance ladder that a round allows. Source: for each step, the expected tries for so many hits in a row
 * ((1 - p^n) / ((1 - p) p^n)), each try and each fetch after a miss taking its own seconds, and the walk from the target out to the place, longer
 * with every step. A miss stays at its step.
 *
 * @param withoutMiss last step held if nothing misses
 * @param likely last step held at this share, taken as the same at every step; 0 if not even the first
 * @param steps seconds from the start until each step is held, as expected; ends with the first that is past the round
 */
public record Reach(int withoutMiss, int likely, List<StepTime> steps) {

    /** Seconds until a step is held: without a miss, and as expected (null where it is beyond a day). */
    public record StepTime(
            int step, double withoutMissSec, @Nullable Double expectedSec) {}

    private static final int MOST_STEPS = 400;
    private static final double A_DAY = 86_400;

    /** roundSec whole; makesToStep 1 to 1,000; p 0 to 1; secPerThrow 0.01 to 14,400; fetchSec, walkSecPerStep 0 to 14,400. */
    public record ReachAsk(
            Integer roundSec,
            Integer makesToStep,
            Double p,
            Double secPerThrow,
            Double fetchSec,
            Double walkSecPerStep) {
        public ReachAsk {
            new Checks()
                    .seconds("roundSec", roundSec)
                    .range("makesToStep", makesToStep, 1, 1000)
                    .range("p", p, 0, 1)
                    .range("secPerThrow", secPerThrow, 0.01, Checks.MAX_SEC)
                    .range("fetchSec", fetchSec, 0, Checks.MAX_SEC)
                    .range("walkSecPerStep", walkSecPerStep, 0, Checks.MAX_SEC)
                    .done();
        }
    }

    public static Reach of(ReachAsk ask) {
        double tries = expectedTries(ask.p(), ask.makesToStep());
        double atOneStep = tries * (ask.secPerThrow() + (1 - ask.p()) * ask.fetchSec());
        double cleanAtOneStep = ask.makesToStep() * ask.secPerThrow();
        List<StepTime> steps = new ArrayList<>();
        double clean = 0;
        double expected = 0;
        int withoutMiss = 0;
        int likely = 0;
        for (int step = 1; step <= MOST_STEPS; step++) {
            clean += cleanAtOneStep + step * ask.walkSecPerStep();
            expected += atOneStep + step * ask.walkSecPerStep();
            steps.add(new StepTime(step, clean, expected <= A_DAY ? (Double) expected : null));
            if (Rounding.fits(expected, ask.roundSec())) likely = step;
            if (!Rounding.fits(clean, ask.roundSec())) break;
            withoutMiss = step;
        }
        return new Reach(withoutMiss, likely, List.copyOf(steps));
    }

    private static double expectedTries(double p, int run) {
        if (p == 1) return run;
        if (p == 0) return Double.POSITIVE_INFINITY;
        return -Math.expm1(run * Math.log(p)) / ((1 - p) * Math.pow(p, run));
    }
}
