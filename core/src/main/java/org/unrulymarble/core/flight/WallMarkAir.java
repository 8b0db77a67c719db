package org.unrulymarble.core.flight;

import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * The band of {@link WallMark} with the air in it. Source: {@link Aerial}; slowest and fastest speed by Brent's method. Belongs to one
 * launch angle and one ball; spin and float are not in it.
 *
 * @param reason why no band exists, or null; nothing else is given then
 * @param maxSpeedMs null where the fastest speed that is looked at still lands short; the high mark is that flight's then
 */
public record WallMarkAir(
        boolean feasible,
        WallMark.@Nullable Reason reason,
        @Nullable Double lowMarkM,
        @Nullable Double highMarkM,
        @Nullable Double minSpeedMs,
        @Nullable Double maxSpeedMs) {

    /** No hand throws or hits faster here, metres per second. */
    static final double FASTEST_MS = 60;

    private static final double SLOWEST_MS = 1e-6;

    /** So deep below the floor that nothing there is over the net. */
    private static final double DEEP_M = -1;

    /** As {@link WallMark.WallMarkAsk}; radiusM 0.005 to 0.5; massKg 0.001 to 20; dragCoefficient 0 to 2. */
    public record WallMarkAirAsk(
            Double launchHeightM,
            Double angleDeg,
            Double netDistanceM,
            Double netHeightM,
            Double clearanceM,
            Double landWithinM,
            Double standM,
            Double radiusM,
            Double massKg,
            Double dragCoefficient) {
        public WallMarkAirAsk {
            Checks checks = WallMark.checked(
                    launchHeightM, angleDeg, netDistanceM, netHeightM, clearanceM, landWithinM, standM);
            Aerial.checked(checks, radiusM, massKg, dragCoefficient).done();
        }
    }

    public static WallMarkAir of(WallMarkAirAsk ask) {
        double over = ask.netHeightM() + ask.clearanceM();
        double straight = ask.launchHeightM() + ask.netDistanceM() * Math.tan(Math.toRadians(ask.angleDeg()));
        if (straight <= over + Rounding.SLACK) return none(WallMark.Reason.ANGLE_TOO_FLAT);
        Aerial air = Aerial.of(ask.radiusM(), ask.massKg(), ask.dragCoefficient());
        UnivariateFunction aboveNet = v -> height(air, ask, v, ask.netDistanceM()) - over;
        if (aboveNet.value(FASTEST_MS) < -Rounding.SLACK) return none(WallMark.Reason.NOT_REACHED);
        double slowest = speedWhere(aboveNet);

        double line = ask.netDistanceM() + ask.landWithinM();
        // A flight that lands on the line has no height there; a shorter one has fallen below the floor.
        UnivariateFunction beyondLine = v -> height(air, ask, v, line);
        Double fastest = beyondLine.value(FASTEST_MS) <= 0 ? null : (Double) speedWhere(beyondLine);
        if (fastest != null && fastest <= slowest + Rounding.SLACK) return none(WallMark.Reason.CANNOT_LAND_IN);
        return new WallMarkAir(
                true,
                null,
                height(air, ask, slowest, ask.standM()),
                height(air, ask, fastest == null ? FASTEST_MS : fastest, ask.standM()),
                slowest,
                fastest);
    }

    private static double height(Aerial air, WallMarkAirAsk ask, double speedMs, double xM) {
        return air.heightAt(ask.launchHeightM(), speedMs, ask.angleDeg(), xM, DEEP_M);
    }

    private static double speedWhere(UnivariateFunction risesThroughNought) {
        if (risesThroughNought.value(FASTEST_MS) <= 0) return FASTEST_MS;
        return new BrentSolver(1e-10, 1e-10).solve(500, risesThroughNought, SLOWEST_MS, FASTEST_MS);
    }

    private static WallMarkAir none(WallMark.Reason reason) {
        return new WallMarkAir(false, reason, null, null, null, null);
    }
}
