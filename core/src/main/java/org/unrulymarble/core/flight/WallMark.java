package org.unrulymarble.core.flight;

import static org.unrulymarble.core.flight.Gravity.G;

import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Rounding;

/**
 * Where to chalk a net on a wall that stands nearer than the net would: the band that a legal serve passes at the wall. Belongs to one
 * launch angle; spin and drag are not in it.
 *
 * @param reason why no band exists, or null; nothing else is given then
 * @param maxSpeedMs null where no speed is too fast
 */
public record WallMark(
        boolean feasible,
        @Nullable Reason reason,
        @Nullable Double lowMarkM,
        @Nullable Double highMarkM,
        @Nullable Double minSpeedMs,
        @Nullable Double maxSpeedMs,
        @Nullable PlainMark netHeightMark) {

    /** Why there is no band. */
    public enum Reason {
        ANGLE_TOO_FLAT,
        /** Only with the air in it: not even the fastest hit reaches the net's height there. */
        NOT_REACHED,
        CANNOT_LAND_IN
    }

    /** Where the plain mark at net height lies. */
    public enum PlainMark {
        OUT_OF_REACH,
        TOO_LOW,
        TOO_HIGH,
        IN_BAND
    }

    /** Lengths 0 to 200 m, netDistanceM and standM above 0, standM at most netDistanceM; angleDeg between -90 and 90. */
    public record WallMarkAsk(
            Double launchHeightM,
            Double angleDeg,
            Double netDistanceM,
            Double netHeightM,
            Double clearanceM,
            Double landWithinM,
            Double standM) {
        public WallMarkAsk {
            checked(launchHeightM, angleDeg, netDistanceM, netHeightM, clearanceM, landWithinM, standM)
                    .done();
        }
    }

    /** What is asked of a serve, with the air in it or without. */
    static Checks checked(
            Double launchHeightM,
            Double angleDeg,
            Double netDistanceM,
            Double netHeightM,
            Double clearanceM,
            Double landWithinM,
            Double standM) {
        return new Checks()
                .length("launchHeightM", launchHeightM)
                .angle("angleDeg", angleDeg)
                .above("netDistanceM", netDistanceM, 0, 200)
                .length("netHeightM", netHeightM)
                .length("clearanceM", clearanceM)
                .length("landWithinM", landWithinM)
                .above("standM", standM, 0, 200)
                .that(
                        standM == null || netDistanceM == null || Rounding.fits(standM, netDistanceM),
                        "standM",
                        Fault.Rule.AT_MOST_FIELD,
                        "netDistanceM");
    }

    /** The flight y = h0 + x tan a - k x^2 that just clears the net (k1) and the one that just lands in (k2), each as its drop at the net and at the line. */
    public static WallMark of(WallMarkAsk ask) {
        double tan = Math.tan(Math.toRadians(ask.angleDeg()));
        double cos = Math.cos(Math.toRadians(ask.angleDeg()));
        double net = ask.netDistanceM();
        double far = net + ask.landWithinM();
        double d = ask.standM();
        double slowDrop = ask.launchHeightM() + net * tan - ask.netHeightM() - ask.clearanceM();
        double fastDrop = ask.launchHeightM() + far * tan;
        if (slowDrop <= Rounding.SLACK) return none(Reason.ANGLE_TOO_FLAT);
        if (fastDrop * (net / far) * (net / far) >= slowDrop - Rounding.SLACK) return none(Reason.CANNOT_LAND_IN);
        double straight = ask.launchHeightM() + d * tan;
        boolean neverTooFast = fastDrop <= Rounding.SLACK;
        double low = straight - slowDrop * (d / net) * (d / net);
        double high = neverTooFast ? straight : straight - fastDrop * (d / far) * (d / far);
        return new WallMark(
                true,
                null,
                low,
                high,
                speed(net, slowDrop, cos),
                neverTooFast ? null : (Double) speed(far, fastDrop, cos),
                plainMark(ask, ask.netHeightM(), low, high));
    }

    /** sqrt(g / (2 k cos^2 a)) with k = drop / x^2. */
    private static double speed(double x, double drop, double cos) {
        return x / cos * Math.sqrt(G / (2 * drop));
    }

    /** Where a plain mark at a height lies against a band. */
    static PlainMark plainMark(WallMarkAsk ask, double height, double low, double high) {
        double straight = ask.launchHeightM() + ask.standM() * Math.tan(Math.toRadians(ask.angleDeg()));
        if (height >= straight - Rounding.SLACK) return PlainMark.OUT_OF_REACH;
        if (height < low - Rounding.SLACK) return PlainMark.TOO_LOW;
        if (height > high + Rounding.SLACK) return PlainMark.TOO_HIGH;
        return PlainMark.IN_BAND;
    }

    private static WallMark none(Reason reason) {
        return new WallMark(false, reason, null, null, null, null, null);
    }
}
