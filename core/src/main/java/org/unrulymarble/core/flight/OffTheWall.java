package org.unrulymarble.core.flight;

import static org.unrulymarble.core.flight.Gravity.G;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;

/**
 * {@link Rebound} as it is drawn and used: the path, and where to stand. The floor gives back the share of the vertical speed that belongs to the
 * kind of ball, and keeps the horizontal one.
 *
 * @param catchFullFromWallM where the ball passes catch height on its way down before it bounces, metres from the wall; null if never
 * @param catchBounceFromWallM where it passes catch height, or is highest if it does not rise so far, after the first bounce
 * @param bounceTopM how high it rises after the first bounce; null without one
 * @param speedBackMs horizontal speed after the wall; null if it never gets there
 */
public record OffTheWall(
        Rebound rebound,
        @Nullable Double catchFullFromWallM,
        @Nullable Double catchBounceFromWallM,
        @Nullable Double bounceTopM,
        @Nullable Double speedBackMs,
        List<PathPoint> path) {

    /** The rebound's own fields, floorRestitution 0 to 1 of the vertical speed, catchM 0 to 200. */
    public record OffTheWallAsk(Rebound.ReboundAsk throwing, Double floorRestitution, Double catchM) {
        public OffTheWallAsk {
            new Checks()
                    .required("throwing", throwing)
                    .range("floorRestitution", floorRestitution, 0, 1)
                    .length("catchM", catchM)
                    .done();
        }
    }

    public static OffTheWall of(OffTheWallAsk ask) {
        Rebound.ReboundAsk t = ask.throwing();
        Rebound rebound = Rebound.of(t);
        double vx = t.speedMs() * Math.cos(Math.toRadians(t.angleDeg()));
        double vy = t.speedMs() * Math.sin(Math.toRadians(t.angleDeg()));
        double toFloor = PathPoint.secToFloor(t.releaseM(), vy);
        if (rebound.timeToWallSec() == null) {
            double until = rebound.timeToCeilingSec() == null
                    ? toFloor
                    : Math.min(rebound.timeToCeilingSec(), t.standM() / vx);
            List<PathPoint> path = new ArrayList<>(PathPoint.flight(0, t.releaseM(), vx, vy, until));
            if (rebound.timeToCeilingSec() != null && rebound.timeToCeilingSec() > until) {
                PathPoint wall = path.get(path.size() - 1);
                path.addAll(PathPoint.flight(
                        wall.xM(),
                        wall.yM(),
                        -t.restitution() * vx,
                        vy - G * until,
                        rebound.timeToCeilingSec() - until));
            }
            return new OffTheWall(rebound, null, null, null, null, List.copyOf(path));
        }
        double toWall = rebound.timeToWallSec();
        double back = t.restitution() * vx;
        List<PathPoint> path = new ArrayList<>(PathPoint.flight(0, t.releaseM(), vx, vy, toWall));
        path.addAll(PathPoint.flight(t.standM(), rebound.wallHeightM(), -back, vy - G * toWall, toFloor - toWall));
        double up = ask.floorRestitution() * (G * toFloor - vy);
        double bounceX = t.standM() - rebound.firstBounceFromWallM();
        path.addAll(PathPoint.flight(bounceX, 0, -back, up, 2 * up / G));
        double top = up * up / (2 * G);
        double toCatchUp = top >= ask.catchM() ? (up + Math.sqrt(up * up - 2 * G * ask.catchM())) / G : up / G;
        return new OffTheWall(
                rebound,
                catchOnTheFull(ask, vy, toWall, back),
                rebound.firstBounceFromWallM() + back * toCatchUp,
                top,
                back,
                List.copyOf(path));
    }

    private static Double catchOnTheFull(OffTheWallAsk ask, double vy, double toWall, double back) {
        double over = vy * vy + 2 * G * (ask.throwing().releaseM() - ask.catchM());
        if (over < 0) return null;
        double falling = (vy + Math.sqrt(over)) / G;
        return falling < toWall ? null : (Double) (back * (falling - toWall));
    }
}
