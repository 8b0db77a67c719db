package org.unrulymarble.core.flight;

import static org.unrulymarble.core.flight.Gravity.G;

import java.util.ArrayList;
import java.util.List;

/** One point of a flight as it is drawn: metres along the floor from the thrower, metres above the floor. */
public record PathPoint(double xM, double yM) {

    private static final int STEPS = 32;

    /** A free flight sampled evenly in time, both ends included. vx and vy in m/s, forSec at least 0. */
    static List<PathPoint> flight(double xM, double yM, double vx, double vy, double forSec) {
        List<PathPoint> points = new ArrayList<>(STEPS + 1);
        for (int i = 0; i <= STEPS; i++) {
            double t = forSec * i / STEPS;
            points.add(new PathPoint(xM + vx * t, Math.max(0, yM + vy * t - G * t * t / 2)));
        }
        return points;
    }

    /** Seconds until a ball at height yM with vy upwards meets the floor. */
    static double secToFloor(double yM, double vy) {
        return (vy + Math.sqrt(vy * vy + 2 * G * yM)) / G;
    }
}
