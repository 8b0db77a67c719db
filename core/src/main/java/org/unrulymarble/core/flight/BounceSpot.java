package org.unrulymarble.core.flight;

import static org.unrulymarble.core.flight.Gravity.G;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/**
 * Where a bounce pass must land so that it comes up to the catcher's hands. Source: a straight pass down to the floor at the given speed, the
 * floor giving back the share e of the vertical speed and the share f of the horizontal one; of several spots the one nearest to the catcher,
 * which is the flattest pass. No spin. The rule of thumb is two thirds of the way.
 *
 * @param bounceFromPasserM null unless a spot serves
 * @param heightByTwoThirdsM height at the catcher of a pass bounced at two thirds of the way; null if such a pass does not carry that far
 * @param highestAtCatcherM the most that any spot gives, null if no pass reaches the catcher on one bounce
 */
public record BounceSpot(
        Outcome outcome,
        @Nullable Double bounceFromPasserM,
        @Nullable Double shareOfWay,
        @Nullable Double angleDeg,
        @Nullable Double timeSec,
        double twoThirdsM,
        @Nullable Double heightByTwoThirdsM,
        @Nullable Double highestAtCatcherM,
        List<PathPoint> path) {

    private static final int LOOKS = 400;

    /** Whether one bounce can bring the ball to the hands. */
    public enum Outcome {
        SPOT,
        NEVER_SO_HIGH,
        TOO_SLOW
    }

    /** distanceM above 0 to 200; releaseM above 0; speedMs above 0 to 60; floorRestitution and floorGrip 0.001 to 1; catchM 0 to 200. */
    public record BounceSpotAsk(
            Double distanceM,
            Double releaseM,
            Double speedMs,
            Double floorRestitution,
            Double floorGrip,
            Double catchM) {
        public BounceSpotAsk {
            new Checks()
                    .above("distanceM", distanceM, 0, 200)
                    .above("releaseM", releaseM, 0, 200)
                    .above("speedMs", speedMs, 0, 60)
                    .range("floorRestitution", floorRestitution, 0.001, 1)
                    .range("floorGrip", floorGrip, 0.001, 1)
                    .length("catchM", catchM)
                    .done();
        }
    }

    public static BounceSpot of(BounceSpotAsk ask) {
        double d = ask.distanceM();
        double twoThirds = 2 * d / 3;
        Pass byRule = Pass.through(ask, twoThirds);
        Double ruleHeight = byRule == null ? null : byRule.heightAtCatcher();
        UnivariateFunction above = b -> miss(ask, b);
        double highest = Double.NEGATIVE_INFINITY;
        for (int i = LOOKS - 1; i > 0; i--) {
            double b = d * i / LOOKS;
            double here = miss(ask, b);
            if (here + ask.catchM() > 0) highest = Math.max(highest, here + ask.catchM());
            if (here < 0) continue;
            // From the catcher's feet inwards the height rises from the floor: the first change of sign is the flattest
            // pass.
            double spot = new BrentSolver(1e-10).solve(500, above, b, d * (i + 1) / LOOKS);
            Pass pass = Pass.through(ask, spot);
            if (pass == null) continue;
            return new BounceSpot(
                    Outcome.SPOT,
                    spot,
                    spot / d,
                    pass.angleDeg(),
                    pass.timeSec(),
                    twoThirds,
                    ruleHeight,
                    Math.max(highest, ask.catchM()),
                    pass.path());
        }
        boolean reaches = highest > 0;
        return new BounceSpot(
                reaches ? Outcome.NEVER_SO_HIGH : Outcome.TOO_SLOW,
                null,
                null,
                null,
                null,
                twoThirds,
                ruleHeight,
                reaches ? (Double) highest : null,
                List.of());
    }

    /** Height at the catcher less the wanted one; as low as can be where the pass does not carry so far. */
    private static double miss(BounceSpotAsk ask, double bounce) {
        Pass pass = Pass.through(ask, bounce);
        Double height = pass == null ? null : pass.heightAtCatcher();
        return (height == null ? 0 : height) - ask.catchM() - (height == null ? 1e-6 : 0);
    }

    /** The direct one of the two throws that meet the floor at one place. */
    private record Pass(BounceSpotAsk ask, double bounce, double tan) {

        static Pass through(BounceSpotAsk ask, double bounce) {
            double k = G * bounce * bounce / (2 * ask.speedMs() * ask.speedMs());
            double root = bounce * bounce - 4 * k * (k - ask.releaseM());
            if (root < 0) return null;
            return new Pass(ask, bounce, (bounce - Math.sqrt(root)) / (2 * k));
        }

        double vx() {
            return ask.speedMs() / Math.sqrt(1 + tan * tan);
        }

        double angleDeg() {
            return Math.toDegrees(Math.atan(tan));
        }

        private double toFloor() {
            return bounce / vx();
        }

        private double afterFloor() {
            return (ask.distanceM() - bounce) / (vx() * ask.floorGrip());
        }

        double timeSec() {
            return toFloor() + afterFloor();
        }

        private double upSpeed() {
            double down = vx() * tan - G * toFloor();
            return -down * ask.floorRestitution();
        }

        /** Null if it bounces a second time before the catcher. */
        Double heightAtCatcher() {
            double height = upSpeed() * afterFloor() - G * afterFloor() * afterFloor() / 2;
            return height < 0 ? null : (Double) height;
        }

        List<PathPoint> path() {
            List<PathPoint> path = new ArrayList<>(PathPoint.flight(0, ask.releaseM(), vx(), vx() * tan, toFloor()));
            path.addAll(PathPoint.flight(bounce, 0, vx() * ask.floorGrip(), upSpeed(), afterFloor()));
            return List.copyOf(path);
        }
    }
}
