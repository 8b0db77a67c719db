package org.unrulymarble.core.ladder;

import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.measure.OnMiss;
import org.unrulymarble.core.measure.Stairs;

/** A planning dose for each of the four schools. Values are the house's own and meant to be changed. */
public record Doses(ByClock clock, ByCount count, ByGate gate, ByStaircase staircase) {

    /** Work for so long, so many sets, rest between. */
    public record ByClock(Integer workSec, Integer sets, Integer restSec) {
        public ByClock {
            new Checks()
                    .range("workSec", workSec, 1, Checks.MAX_SEC)
                    .range("sets", sets, 1, 60)
                    .seconds("restSec", restSec)
                    .done();
        }
    }

    /** So many each side. */
    public record ByCount(Integer reps, Integer sets, Integer restSec) {
        public ByCount {
            new Checks()
                    .range("reps", reps, 1, 1000)
                    .range("sets", sets, 1, 60)
                    .seconds("restSec", restSec)
                    .done();
        }
    }

    /** Until the rung's gate is met, but no longer than so many seconds. */
    public record ByGate(Integer limitSec) {
        public ByGate {
            new Checks().range("limitSec", limitSec, 1, Checks.MAX_SEC).done();
        }
    }

    /** So many hits in a row, then a step of distance; what a miss does; no longer than so many seconds. */
    public record ByStaircase(Integer makesToStep, OnMiss onMiss, Double stepM, Integer limitSec) {
        public ByStaircase {
            new Checks()
                    .range("makesToStep", makesToStep, 1, 1000)
                    .required("onMiss", onMiss)
                    .above("stepM", stepM, 0, 200)
                    .range("limitSec", limitSec, 1, Checks.MAX_SEC)
                    .done();
        }

        /** How it is stepped back. */
        public Stairs stairs() {
            return new Stairs(makesToStep, onMiss, stepM);
        }
    }

    /** The same, stepped back as a rung wants it. */
    Doses stepping(Stairs stairs) {
        return new Doses(
                clock,
                count,
                gate,
                new ByStaircase(stairs.makesToStep(), stairs.onMiss(), stairs.stepM(), staircase.limitSec()));
    }

    public Doses {
        new Checks()
                .required("clock", clock)
                .required("count", count)
                .required("gate", gate)
                .required("staircase", staircase)
                .done();
    }
}
