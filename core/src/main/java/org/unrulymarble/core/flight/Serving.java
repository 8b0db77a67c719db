package org.unrulymarble.core.flight;

import static org.unrulymarble.core.flight.Gravity.G;

import org.unrulymarble.core.flight.WallMark.WallMarkAsk;

/** How a served ball flies, for the sheet of the net on a wall: without air, or through it. */
interface Serving {

    WallMark mark(WallMarkAsk serve);

    /** Height of its middle over a place, not below the floor. @param speedMs null for the fastest there is */
    double heightM(WallMarkAsk serve, Double speedMs, double xM);

    /** Highest place of its middle up to where the server stands from the wall. @param speedMs null for the fastest there is */
    double topM(WallMarkAsk serve, Double speedMs);

    /** Flights y = h + x tan a - k x^2. */
    final class WithoutAir implements Serving {
        @Override
        public WallMark mark(WallMarkAsk serve) {
            return WallMark.of(serve);
        }

        @Override
        public double heightM(WallMarkAsk s, Double speedMs, double xM) {
            double cos = Math.cos(Math.toRadians(s.angleDeg()));
            double k = speedMs == null ? 0 : G / (2 * speedMs * speedMs * cos * cos);
            return Math.max(0, s.launchHeightM() + xM * Math.tan(Math.toRadians(s.angleDeg())) - k * xM * xM);
        }

        @Override
        public double topM(WallMarkAsk s, Double speedMs) {
            if (speedMs == null) return heightM(s, null, s.standM());
            double a = Math.toRadians(s.angleDeg());
            double sec = Math.min(s.standM() / (speedMs * Math.cos(a)), Math.max(0, speedMs * Math.sin(a) / G));
            return s.launchHeightM() + speedMs * Math.sin(a) * sec - G * sec * sec / 2;
        }
    }

    /** Flights with drag. */
    final class ThroughAir implements Serving {
        private final double radiusM;
        private final NetOnWall.Air air;
        private final Aerial aerial;

        ThroughAir(double radiusM, NetOnWall.Air air) {
            this.radiusM = radiusM;
            this.air = air;
            aerial = Aerial.of(radiusM, air.massKg(), air.dragCoefficient());
        }

        @Override
        public WallMark mark(WallMarkAsk s) {
            WallMarkAir mark = WallMarkAir.of(new WallMarkAir.WallMarkAirAsk(
                    s.launchHeightM(),
                    s.angleDeg(),
                    s.netDistanceM(),
                    s.netHeightM(),
                    s.clearanceM(),
                    s.landWithinM(),
                    s.standM(),
                    radiusM,
                    air.massKg(),
                    air.dragCoefficient()));
            return new WallMark(
                    mark.feasible(),
                    mark.reason(),
                    mark.lowMarkM(),
                    mark.highMarkM(),
                    mark.minSpeedMs(),
                    mark.maxSpeedMs(),
                    mark.feasible() ? WallMark.plainMark(s, s.netHeightM(), mark.lowMarkM(), mark.highMarkM()) : null);
        }

        @Override
        public double heightM(WallMarkAsk s, Double speedMs, double xM) {
            if (xM <= 0) return s.launchHeightM();
            return aerial.heightAt(s.launchHeightM(), speed(speedMs), s.angleDeg(), xM, 0);
        }

        @Override
        public double topM(WallMarkAsk s, Double speedMs) {
            return aerial.topUpTo(s.launchHeightM(), speed(speedMs), s.angleDeg(), s.standM());
        }

        private static double speed(Double speedMs) {
            return speedMs == null ? WallMarkAir.FASTEST_MS : speedMs;
        }
    }
}
