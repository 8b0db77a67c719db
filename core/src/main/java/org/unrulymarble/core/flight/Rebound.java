package org.unrulymarble.core.flight;

import static org.unrulymarble.core.flight.Gravity.G;

import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Rounding;

/**
 * Where a ball thrown at a wall comes back. Times from the release; what does not belong to the outcome is null. The wall keeps the
 * vertical speed and gives back the share e of the horizontal one.
 */
public record Rebound(
        Outcome outcome,
        @Nullable Double timeToCeilingSec,
        @Nullable Double landsShortOfWallM,
        @Nullable Double wallHeightM,
        @Nullable Double timeToWallSec,
        @Nullable Double firstBounceFromWallM,
        @Nullable Double timeToBounceSec,
        @Nullable Double heightAtThrowerM,
        @Nullable Double timeBackSec) {

    /** What happens first. */
    public enum Outcome {
        CEILING_FIRST,
        FLOOR_FIRST,
        BOUNCES_FIRST,
        BACK_ON_THE_FULL
    }

    /** standM above 0, lengths to 200 m, speedMs above 0 to 60, restitution 0 to 1; releaseM + ballRadiusM below the ceiling. */
    public record ReboundAsk(
            Double standM,
            Double releaseM,
            Double speedMs,
            Double angleDeg,
            Double restitution,
            @Nullable Double ceilingM,
            Double ballRadiusM) {
        public ReboundAsk {
            Checks checks = new Checks()
                    .above("standM", standM, 0, 200)
                    .length("releaseM", releaseM)
                    .above("speedMs", speedMs, 0, 60)
                    .angle("angleDeg", angleDeg)
                    .range("restitution", restitution, 0, 1)
                    .length("ballRadiusM", ballRadiusM);
            if (ceilingM != null) {
                checks.length("ceilingM", ceilingM);
                if (releaseM != null && ballRadiusM != null)
                    checks.that(
                            releaseM + ballRadiusM < ceilingM,
                            "ceilingM",
                            Fault.Rule.ABOVE_FIELD,
                            "releaseM + ballRadiusM");
            }
            checks.done();
        }
    }

    public static Rebound of(ReboundAsk ask) {
        double vx = ask.speedMs() * Math.cos(Math.toRadians(ask.angleDeg()));
        double vy = ask.speedMs() * Math.sin(Math.toRadians(ask.angleDeg()));
        double h0 = ask.releaseM();
        double d = ask.standM();
        double e = ask.restitution();
        double toWall = d / vx;
        double toFloor = (vy + Math.sqrt(vy * vy + 2 * G * h0)) / G;
        double back = e * vx == 0 ? Double.POSITIVE_INFINITY : toWall + d / (e * vx);
        double toCeiling = toCeiling(ask, vy);
        if (toCeiling < Math.min(toFloor, back))
            return new Rebound(Outcome.CEILING_FIRST, toCeiling, null, null, null, null, null, null, null);
        if (toFloor <= toWall + Rounding.SLACK)
            return new Rebound(
                    Outcome.FLOOR_FIRST, null, Math.max(0, d - vx * toFloor), null, null, null, null, null, null);
        double wallHeight = h0 + vy * toWall - G * toWall * toWall / 2;
        double bounce = e * vx * (toFloor - toWall);
        if (bounce < d - Rounding.SLACK)
            return new Rebound(Outcome.BOUNCES_FIRST, null, null, wallHeight, toWall, bounce, toFloor, null, null);
        double height = Math.max(0, h0 + vy * back - G * back * back / 2);
        return new Rebound(Outcome.BACK_ON_THE_FULL, null, null, wallHeight, toWall, bounce, null, height, back);
    }

    /** When the ball's top meets the ceiling on its way up; infinite if it never does. */
    private static double toCeiling(ReboundAsk ask, double vy) {
        if (ask.ceilingM() == null || vy <= 0) return Double.POSITIVE_INFINITY;
        double under = vy * vy - 2 * G * (ask.ceilingM() - ask.ballRadiusM() - ask.releaseM());
        if (under < -Rounding.SLACK) return Double.POSITIVE_INFINITY;
        return (vy - Math.sqrt(Math.max(0, under))) / G;
    }
}
