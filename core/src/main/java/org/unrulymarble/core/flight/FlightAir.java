package org.unrulymarble.core.flight;

import static org.unrulymarble.core.flight.Gravity.G;

import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Rounding;

/**
 * How far a ball flies in the air. Source: {@link Aerial}; no spin. All by the ball's middle, down to height 0.
 *
 * @param shareOfRangeWithoutAir 1 where there is no way at all
 * @param heightAtXM over the place asked for; null where it is down before, or nothing was asked
 */
public record FlightAir(
        double rangeM,
        double timeSec,
        double apexM,
        double landsSpeedMs,
        double shareOfRangeWithoutAir,
        @Nullable Double heightAtXM,
        @Nullable Double speedAtXMs) {

    /** Lengths 0 to 200 m; speedMs above 0 to 60; radiusM 0.005 to 0.5; massKg 0.001 to 20; dragCoefficient 0 to 2; toXM may be null. */
    public record FlightAirAsk(
            Double launchHeightM,
            Double speedMs,
            Double angleDeg,
            Double radiusM,
            Double massKg,
            Double dragCoefficient,
            @Nullable Double toXM) {
        public FlightAirAsk {
            Checks checks = new Checks()
                    .length("launchHeightM", launchHeightM)
                    .above("speedMs", speedMs, 0, 60)
                    .angle("angleDeg", angleDeg);
            Aerial.checked(checks, radiusM, massKg, dragCoefficient);
            if (toXM != null) checks.length("toXM", toXM);
            checks.done();
        }
    }

    public static FlightAir of(FlightAirAsk ask) {
        double height = ask.launchHeightM();
        double speed = ask.speedMs();
        if (height <= Rounding.SLACK && ask.angleDeg() <= 0) {
            boolean there = ask.toXM() != null && ask.toXM() <= Rounding.SLACK;
            return new FlightAir(0, 0, 0, speed, 1, there ? (Double) height : null, there ? (Double) speed : null);
        }
        Aerial.Flown flown = Aerial.of(ask.radiusM(), ask.massKg(), ask.dragCoefficient())
                .fly(height, speed, ask.angleDeg(), ask.toXM());
        Aerial.Moment down = flown.landing();
        Aerial.Moment over = flown.atX();
        if (ask.toXM() != null) {
            if (ask.toXM() <= Rounding.SLACK) over = new Aerial.Moment(0, 0, height, speed);
            else if (Math.abs(ask.toXM() - down.xM()) <= Rounding.SLACK)
                over = new Aerial.Moment(down.timeSec(), down.xM(), 0, down.speedMs());
        }
        return new FlightAir(
                down.xM(),
                down.timeSec(),
                flown.apexM(),
                down.speedMs(),
                Math.min(1, down.xM() / rangeWithoutAir(height, speed, Math.toRadians(ask.angleDeg()))),
                over == null ? null : (Double) over.heightM(),
                over == null ? null : (Double) over.speedMs());
    }

    private static double rangeWithoutAir(double height, double speed, double angle) {
        double up = speed * Math.sin(angle);
        return speed * Math.cos(angle) * (up + Math.sqrt(up * up + 2 * G * height)) / G;
    }
}
