package org.unrulymarble.core.flight;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;
import org.unrulymarble.core.flight.WallMark.WallMarkAsk;

/**
 * {@link WallMark} as it is drawn and judged: both flights, how the band moves with the angle and with every step back, whether it serves, and
 * whether it fits under the ceiling; beside it the plain mark a hand above the net.
 *
 * @param narrowerThanBall null without a band, as are all that follow from it
 * @param sharedLowM lower edge of what lies in the band at every angle within the spread; null if nothing does, or without a band
 * @param plainMarkM net height and a hand
 * @param plainMarkIs where that plain mark lies; null without a band
 * @param highestBallM top of the ball at the highest place of either flight up to the wall
 * @param underCeiling null without a ceiling or a band
 * @param fitsFromM furthest place nearer than the one asked about, in steps of 10 cm, from which all fits under the ceiling; null if none or not needed
 * @param fitsAtDeg nearest flatter angle, in whole degrees, at which all fits; null if none or not needed
 */
public record NetOnWall(
        WallMark mark,
        @Nullable Double bandM,
        @Nullable Boolean narrowerThanBall,
        @Nullable Double sharedLowM,
        @Nullable Double sharedHighM,
        double plainMarkM,
        WallMark.@Nullable PlainMark plainMarkIs,
        boolean plainMarkAboveCeiling,
        @Nullable Double highestBallM,
        @Nullable Boolean underCeiling,
        @Nullable Double fitsFromM,
        @Nullable Double fitsAtDeg,
        List<PathPoint> slowPath,
        List<PathPoint> fastPath,
        List<PathPoint> slowAfterWall,
        List<PathPoint> fastAfterWall,
        List<ByAngle> byAngle,
        List<ByStep> byStep) {

    /** The band at another launch angle from the same place; both null where there is none. */
    public record ByAngle(
            double angleDeg,
            @Nullable Double lowMarkM,
            @Nullable Double highMarkM) {}

    /** The band at another place with the same launch angle; both null where there is none. */
    public record ByStep(
            double standM,
            @Nullable Double lowMarkM,
            @Nullable Double highMarkM) {}

    /** What the air does to a ball: massKg 0.001 to 20, dragCoefficient 0 to 2. */
    public record Air(Double massKg, Double dragCoefficient) {
        public Air {
            new Checks()
                    .range("massKg", massKg, 0.001, 20)
                    .range("dragCoefficient", dragCoefficient, 0, 2)
                    .done();
        }
    }

    /** The wall mark's own fields; air null for a flight without it; ballRadiusM and handM 0 to 200, angleSpreadDeg 0 to 45, stepM above 0 to 200, ceilingM or null. */
    public record NetOnWallAsk(
            WallMarkAsk serve,
            Double ballRadiusM,
            Double handM,
            Double angleSpreadDeg,
            Double stepM,
            @Nullable Double ceilingM,
            @Nullable Air air) {
        public NetOnWallAsk {
            Checks checks = new Checks()
                    .required("serve", serve)
                    .length("ballRadiusM", ballRadiusM)
                    .length("handM", handM)
                    .range("angleSpreadDeg", angleSpreadDeg, 0, 45)
                    .above("stepM", stepM, 0, 200);
            if (ceilingM != null) checks.length("ceilingM", ceilingM);
            // Through the air a ball has a size.
            if (air != null) checks.range("ballRadiusM", ballRadiusM, 0.005, 0.5);
            checks.done();
        }

        Serving serving() {
            return air == null ? new Serving.WithoutAir() : new Serving.ThroughAir(ballRadiusM, air);
        }
    }

    /** The band alone, through the air. */
    public static WallMark markThroughAir(WallMarkAsk serve, double ballRadiusM, Air air) {
        return new Serving.ThroughAir(ballRadiusM, air).mark(serve);
    }

    private static final int MOST_STEPS = 24;
    private static final int ANGLE_STEP_DEG = 5;

    public static NetOnWall of(NetOnWallAsk ask) {
        WallMarkAsk s = ask.serve();
        Serving flies = ask.serving();
        WallMark mark = flies.mark(s);
        double plain = s.netHeightM() + ask.handM();
        boolean plainTooHigh = ask.ceilingM() != null && !Rounding.fits(plain, ask.ceilingM());
        List<ByAngle> byAngle = byAngle(s, flies);
        List<ByStep> byStep = byStep(ask, flies);
        if (!mark.feasible())
            return new NetOnWall(
                    mark,
                    null,
                    null,
                    null,
                    null,
                    plain,
                    null,
                    plainTooHigh,
                    null,
                    null,
                    null,
                    null,
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    byAngle,
                    byStep);
        double band = mark.highMarkM() - mark.lowMarkM();
        double[] shared = shared(ask, flies);
        double highest = highest(s, mark, flies) + ask.ballRadiusM();
        Boolean fits = ask.ceilingM() == null ? null : (Boolean) Rounding.fits(highest, ask.ceilingM());
        boolean mend = Boolean.FALSE.equals(fits);
        double far = s.netDistanceM() + s.landWithinM();
        return new NetOnWall(
                mark,
                band,
                !Rounding.fits(2 * ask.ballRadiusM(), band),
                shared == null ? null : (Double) shared[0],
                shared == null ? null : (Double) shared[1],
                plain,
                WallMark.plainMark(s, plain, mark.lowMarkM(), mark.highMarkM()),
                plainTooHigh,
                highest,
                fits,
                mend ? fitsFrom(ask, flies) : null,
                mend ? fitsAt(ask, flies) : null,
                path(s, flies, mark.minSpeedMs(), 0, s.standM()),
                path(s, flies, mark.maxSpeedMs(), 0, s.standM()),
                path(s, flies, mark.minSpeedMs(), s.standM(), s.netDistanceM()),
                path(s, flies, mark.maxSpeedMs(), s.standM(), far),
                byAngle,
                byStep);
    }

    /** What lies in the band at every angle within the spread; null if nothing does. */
    private static double[] shared(NetOnWallAsk ask, Serving flies) {
        double low = Double.NEGATIVE_INFINITY;
        double high = Double.POSITIVE_INFINITY;
        double spread = ask.angleSpreadDeg();
        for (double off : new double[] {-spread, -spread / 2, 0, spread / 2, spread}) {
            double angle = ask.serve().angleDeg() + off;
            if (Math.abs(angle) >= 90) continue;
            WallMark mark = flies.mark(atAngle(ask.serve(), angle));
            if (!mark.feasible()) return null;
            low = Math.max(low, mark.lowMarkM());
            high = Math.min(high, mark.highMarkM());
        }
        return low > high + Rounding.SLACK ? null : new double[] {low, high};
    }

    private static List<ByAngle> byAngle(WallMarkAsk s, Serving flies) {
        List<ByAngle> bands = new ArrayList<>();
        int nearest = (int) Math.round(s.angleDeg() / ANGLE_STEP_DEG) * ANGLE_STEP_DEG;
        for (int angle = nearest - 20; angle <= nearest + 20; angle += ANGLE_STEP_DEG) {
            if (Math.abs(angle) >= 90) continue;
            WallMark mark = flies.mark(atAngle(s, angle));
            bands.add(new ByAngle(angle, mark.lowMarkM(), mark.highMarkM()));
        }
        return List.copyOf(bands);
    }

    /** From the nearest whole step out to the game's distance. */
    private static List<ByStep> byStep(NetOnWallAsk ask, Serving flies) {
        List<ByStep> bands = new ArrayList<>();
        double net = ask.serve().netDistanceM();
        int steps = (int) Math.min(MOST_STEPS, Math.floor(net / ask.stepM() + Rounding.SLACK));
        for (int i = 1; i <= steps; i++) {
            double stand = Math.min(net, i * ask.stepM());
            WallMark mark = flies.mark(atStand(ask.serve(), stand));
            bands.add(new ByStep(stand, mark.lowMarkM(), mark.highMarkM()));
        }
        return List.copyOf(bands);
    }

    /** Middle of the ball at the highest place of either flight up to the wall. */
    private static double highest(WallMarkAsk s, WallMark mark, Serving flies) {
        return Math.max(flies.topM(s, mark.minSpeedMs()), flies.topM(s, mark.maxSpeedMs()));
    }

    private static boolean fits(NetOnWallAsk ask, WallMarkAsk serve, Serving flies) {
        WallMark mark = flies.mark(serve);
        return mark.feasible() && Rounding.fits(highest(serve, mark, flies) + ask.ballRadiusM(), ask.ceilingM());
    }

    private static Double fitsFrom(NetOnWallAsk ask, Serving flies) {
        for (int tenths = (int) Math.ceil(ask.serve().standM() * 10) - 1; tenths >= 5; tenths--)
            if (fits(ask, atStand(ask.serve(), tenths / 10.0), flies)) return tenths / 10.0;
        return null;
    }

    private static Double fitsAt(NetOnWallAsk ask, Serving flies) {
        for (int angle = (int) Math.ceil(ask.serve().angleDeg()) - 1; angle > -90; angle--)
            if (fits(ask, atAngle(ask.serve(), angle), flies)) return (double) angle;
        return null;
    }

    /** Sampled from one place to another along the floor. */
    private static List<PathPoint> path(WallMarkAsk s, Serving flies, Double speed, double fromM, double toM) {
        List<PathPoint> points = new ArrayList<>();
        for (int i = 0; i <= 40; i++) {
            double x = fromM + (toM - fromM) * i / 40;
            points.add(new PathPoint(x, flies.heightM(s, speed, x)));
        }
        return List.copyOf(points);
    }

    private static WallMarkAsk atAngle(WallMarkAsk s, double angleDeg) {
        return new WallMarkAsk(
                s.launchHeightM(),
                angleDeg,
                s.netDistanceM(),
                s.netHeightM(),
                s.clearanceM(),
                s.landWithinM(),
                s.standM());
    }

    private static WallMarkAsk atStand(WallMarkAsk s, double standM) {
        return new WallMarkAsk(
                s.launchHeightM(),
                s.angleDeg(),
                s.netDistanceM(),
                s.netHeightM(),
                s.clearanceM(),
                s.landWithinM(),
                standM);
    }
}
